import type { WorkshopData } from '../files/exchange'
import { emptyData } from '../files/pieces'
import { isSame, sharedForm } from '../joining/parts'
import { type Seen, type StampRow, stampRowId } from '../joining/stamp'
import { STAMPED_TABLES, type StampedTable } from '../joining/tables'
import type { Workshop } from '../shop/workshop'

/** Tables whose rows screens share. Runs are joined by their events and have no stamps. */
export const SHARED_TABLES = [...STAMPED_TABLES, 'runs'] as const
export type SharedTable = (typeof SHARED_TABLES)[number]

type Stored = { readonly id: string; readonly batchId?: string | null; readonly batchIds?: readonly string[] }

/** A record on its way between screens, with the stamps of its parts. */
export interface SharedRow {
  readonly table: SharedTable
  readonly id: string
  /** Null: it was removed. */
  readonly row: Stored | null
  readonly f: StampRow['f']
}

export const rowKey = ({ table, id }: Pick<SharedRow, 'table' | 'id'>): string => stampRowId(table, id)

/** Returns the ids of the batches that a record is of; a batch itself is of none. */
export const batchesOfRow = (row: Stored | null): readonly string[] =>
  row?.batchIds ?? (row?.batchId ? [row.batchId] : [])

/** Whether a row is a batch that was deleted. */
export const isDeletedBatch = ({ table, row }: SharedRow): boolean =>
  table === 'batches' && (row as { readonly deletedAt?: unknown } | null)?.deletedAt != null

/**
 * Adds to rows that came the batches they are of which are deleted here: a batch goes along where it is deleted on the other side, so
 * one that did not is there. `own`: the batches here.
 */
export function withLivingBatches(came: readonly SharedRow[], own: readonly SharedRow[]): SharedRow[] {
  const sent = new Set(came.map(rowKey))
  const parents = new Set(came.flatMap(({ row }) => batchesOfRow(row)))
  return [
    ...came,
    ...own
      .filter(one => isDeletedBatch(one) && parents.has(one.id) && !sent.has(rowKey(one)))
      .map(({ table, id, row, f: { deletedAt: _, ...f } }) => ({
        table,
        id,
        row: row && ({ ...row, deletedAt: null } as Stored),
        f,
      })),
  ]
}

/** Returns some rows as a log of their own; of its settings it has those given, where no row says otherwise. */
export function logOf(rows: Iterable<SharedRow>, seen: Seen, shop: Workshop): WorkshopData {
  const log = emptyData(shop)
  const tables = log as unknown as Record<SharedTable, Stored[]>
  let settings = shop
  for (const { table, id, row, f } of rows) {
    if (Object.keys(f).length > 0) (log.stamps as StampRow[]).push({ id: stampRowId(table, id), f })
    if (row === null) continue
    if (table === 'shop') settings = row as Workshop
    else tables[table].push(row)
  }
  return { ...log, seen, shop: settings }
}

/** Whether two states of a record are the same to all screens. */
export const isSameRow = (a: SharedRow, b: SharedRow): boolean => isSame(a.f, b.f) && isSame(sharedOf(a), sharedOf(b))

const sharedOf = ({ table, row }: SharedRow): unknown =>
  row && (table === 'runs' ? row : sharedForm(table as StampedTable, row))
