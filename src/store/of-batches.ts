import type { Blade } from '../core/shop/blade'
import type { Reading } from '../core/shop/reading'
import type { Run } from '../core/shop/run'
import { db } from './database'

type Ids = readonly string[]

/** Each batch's records are read at one go: a cursor that leaps from batch to batch takes several times as long. */
const each = async <T>(ids: Ids, read: (id: string) => PromiseLike<T[]>): Promise<T[]> =>
  (await Promise.all([...new Set(ids)].map(read))).flat()

/** The blades of some batches. */
export const bladesOfBatches = (ids: Ids): Promise<Blade[]> =>
  each(ids, id => db.blades.where('batchId').equals(id).toArray())

/** What was read of some batches, without what was taken out. */
export const readingsOfBatches = async (ids: Ids): Promise<Reading[]> =>
  (await each(ids, id => db.readings.where('batchId').equals(id).toArray())).filter(
    reading => reading.deletedAt === null,
  )

/** The runs of some batches, each once. */
export const runsOfBatches = async (ids: Ids): Promise<Run[]> => {
  const runs = await each(ids, id => db.runs.where('batchIds').equals(id).toArray())
  return [...new Map(runs.map(run => [run.id, run])).values()]
}
