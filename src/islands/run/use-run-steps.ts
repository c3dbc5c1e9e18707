import { useMemo } from 'react'
import type { Answered } from '../../core/contract/questions'
import { tempersDone } from '../../core/job/tempers-done'
import type { Batch } from '../../core/shop/batch'
import type { Run } from '../../core/shop/run'
import { useExactAnswer } from '../../workers/use-answer'
import { useShopNow } from '../shop-context'

/**
 * The steps of a run that is to begin, or of the tempers that runs before it left to do; undefined while they are worked out, and
 * for no batch.
 */
export function useRunSteps(
  batch: Batch | null | undefined,
  before: readonly Run[] | null | undefined,
): Answered<'run-steps'> | undefined {
  const shop = useShopNow()
  const request = useMemo(
    () => (batch ? { batch, shop, tempersDone: before ? Object.fromEntries(tempersDone(before)) : null } : null),
    [batch, shop, before],
  )
  // A run is never begun on the steps of what was asked a moment ago.
  return useExactAnswer('run-steps', request)
}
