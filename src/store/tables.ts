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
    db.stamps,
    db.differences,
    db.shop,
    db.meta,
  ] as const

/** Where each table of a workshop file is stored. */
export const storedIn = (table: Table) =>
  (table === 'grades' ? db.ownGrades : db[table]) as unknown as DexieTable<unknown, string>

/** Writes records of every kind, and that something was laid down here. Runs inside a transaction on all tables. */
export async function putRecords(data: WorkshopData, told: ToldShare = UNTOLD): Promise<void> {
  const doneRows = rowsTold(rowsIn(data), told)
  // The next piece is under way while one is waited for: otherwise the storage would stand idle between them.
  let before: PromiseLike<void> = Promise.resolve()
  for (const table of TABLES)
    for (const rows of piecesOf<unknown>(data[table])) {
      const put = storedIn(table)
        .bulkPut(rows)
        .then(() => doneRows(rows.length))
      // One that fails is heard of in its turn.
      put.catch(() => undefined)
      await before
      before = put
    }
  await before
  await db.meta.put({ key: 'seeded', value: new Date().toISOString() })
}
