import { useLiveQuery } from 'dexie-react-hooks'
import { useMemo, useSyncExternalStore } from 'react'
import type { Run } from '../core/shop/run'
import { db } from './database'
import { unsavedRuns, withChanges } from './unsaved-runs'

const noneIfRefused = <T>(read: PromiseLike<T[]>): Promise<T[]> => Promise.resolve(read).catch(() => [])

/** Runs as they stand on this page: what is stored, with what could not be. */
export function useWithUnsaved(runs: readonly Run[] | undefined): readonly Run[] | undefined {
  const changes = useSyncExternalStore(unsavedRuns.subscribe, unsavedRuns.get, unsavedRuns.get)
  return useMemo(() => runs?.map(run => withChanges(run, changes.get(run.id) ?? [])), [runs, changes])
}

/** The runs in the shop of some batches, newest first. Practice is no run. */
export const useRunsOfSome = (batchIds: readonly string[]): readonly Run[] | undefined => {
  const key = batchIds.join(' ')
  return useWithUnsaved(
    useLiveQuery(
      () =>
        noneIfRefused(
          db.runs
            .where('batchIds')
            .anyOf(key.split(' '))
            .distinct()
            .filter(run => run.mode === 'shop')
            .reverse()
            .sortBy('startedAt'),
        ),
      [key],
    ),
  )
}

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
