import * as z from 'zod/mini'
import { type Problem, problem } from '../codes/problem'
import { fail, ok, type Result } from '../codes/result'
import { problemsOf } from '../shop/problems'
import { type StoredWorkshop, workshopWithIds } from '../shop/upgrade-to-ids'
import { batchWithSetParts, logWithLoad, runWithBlades, shopWithOvens, shopWithSaid } from '../shop/upgrades'
import { EXCHANGE_FORMAT, EXCHANGE_VERSION, type Exchange, exchangeSchema, MOST_ROWS } from './exchange'
import { piecesOf, rowsIn, rowsTold, TABLES, type Table, type ToldShare, UNTOLD } from './pieces'

/** Files of an age that did not say whose they are. */
export const NO_ORIGIN = 'before-origins'

type StoredFile = Record<string, unknown>

const isStored = (value: unknown): value is StoredFile => typeof value === 'object' && value !== null
const rowsOf = (value: unknown): StoredFile[] => (Array.isArray(value) ? value.filter(isStored) : [])

/** Upgrades of older file versions, oldest first: entry n − 1 brings a file of version n to n + 1. */
const UPGRADES: readonly ((file: StoredFile) => StoredFile)[] = [
  // 2: the maker's own grades.
  file => ({ ...file, version: 2, grades: [] }),
  // 3: several ovens, and their logs.
  file => ({ ...file, version: 3, logs: [], shop: isStored(file.shop) ? shopWithOvens(file.shop) : file.shop }),
  // 4: logs know which load of their batch they are of.
  file => ({ ...file, version: 4, logs: logsWithLoads(file) }),
  // 5: blades, ovens and grades are known by ids.
  file => ({
    ...file,
    version: 5,
    ...(isStored(file.shop) ? workshopWithIds(tablesOf(file, file.shop), NO_ORIGIN) : {}),
  }),
  // 6: which parts of a route the maker set.
  file => ({ ...file, version: 6, batches: rowsOf(file.batches).map(batchWithSetParts) }),
  // 7: what the maker has said of the shop, and whether it is made up.
  file => ({ ...file, version: 7, shop: isStored(file.shop) ? shopWithSaid(file.shop) : file.shop }),
  // 8: runs know their blades and may be of several batches.
  file => ({
    ...file,
    version: 8,
    runs: rowsOf(file.runs).map(run => runWithBlades(run, isStored(file.shop) && file.shop.isDemo === true)),
  }),
  // 9: pictures of blades.
  file => ({ ...file, version: 9, pictures: [] }),
  // 10: when and where each part was changed.
  file => ({ ...file, version: 10, seen: {}, stamps: [] }),
  // 11: what was cut from the roll, each cut by itself. The roll of a file before has the cuts in its count.
  file => ({ ...file, version: 11 }),
]

const tablesOf = (file: StoredFile, shop: StoredFile): StoredWorkshop => ({
  shop,
  batches: rowsOf(file.batches),
  readings: rowsOf(file.readings),
  recipes: rowsOf(file.recipes),
  runs: rowsOf(file.runs),
  grades: rowsOf(file.grades),
  logs: rowsOf(file.logs),
})

function logsWithLoads(file: StoredFile): unknown {
  const byId = new Map(rowsOf(file.batches).map(batch => [batch.id, batch]))
  return rowsOf(file.logs).map(log => logWithLoad(log, byId.get(log.batchId)))
}

const headSchema = z.object({ format: z.string(), version: z.int().check(z.minimum(1)) })

/** Problems of a broken file that are worth saying; the rest is counted. */
const MOST_PROBLEMS = 5

/**
 * Reads a workshop file of any version whole or not at all. Errors: 'file-not-json', 'file-not-ours', 'file-newer',
 * 'file-broken' (with what does not fit).
 */
export function parseExchange(text: string, told: ToldShare = UNTOLD): Result<Exchange> {
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch {
    return fail('file-not-json', {})
  }
  const head = headSchema.safeParse(json)
  if (!head.success || head.data.format !== EXCHANGE_FORMAT) return fail('file-not-ours', {})
  if (head.data.version > EXCHANGE_VERSION)
    return fail('file-newer', { version: head.data.version, known: EXCHANGE_VERSION })
  const upgraded = UPGRADES.slice(head.data.version - 1).reduce((file, upgrade) => upgrade(file), json as StoredFile)
  const fits = checkedInPieces(upgraded, told)
  if (fits) return sound(fits)
  // What does not fit is named by its place in the whole.
  const whole = exchangeSchema.safeParse(upgraded)
  return whole.success ? sound(whole.data) : broken(problemsOf(whole.error, upgraded))
}

const broken = (problems: readonly Problem[]): Result<never> =>
  fail(
    'file-broken',
    { found: problems.slice(0, MOST_PROBLEMS), more: Math.max(0, problems.length - MOST_PROBLEMS) },
    problems[0]?.path,
  )

/** A file whose rows each fit; refused where two have one id, or one tells of a time no workshop had. */
function sound(file: Exchange): Result<Exchange> {
  const problems = TABLES.flatMap(table => [...idsTwice(table, file[table]), ...impossibleTimes(table, file[table])])
  return problems.length > 0 ? broken(problems) : ok(file)
}

function idsTwice(table: Table, rows: readonly { readonly id: string }[]): Problem[] {
  const seen = new Set<string>()
  return rows.flatMap(({ id }, i) => {
    const isTwice = seen.has(id)
    seen.add(id)
    return isTwice ? [problem('id-twice', {}, `${table}.${i}.id`)] : []
  })
}

const INSTANT = /^(\d{4})-\d\d-\d\dT/
/** Before the application's time, and after anybody's: a clock was wrong. */
const YEARS = { first: 1990, last: 2100 }

/** Times outside of what a workshop can have noted, wherever they stand in a row. */
function impossibleTimes(path: string, value: unknown): Problem[] {
  if (typeof value === 'string') {
    const year = Number(INSTANT.exec(value)?.[1] ?? YEARS.first)
    return year < YEARS.first || year > YEARS.last ? [problem('time-impossible', YEARS, path)] : []
  }
  if (typeof value !== 'object' || value === null) return []
  return Object.entries(value).flatMap(([key, part]) => impossibleTimes(`${path}.${key}`, part))
}

const restSchema = z.omit(exchangeSchema, Object.fromEntries(TABLES.map(table => [table, true])) as Record<Table, true>)

/** A file with each of its rows checked, piece by piece; null where anything does not fit. */
function checkedInPieces(file: StoredFile, told: ToldShare): Exchange | null {
  const rest = restSchema.safeParse(file)
  if (!rest.success) return null
  const doneRows = rowsTold(rowsIn(file), told)
  const tables: Partial<Record<Table, unknown[]>> = {}
  for (const table of TABLES) {
    const rows = file[table]
    if (!Array.isArray(rows) || rows.length > MOST_ROWS[table]) return null
    const checked: unknown[] = []
    for (const piece of piecesOf(rows)) {
      const fits = exchangeSchema.shape[table].safeParse(piece)
      if (!fits.success) return null
      checked.push(...fits.data)
      doneRows(piece.length)
    }
    tables[table] = checked
  }
  return { ...rest.data, ...tables } as Exchange
}
