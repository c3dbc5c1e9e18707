import { useLiveQuery } from 'dexie-react-hooks'
import { useSyncExternalStore } from 'react'
import { DEFAULT_WORKSHOP } from '../core/record/defaults'
import type { Batch, GradeSheet, OvenLog, Reading, Recipe, Run, Workshop } from '../core/record/schemas'
import { unsavedBatches } from './batches'
import { db } from './database'
import { type SaveTrouble, saveTrouble } from './save-state'

/** undefined while loading, null when there is none. Storage that cannot be read counts as empty; the banner says why. */
export type Loaded<T> = T | null | undefined

async function orNull<T>(read: Promise<T | undefined>): Promise<T | null> {
  return (await read.catch(() => undefined)) ?? null
}

const noneIfRefused = <T>(read: Promise<T[]>): Promise<T[]> => read.catch(() => [])

export function useBatch(id: string): Loaded<Batch> {
  const stored = useLiveQuery(() => orNull(db.batches.get(id)), [id])
  useSyncExternalStore(unsavedBatches.subscribe, unsavedBatches.version, unsavedBatches.version)
  return unsavedBatches.get(id) ?? stored
}

export const useBatches = (): Batch[] | undefined =>
  useLiveQuery(
    () =>
      noneIfRefused(
        db.batches
          .orderBy('updatedAt')
          .reverse()
          .filter(b => b.deletedAt === null)
          .toArray(),
      ),
    [],
  )

export const useReadings = (batchId?: string): Reading[] | undefined =>
  useLiveQuery(
    () =>
      noneIfRefused(
        (batchId === undefined ? db.readings.orderBy('at') : db.readings.where('batchId').equals(batchId))
          .filter(r => r.deletedAt === null)
          .toArray(),
      ),
    [batchId],
  )

export const useRecipes = (): Recipe[] | undefined => useLiveQuery(() => noneIfRefused(db.recipes.toArray()), [])

export const useRecipe = (id: string): Loaded<Recipe> => useLiveQuery(() => orNull(db.recipes.get(id)), [id])

/** The maker's own grades; none while loading. */
export const useOwnGrades = (): GradeSheet[] | undefined =>
  useLiveQuery(() => noneIfRefused(db.grades.orderBy('name').toArray()), [])

export const useRuns = (): Run[] | undefined =>
  useLiveQuery(() => noneIfRefused(db.runs.orderBy('startedAt').reverse().toArray()), [])

/** The runs of a batch, oldest first. */
export const useRunsOf = (batchId: string): Run[] | undefined =>
  useLiveQuery(() => noneIfRefused(db.runs.where('batchId').equals(batchId).sortBy('startedAt')), [batchId])

/** Logs of an oven, newest first. */
export const useOvenLogs = (ovenId: string): OvenLog[] | undefined =>
  useLiveQuery(
    () =>
      noneIfRefused(
        db.logs
          .where('ovenId')
          .equals(ovenId)
          .toArray()
          .then(logs => logs.sort((a, b) => b.addedAt.localeCompare(a.addedAt))),
      ),
    [ovenId],
  )

/** Logs of a batch, newest first. */
export const useBatchLogs = (batchId: string): OvenLog[] | undefined =>
  useLiveQuery(
    () =>
      noneIfRefused(
        db.logs
          .where('batchId')
          .equals(batchId)
          .toArray()
          .then(logs => logs.sort((a, b) => b.addedAt.localeCompare(a.addedAt))),
      ),
    [batchId],
  )

/** The workshop's settings; undefined while loading. */
export const useShop = (): Workshop | undefined =>
  useLiveQuery(async () => (await orNull(db.shop.get('shop'))) ?? DEFAULT_WORKSHOP, [])

export const useSaveTrouble = (): SaveTrouble | null =>
  useSyncExternalStore(saveTrouble.subscribe, saveTrouble.get, () => null)
