import { useLiveQuery } from 'dexie-react-hooks'
import { useMemo, useSyncExternalStore } from 'react'
import type { Run } from '../core/shop/run'
import { db } from './database'
import { unsavedRuns, withChanges } from './unsaved-runs'

const noneIfRefused = <T>(read: PromiseLike<T[]>): Promise<T[]> => Promise.resolve(read).catch(() => [])

/** Runs as they stand on this page: what is stored, with what could not be. */
function useWithUnsaved(runs: Run[] | undefined): Run[] | undefined {
  const changes = useSyncExternalStore(unsavedRuns.subscribe, unsavedRuns.get, unsavedRuns.get)
  return useMemo(() => runs?.map(run => withChanges(run, changes.get(run.id) ?? [])), [runs, changes])
}

/** Every run of a mode, newest first. */
const useAll = (mode: Run['mode']): Run[] | undefined =>
  useWithUnsaved(
    useLiveQuery(
      () =>
        noneIfRefused(
          db.runs
            .orderBy('startedAt')
            .reverse()
            .filter(run => run.mode === mode)
            .toArray(),
        ),
      [mode],
    ),
  )

/** Runs in the shop, newest first. Practice is no run: it is in `usePractices`. */
export const useRuns = (): Run[] | undefined => useAll('shop')

/** Practice runs, newest first: they stand for nothing that happened to a blade. */
export const usePractices = (): Run[] | undefined => useAll('practice')

/** The runs of a batch, oldest first: in the shop, or in practice. */
export const useRunsOf = (batchId: string, mode: Run['mode'] = 'shop'): Run[] | undefined =>
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
