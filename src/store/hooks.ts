import { useLiveQuery } from 'dexie-react-hooks'
import { useSyncExternalStore } from 'react'
import { compareInstants } from '../core/numeric/instants'
import type { Batch, BatchRecord } from '../core/shop/batch'
import { withBlades } from '../core/shop/batch-records'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import type { GradeSheet } from '../core/shop/grade-sheet'
import type { OvenLog } from '../core/shop/oven-log'
import type { Reading } from '../core/shop/reading'
import type { Recipe } from '../core/shop/recipe'
import { isThere } from '../core/shop/there'
import type { Workshop } from '../core/shop/workshop'
import { db } from './database'
import { bladesOfBatches, idsThere, readingsOfBatches } from './of-batches'
import { isBegun, readBatch } from './read-batch'
import { type SaveTrouble, saveTrouble } from './save-state'
import { shownShop } from './shown-shop'
import { unsavedBatches } from './unsaved-batches'

/** undefined while loading, null when there is none. Storage that cannot be read counts as empty; the banner says why. */
export type Loaded<T> = T | null | undefined

export async function orNull<T>(read: PromiseLike<T | undefined>): Promise<T | null> {
  return (await Promise.resolve(read).catch(() => undefined)) ?? null
}

export const noneIfRefused = <T>(read: PromiseLike<T[]>): Promise<T[]> => Promise.resolve(read).catch(() => [])

export function useBatch(id: string): Loaded<Batch> {
  const stored = useLiveQuery(() => orNull(readBatch(id)), [id])
  const unsaved = useSyncExternalStore(unsavedBatches.subscribe, unsavedBatches.get, unsavedBatches.get)
  return unsaved.get(id) ?? stored
}

/** Whether anything was done to a batch's blades that rests on its routes; undefined while it is read, and where it cannot be. */
export const useBegun = (batch: Batch): boolean | undefined =>
  useLiveQuery(() => isBegun(batch).catch(() => undefined), [batch])

/** The batch a blade belongs to. */
export const useBatchOfBlade = (bladeId: string): Loaded<Batch> =>
  useLiveQuery(
    () =>
      orNull(
        db.transaction('r', db.batches, db.blades, async () => {
          const blade = await db.blades.get(bladeId)
          return blade && readBatch(blade.batchId)
        }),
      ),
    [bladeId],
  )

/** Returns the names of all batches that are not deleted, newest first. */
export const useBatchNames = (): readonly Pick<BatchRecord, 'id' | 'name' | 'createdAt'>[] | undefined =>
  useLiveQuery(
    () =>
      noneIfRefused(
        db.batches.toArray().then(all =>
          all
            .filter(batch => batch.deletedAt === null)
            .sort((one, other) => compareInstants(other.updatedAt, one.updatedAt))
            .map(({ id, name, createdAt }) => ({ id, name, createdAt })),
        ),
      ),
    [],
  )

/** Some of the batches, newest first, and how many there are of their kind. */
export interface SomeBatches {
  readonly batches: readonly Batch[]
  readonly total: number
}

/** Batches that are there with a text in their name, steels or note, the one changed last first. Every batch is looked at. */
async function batchesWith(text: string): Promise<BatchRecord[]> {
  const has = ({ name, note, groups }: BatchRecord) =>
    [name, note, ...groups.map(group => group.gradeName)].some(one => one.toLowerCase().includes(text))
  const all = await db.batches.toArray()
  return all
    .filter(batch => batch.deletedAt === null && has(batch))
    .sort((one, other) => compareInstants(other.updatedAt, one.updatedAt))
}

async function newestBatches(most: number, text: string): Promise<SomeBatches> {
  const found = text === '' ? null : await batchesWith(text)
  const ids = found?.map(batch => batch.id) ?? (await idsThere())
  const records = found ?? (await db.batches.bulkGet(ids.slice(0, most))).flatMap(batch => batch ?? [])
  return {
    batches: withBlades(records.slice(0, most), await bladesOfBatches(ids.slice(0, most))),
    total: ids.length,
  }
}

/** The newest batches that are not deleted; with a text, those with it in their name, steels or note. Undefined while loading. */
export const useNewestBatches = (most: number, text = ''): SomeBatches | undefined =>
  useLiveQuery(
    () =>
      db
        .transaction('r', db.batches, db.blades, () => newestBatches(most, text.trim().toLowerCase()))
        .catch(() => ({ batches: [], total: 0 })),
    [most, text],
  )

/** Batches that were deleted and rest, with what hangs on them; those that went last first. */
export const useDeletedBatches = (): readonly Batch[] | undefined =>
  useLiveQuery(
    () =>
      db
        .transaction('r', db.batches, db.blades, async () => {
          const records = await db.batches.orderBy('deletedAt').toArray()
          const ids = records.map(batch => batch.id)
          return withBlades(
            records.sort((a, b) => compareInstants(b.deletedAt ?? '', a.deletedAt ?? '')),
            await bladesOfBatches(ids),
          )
        })
        .catch(() => []),
    [],
  )

