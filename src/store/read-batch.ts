import type { Batch } from '../core/shop/batch'
import { isThere } from '../core/shop/there'
import { db } from './database'

/** A stored batch with its blades; undefined where there is none. */
export async function readBatch(id: string): Promise<Batch | undefined> {
  const [record, blades] = await Promise.all([db.batches.get(id), db.blades.where('batchId').equals(id).toArray()])
  return record && { ...record, blades }
}

/** Whether anything was done to a batch's blades that rests on its routes: they stay as they were then. */
export async function isBegun({ id, blades }: Batch): Promise<boolean> {
  if (blades.some(blade => blade.inspection || blade.files?.length || blade.tempers?.length)) return true
  const readings = db.readings.where('batchId').equals(id)
  const logs = db.logs.where('batchId').equals(id).and(isThere)
  const ran = db.runs
    .where('batchIds')
    .equals(id)
    .filter(run => run.mode === 'shop')
  return (await readings.count()) + (await logs.count()) + (await ran.count()) > 0
}
