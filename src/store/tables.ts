import type { WorkshopData } from '../core/files/exchange'
import { db } from './database'

/** Everything that a workshop's file holds, and what says that it was laid down. */
export const allTables = () =>
  [
    db.batches,
    db.blades,
    db.readings,
    db.recipes,
    db.runs,
    db.ownGrades,
    db.logs,
    db.pictures,
    db.shop,
    db.meta,
  ] as const

/** Writes records of every kind, and that something was laid down here. Runs inside a transaction on all tables. */
export async function putRecords(data: WorkshopData): Promise<void> {
  await db.batches.bulkPut([...data.batches])
  await db.blades.bulkPut([...data.blades])
  await db.readings.bulkPut([...data.readings])
  await db.recipes.bulkPut([...data.recipes])
  await db.runs.bulkPut([...data.runs])
  await db.ownGrades.bulkPut([...data.grades])
  await db.logs.bulkPut([...data.logs])
  await db.pictures.bulkPut([...data.pictures])
  await db.meta.put({ key: 'seeded', value: new Date().toISOString() })
}
