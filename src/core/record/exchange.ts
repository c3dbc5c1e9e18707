import { z } from 'zod'
import { fail, ok, type Result } from '../result'
import { gradeSheetSchema } from './grade-sheet'
import { problemsOf } from './problems'
import { batchSchema, ovenLogSchema, readingSchema, recipeSchema, runSchema, workshopSchema } from './schemas'
import { logWithLoad, shopWithOvens } from './upgrades'

/** Says that a file is ours, and which version of its shape it has. */
export const EXCHANGE_FORMAT = 'tawny-ember-workshop'
export const EXCHANGE_VERSION = 4

const exchangeSchema = z.object({
  format: z.literal(EXCHANGE_FORMAT),
  version: z.literal(EXCHANGE_VERSION),
  exportedAt: z.iso.datetime(),
  shop: workshopSchema,
  batches: z.array(batchSchema).max(20_000),
  readings: z.array(readingSchema).max(500_000),
  recipes: z.array(recipeSchema).max(5_000),
  runs: z.array(runSchema).max(20_000),
  grades: z.array(gradeSheetSchema).max(1_000),
  logs: z.array(ovenLogSchema).max(5_000),
})

/** Everything a workshop holds, as one file. */
export type Exchange = z.infer<typeof exchangeSchema>
export type WorkshopData = Omit<Exchange, 'format' | 'version' | 'exportedAt'>

export const exportText = (data: WorkshopData, exportedAt: string): string =>
  `${JSON.stringify({ format: EXCHANGE_FORMAT, version: EXCHANGE_VERSION, exportedAt, ...data }, null, 1)}\n`

/** What each older version of the file lacks, oldest first: a file of version n is brought to n + 1 by entry n − 1. */
const UPGRADES: readonly ((file: Record<string, unknown>) => Record<string, unknown>)[] = [
  // 2: the maker's own grades.
  file => ({ ...file, version: 2, grades: [] }),
  // 3: several ovens, and their logs.
  file => ({ ...file, version: 3, logs: [], shop: shopWithOvens(file.shop as Record<string, unknown>) }),
  // 4: logs know which load of their batch they are of.
  file => ({ ...file, version: 4, logs: logsWithLoads(file) }),
]

function logsWithLoads({ logs, batches }: Record<string, unknown>): unknown {
  if (!Array.isArray(logs) || !Array.isArray(batches)) return logs
  const byId = new Map(batches.map(batch => [batch?.id, batch]))
  return logs.map(log => (typeof log === 'object' && log !== null ? logWithLoad(log, byId.get(log.batchId)) : log))
}

const headSchema = z.object({ format: z.string(), version: z.number() })

/** Problems of a broken file that are worth saying; the rest is counted. */
const MOST_PROBLEMS = 5

/**
 * Reads a workshop file whole or not at all. Errors: 'not-json', 'not-ours', 'newer', 'broken' (with the paths of
 * what does not fit).
 */
export function parseExchange(text: string): Result<Exchange> {
  let json: unknown
  try {
    json = JSON.parse(text)
  } catch {
    return fail(
      'not-json',
      'This file is not readable: it is cut off, or not a workshop file. Nothing was changed. Export it again where it came from.',
    )
  }
  const head = headSchema.safeParse(json)
  if (!head.success || head.data.format !== EXCHANGE_FORMAT)
    return fail(
      'not-ours',
      'This is not a workshop file of this application. Nothing was changed. Choose a file made by “Save everything”.',
    )
  if (head.data.version > EXCHANGE_VERSION)
    return fail(
      'newer',
      `This file was written by a newer version of the application (file version ${head.data.version}, this one reads ${EXCHANGE_VERSION}). Nothing was changed. Update, then read it again.`,
    )
  const upgraded = UPGRADES.slice(Math.max(0, head.data.version - 1)).reduce(
    (file, upgrade) => upgrade(file),
    json as Record<string, unknown>,
  )
  const whole = exchangeSchema.safeParse(upgraded)
  if (whole.success) return ok(whole.data)
  const problems = problemsOf(whole.error)
  const shown = problems
    .slice(0, MOST_PROBLEMS)
    .map(p => `${p.path} ${p.message}`)
    .join('; ')
  const more = problems.length > MOST_PROBLEMS ? `, and ${problems.length - MOST_PROBLEMS} more` : ''
  return fail('broken', `This file is damaged: ${shown}${more}. Nothing was changed.`, problems[0]?.path)
}
