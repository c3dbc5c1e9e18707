import type { WorkshopData } from '../files/exchange'
import { TABLES } from '../files/pieces'
import { LONGEST } from '../shop/bounds'
import { isSame } from './parts'

type Row = { readonly id: string; readonly batchId?: string | null; readonly batchIds?: readonly string[] }

/** Returns the id of a copy of another workshop's record: the same each time that workshop's file is read. */
const copyId = (id: string, origin: string): string => `${id.slice(0, 100)}~${origin.slice(0, 8)}`

/** The same value with some ids exchanged, wherever they stand. */
function withIds(value: unknown, ids: ReadonlyMap<string, string>): unknown {
  if (typeof value === 'string') return ids.get(value) ?? value
  if (Array.isArray(value)) return value.map(one => withIds(one, ids))
  if (typeof value !== 'object' || value === null) return value
  return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, withIds(one, ids)]))
}

const rowsOf = (log: WorkshopData, table: (typeof TABLES)[number]) => log[table] as readonly Row[]
const batchesOf = (row: Row): readonly string[] => row.batchIds ?? (row.batchId ? [row.batchId] : [row.id])

/**
 * Another workshop's file as it is laid beside a log: nothing of the log is ever overwritten by it. What is not here comes as it is;
 * a record whose id is here with something else in it becomes a copy, named after its workshop, a batch with all that is of it.
 * Read again, the file brings nothing that is here already.
 */
export function asGuests(here: WorkshopData, file: WorkshopData): WorkshopData {
  const own = new Map(TABLES.map(table => [table, new Map(rowsOf(here, table).map(row => [row.id, row]))]))
  const clashes = (table: (typeof TABLES)[number]) =>
    rowsOf(file, table).filter(row => {
      const mine = own.get(table)?.get(row.id)
      return mine !== undefined && !isSame(mine, row)
    })
  const ofBatches = ['batches', 'blades', 'readings', 'runs', 'logs', 'pictures'] as const
  const copied = new Set([
    ...ofBatches.flatMap(clashes).flatMap(batchesOf),
    ...clashes('recipes').map(row => row.id),
    ...clashes('grades').map(row => row.id),
  ])
  const ids = new Map<string, string>()
  for (const table of TABLES)
    for (const row of rowsOf(file, table))
      if (
        copied.has(row.id) ||
        (table !== 'recipes' && table !== 'grades' && batchesOf(row).some(id => copied.has(id)))
      )
        ids.set(row.id, copyId(row.id, file.shop.origin))
  const { name } = file.shop
  const named = (row: object, longest: number) =>
    'id' in row && 'name' in row && ids.has(row.id as string)
      ? { ...row, name: `${String(row.name).slice(0, longest - name.length - 3)} (${name})`.slice(0, longest) }
      : row
  const guest = {
    ...file,
    batches: file.batches.map(row => named(row, LONGEST.batchName)),
    recipes: file.recipes.map(row => named(row, LONGEST.recipeName)),
    grades: file.grades.map(row => named(row, LONGEST.gradeName)),
  }
  return {
    ...file,
    ...Object.fromEntries(
      TABLES.map(table => [table, (withIds(guest[table], ids) as Row[]).filter(row => !own.get(table)?.has(row.id))]),
    ),
    // Its screens are of another workshop: what they changed is nobody’s change here.
    seen: {},
    stamps: [],
  }
}
