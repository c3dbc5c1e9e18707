import { Dexie } from 'dexie'
import type { Blade } from '../core/shop/blade'
import type { Reading } from '../core/shop/reading'
import type { Run } from '../core/shop/run'
import { db } from './database'

type Ids = readonly string[]

/** Each batch's records are read at one go: a cursor that leaps from batch to batch takes several times as long. */
const each = async <T>(ids: Ids, read: (id: string) => PromiseLike<T[]>): Promise<T[]> =>
  (await Promise.all([...new Set(ids)].map(read))).flat()

/** Ids of the batches that are not deleted, the one changed last first. Ids come at one go: a cursor takes several times as long. */
export async function idsThere(): Promise<string[]> {
  const [ids, deleted] = await Promise.all([
    db.batches.orderBy('updatedAt').primaryKeys(),
    db.batches.orderBy('deletedAt').primaryKeys(),
  ])
  const gone = new Set(deleted)
  return ids.filter(id => !gone.has(id)).reverse()
}

/** The blades of some batches. */
export const bladesOfBatches = (ids: Ids): Promise<Blade[]> =>
  each(ids, id => db.blades.where('batchId').equals(id).toArray())

/** Returns the readings of some batches, without those taken out. */
export const readingsOfBatches = async (ids: Ids): Promise<Reading[]> =>
  (await each(ids, id => db.readings.where('batchId').equals(id).toArray())).filter(
    reading => reading.deletedAt === null,
  )

/**
 * Those of some batches that nothing was ever read of. They are looked up past the library, which needs half a millisecond for each of
 * some hundred; what waits for a change of the readings has to read them by it as well.
 */
export const neverRead = (ids: Ids): PromiseLike<string[]> =>
  new Dexie.Promise((resolve, reject) => {
    const unread: string[] = []
    const transaction = db.backendDB().transaction('readings')
    const ofBatch = transaction.objectStore('readings').index('batchId')
    for (const id of ids) {
      const first = ofBatch.getKey(id)
      first.onsuccess = () => first.result === undefined && unread.push(id)
    }
    transaction.oncomplete = () => resolve(unread)
    transaction.onabort = () => reject(transaction.error)
  })

/** The runs of some batches, each once. */
export const runsOfBatches = async (ids: Ids): Promise<Run[]> => {
  const runs = await each(ids, id => db.runs.where('batchIds').equals(id).toArray())
  return [...new Map(runs.map(run => [run.id, run])).values()]
}
