import type { Table as DexieTable } from 'dexie'
import type { WorkshopData } from '../core/files/exchange'
import { piecesOf, rowsIn, rowsTold, TABLES, type Table, type ToldShare, UNTOLD } from '../core/files/pieces'
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

/** Where each table of a workshop file is stored. */
export const storedIn = (table: Table) =>
  (table === 'grades' ? db.ownGrades : db[table]) as unknown as DexieTable<unknown, string>

/** Writes records of every kind, and that something was laid down here. Runs inside a transaction on all tables. */
export async function putRecords(data: WorkshopData, told: ToldShare = UNTOLD): Promise<void> {
  const doneRows = rowsTold(rowsIn(data), told)
  for (const table of TABLES)
    for (const rows of piecesOf<unknown>(data[table])) {
      await storedIn(table).bulkPut(rows)
      doneRows(rows.length)
    }
  await db.meta.put({ key: 'seeded', value: new Date().toISOString() })
}
