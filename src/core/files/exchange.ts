import * as z from 'zod/mini'
import { fail, ok, type Result } from '../codes/result'
import { batchRecordSchema } from '../shop/batch'
import { bladeSchema } from '../shop/blade'
import { gradeSheetSchema } from '../shop/grade-sheet'
import { ovenLogSchema } from '../shop/oven-log'
import { pictureSchema } from '../shop/picture'
import { problemsOf } from '../shop/problems'
import type { ReadOnly } from '../shop/read-only'
import { readingSchema } from '../shop/reading'
import { recipeSchema } from '../shop/recipe'
import { runSchema } from '../shop/run'
import { type StoredWorkshop, workshopWithIds } from '../shop/upgrade-to-ids'
import { batchWithSetParts, logWithLoad, runWithBlades, shopWithOvens, shopWithSaid } from '../shop/upgrades'
import { workshopSchema } from '../shop/workshop'

/** Says that a file is ours, and which version of its shape it has. */
export const EXCHANGE_FORMAT = 'tawny-ember-workshop'
export const EXCHANGE_VERSION = 9

export const exchangeSchema = z.object({
  format: z.literal(EXCHANGE_FORMAT),
  version: z.literal(EXCHANGE_VERSION),
  exportedAt: z.iso.datetime(),
  shop: workshopSchema,
  batches: z.array(batchRecordSchema).check(z.maxLength(20_000)),
  blades: z.array(bladeSchema).check(z.maxLength(200_000)),
  readings: z.array(readingSchema).check(z.maxLength(500_000)),
  recipes: z.array(recipeSchema).check(z.maxLength(5_000)),
  runs: z.array(runSchema).check(z.maxLength(20_000)),
  grades: z.array(gradeSheetSchema).check(z.maxLength(1_000)),
  logs: z.array(ovenLogSchema).check(z.maxLength(5_000)),
  pictures: z.array(pictureSchema).check(z.maxLength(20_000)),
})

/** Everything a workshop holds, as one file. */
export type Exchange = ReadOnly<z.infer<typeof exchangeSchema>>
export type WorkshopData = Omit<Exchange, 'format' | 'version' | 'exportedAt'>

/** Everything as the text of a workshop file, of the present version; `exportedAt` an ISO instant. */
export const exportText = (data: WorkshopData, exportedAt: string): string =>
  `${JSON.stringify({ format: EXCHANGE_FORMAT, version: EXCHANGE_VERSION, exportedAt, ...data }, null, 1)}\n`

/** Files of an age that did not say whose they are. */
export const NO_ORIGIN = 'before-origins'

type StoredFile = Record<string, unknown>

const isStored = (value: unknown): value is StoredFile => typeof value === 'object' && value !== null
const rowsOf = (value: unknown): StoredFile[] => (Array.isArray(value) ? value.filter(isStored) : [])

/** What each older version of the file lacks, oldest first: a file of version n is brought to n + 1 by entry n − 1. */
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
export function parseExchange(text: string): Result<Exchange> {
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
  const whole = exchangeSchema.safeParse(upgraded)
  if (whole.success) return ok(whole.data)
  const problems = problemsOf(whole.error, upgraded)
  return fail(
    'file-broken',
    { found: problems.slice(0, MOST_PROBLEMS), more: Math.max(0, problems.length - MOST_PROBLEMS) },
    problems[0]?.path,
  )
}
