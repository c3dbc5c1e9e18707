import type { Workshop } from '../shop/workshop'
import type { WorkshopData } from './exchange'

/** The tables of a workshop file, in the order they are checked, written and stored in. */
export const TABLES = [
  'batches',
  'blades',
  'readings',
  'recipes',
  'runs',
  'grades',
  'logs',
  'pictures',
  'stamps',
] as const
export type Table = (typeof TABLES)[number]

/** Rows that are checked, written or stored at one go: between them the share done is told. */
const PIECE_ROWS = 1000

/** Is told how much is done, 0 to 1. */
export type ToldShare = (share: number) => void
export const UNTOLD: ToldShare = () => undefined

/** How many rows there are in all tables; what is no list has none. */
export const rowsIn = (data: Readonly<Partial<Record<Table, unknown>>>): number =>
  TABLES.reduce((sum, table) => sum + (Array.isArray(data[table]) ? data[table].length : 0), 0)

/** Tells the share of rows that are done, of so many. */
export function rowsTold(all: number, told: ToldShare): (rows: number) => void {
  let done = 0
  return rows => {
    done += rows
    told(all > 0 ? Math.min(1, done / all) : 1)
  }
}

/** A list in pieces of no more rows than are done at one go. */
export function* piecesOf<T>(rows: readonly T[]): Generator<readonly T[]> {
  for (let at = 0; at < rows.length; at += PIECE_ROWS) yield rows.slice(at, at + PIECE_ROWS)
}

/** A workshop with settings and nothing in it. */
export const emptyData = (shop: Workshop): WorkshopData => ({
  seen: {},
  shop,
  batches: [],
  blades: [],
  readings: [],
  recipes: [],
  runs: [],
  grades: [],
  logs: [],
  pictures: [],
  stamps: [],
})
