import { useLiveQuery } from 'dexie-react-hooks'
import { useEffect, useMemo, useSyncExternalStore } from 'react'
import { compareInstants } from '../core/numeric/instants'
import type { Run } from '../core/shop/run'
import { db } from './database'
import { runsOfBatches } from './of-batches'
import { lastKnown, unsavedRuns, withChanges } from './unsaved-runs'

const noneIfRefused = <T>(read: PromiseLike<T[]>): Promise<T[]> => Promise.resolve(read).catch(() => [])

/** Runs as they stand on this page: what is stored, with what could not be. */
function useWithUnsaved(runs: readonly Run[] | undefined): readonly Run[] | undefined {
  const changes = useSyncExternalStore(unsavedRuns.subscribe, unsavedRuns.get, unsavedRuns.get)
  useEffect(() => {
    for (const run of runs ?? []) lastKnown.set(run.id, run)
  }, [runs])
  return useMemo(() => runs?.map(run => withChanges(run, changes.get(run.id)?.changes ?? [])), [runs, changes])
}

/** The runs of some batches, newest first: in the shop, or in practice. Undefined while they or the batches are read. */
export const useRunsOfSome = (
  batches: readonly { readonly id: string }[] | undefined,
  mode: Run['mode'] = 'shop',
): readonly Run[] | undefined => {
  const ids = batches?.map(batch => batch.id)
  return useWithUnsaved(
    useLiveQuery(
      async () =>
        ids &&
        noneIfRefused(
          runsOfBatches(ids).then(runs =>
            runs.filter(run => run.mode === mode).sort((one, other) => compareInstants(other.startedAt, one.startedAt)),
          ),
        ),
      [ids?.join(' '), mode],
    ),
  )
}

/** When the newest run of the shop began and ended; null where there is none, undefined while it is read. */
export const useLastRun = (): Pick<Run, 'startedAt' | 'endedAt'> | null | undefined =>
  useLiveQuery(async () => {
    const last = await db.runs
      .orderBy('startedAt')
      .reverse()
      .filter(run => run.mode === 'shop')
      .first()
      .catch(() => undefined)
    return last ?? null
  }, [])

/** The runs of a batch, oldest first: in the shop, or in practice. */
export const useRunsOf = (batchId: string, mode: Run['mode'] = 'shop'): readonly Run[] | undefined =>
  useWithUnsaved(
    useLiveQuery(
      () =>
        noneIfRefused(
          db.runs
            .where('batchIds')
            .equals(batchId)
            .filter(run => run.mode === mode)
            .sortBy('startedAt'),
        ),
      [batchId, mode],
    ),
  )
