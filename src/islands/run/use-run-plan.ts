import { useEffect, useMemo, useState } from 'react'
import type { Answered } from '../../core/contract/questions'
import { tempersDone } from '../../core/load/tempers-done'
import type { RunPlan } from '../../core/run-plan/run-steps'
import type { Batch } from '../../core/shop/batch'
import type { Run } from '../../core/shop/run'
import type { Workshop } from '../../core/shop/workshop'
import { useExactAnswer } from '../../workers/use-answer'

/** Its schemas are needed for nothing that is shown first. */
const importLastPlan = () => import('../../store/last-plan')

/** A plan that is not worked out after this is taken from the last time, ms. */
const LONGEST_MS = 12_000

export interface FoundPlan {
  /** Undefined while it is worked out. */
  readonly plan: Answered<'run-steps'> | undefined
  /** It is the one of the last time: it could not be worked out now. */
  readonly isOld: boolean
}

/** Returns the plan of a run, or of the tempers that earlier runs left; asks nothing without a batch. */
export function useRunPlan(
  batch: Batch | null,
  shop: Workshop,
  { batchIds, before }: { readonly batchIds: readonly string[]; readonly before: readonly Run[] | null },
): FoundPlan {
  const request = useMemo(
    () => (batch ? { batch, shop, tempersDone: before ? Object.fromEntries(tempersDone(before)) : null } : null),
    [batch, shop, before],
  )
  // A run is never begun on the steps of what was asked a moment ago.
  const answer = useExactAnswer('run-steps', request)
  const [old, setOld] = useState<RunPlan | null>(null)
  const key = batchIds.join(' ')
  const isMissing =
    request !== null && (answer === undefined || (!answer.ok && answer.problems[0]?.code === 'worker-failed'))
  useEffect(() => {
    if (!isMissing) return
    const read = () =>
      importLastPlan()
        .then(({ lastPlan }) => lastPlan(key.split(' ')))
        // Without it what is asked is still waited for.
        .then(setOld, () => undefined)
    const timer = setTimeout(() => void read(), answer ? 0 : LONGEST_MS)
    return () => clearTimeout(timer)
  }, [isMissing, answer, key])
  useEffect(() => {
    if (answer?.ok && before === null)
      importLastPlan().then(
        ({ keepPlan }) => keepPlan(key.split(' '), answer.value),
        () => undefined,
      )
  }, [answer, before, key])
  const usesOld = isMissing && old !== null && before === null
  return { plan: usesOld ? { ok: true, value: old } : answer, isOld: usesOld }
}