/** Batches that were begun in a year of the calendar here, oldest first. */
export const useBatchesOfYear = (year: number): readonly Batch[] | undefined =>
  useLiveQuery(
    () =>
      db
        .transaction('r', db.batches, db.blades, async () => {
          const from = new Date(year, 0, 1).toISOString()
          const to = new Date(year + 1, 0, 1).toISOString()
          const records = await db.batches
            .where('createdAt')
            .between(from, to)
            .filter(batch => batch.deletedAt === null)
            .toArray()
          const ids = records.map(batch => batch.id)
          return withBlades(records, await bladesOfBatches(ids))
        })
        .catch(() => []),
    [year],
  )

/** The year the oldest batch was begun in; this year where there is none. */
export const useFirstYear = (): number | undefined =>
  useLiveQuery(async () => {
    const oldest = await orNull(db.batches.orderBy('createdAt').first())
    return oldest ? new Date(oldest.createdAt).getFullYear() : new Date().getFullYear()
  }, [])

/** Ids of the batches that were read last, newest first, so many at most; undefined while loading. */
export const useLatestReadIds = (most: number): readonly string[] | undefined =>
  useLiveQuery(async () => {
    const ids = new Set<string>()
    await noneIfRefused(
      db.readings
        .orderBy('at')
        .reverse()
        .until(() => ids.size >= most)
        .filter(reading => reading.deletedAt === null && ids.add(reading.batchId).size > 0)
        .toArray(),
    )
    return [...ids].slice(0, most)
  }, [most])

export const useReadings = (batchId: string): Reading[] | undefined =>
  useLiveQuery(
    () =>
      noneIfRefused(
        // In the order they were taken.
        db.readings
          .where('batchId')
          .equals(batchId)
          .filter(r => r.deletedAt === null)
          .sortBy('at'),
      ),
    [batchId],
  )

/** Returns the readings of some batches, in order. Undefined while they or the batches are read. */
export const useReadingsOf = (batches: readonly { readonly id: string }[] | undefined): Reading[] | undefined => {
  const ids = batches?.map(batch => batch.id)
  return useLiveQuery(
    async () =>
      ids &&
      noneIfRefused(
        readingsOfBatches(ids).then(readings => readings.sort((one, other) => compareInstants(one.at, other.at))),
      ),
    [ids?.join(' ')],
  )
}

export const useRecipes = (): Recipe[] | undefined => useLiveQuery(() => noneIfRefused(db.recipes.toArray()), [])

export const useRecipe = (id: string): Loaded<Recipe> => useLiveQuery(() => orNull(db.recipes.get(id)), [id])

/** The maker's own grades; none while loading. */
export const useOwnGrades = (): GradeSheet[] | undefined =>
  useLiveQuery(() => noneIfRefused(db.ownGrades.orderBy('name').toArray()), [])

/** Logs of an oven, newest first. */
export const useOvenLogs = (ovenId: string): OvenLog[] | undefined =>
  useLiveQuery(
    () =>
      noneIfRefused(
        db.logs
          .where('ovenId')
          .equals(ovenId)
          .and(isThere)
          .toArray()
          .then(logs => logs.sort((a, b) => compareInstants(b.addedAt, a.addedAt))),
      ),
    [ovenId],
  )

/** Logs that were taken off, the newest of them first; undefined while loading. */
export const useDeletedLogs = (): readonly OvenLog[] | undefined =>
  useLiveQuery(
    () =>
      noneIfRefused(
        db.logs
          .filter(log => !isThere(log))
          .toArray()
          .then(logs => logs.sort((a, b) => compareInstants(b.deletedAt ?? '', a.deletedAt ?? ''))),
      ),
    [],
  )

/** Logs of a batch, newest first. */
export const useBatchLogs = (batchId: string): OvenLog[] | undefined =>
  useLiveQuery(
    () =>
      noneIfRefused(
        db.logs
          .where('batchId')
          .equals(batchId)
          .and(isThere)
          .toArray()
          .then(logs => logs.sort((a, b) => compareInstants(b.addedAt, a.addedAt))),
      ),
    [batchId],
  )

/** The workshop's settings; undefined while loading. */
export const useShop = (): Workshop | undefined =>
  useLiveQuery(async () => {
    const shop = (await orNull(db.shop.get('shop'))) ?? DEFAULT_WORKSHOP
    shownShop.set(shop)
    return shop
  }, [])

export const useSaveTrouble = (): SaveTrouble | null =>
  useSyncExternalStore(saveTrouble.subscribe, saveTrouble.get, () => null)
