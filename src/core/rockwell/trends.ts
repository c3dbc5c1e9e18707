import type { Batch, Reading } from '../record/schemas'
import { type LogRow, logRows } from './logbook'
import { meanOf } from './mean'

export const TREND_BY = ['grade', 'recipe', 'oven', 'lot'] as const
export type TrendBy = (typeof TREND_BY)[number]

/** One batch's finished blades as one value of a chart, in the order of time. */
export interface TrendPoint {
  readonly at: string
  readonly batch: string
  readonly batchId: string
  /** Mean of the blades, HRC, and less what was predicted. */
  readonly hrc: number
  readonly off: number | null
  readonly blades: number
  readonly target: { readonly min: number; readonly max: number }
}

export interface Trend {
  readonly key: string
  readonly points: readonly TrendPoint[]
}

/**
 * Finished blades batch by batch, sorted out by steel, recipe, oven or lot; oldest first. Of each blade the last stage that was read
 * counts. Groups of a batch are points of their own.
 */
export function trendsOf(readings: readonly Reading[], batches: readonly Batch[], by: TrendBy): Trend[] {
  const byId = new Map(batches.map(batch => [batch.id, batch]))
  const groupOf = new Map(readings.map(r => [`${r.batchId}/${r.piece}/${r.stage}`, r.groupId]))
  const sets = new Map<string, { batch: Batch; groupId: string; rows: LogRow[] }>()
  for (const row of finished(logRows(readings, batches))) {
    const batch = byId.get(row.batchId)
    const groupId = groupOf.get(row.key) ?? ''
    if (!batch) continue
    const key = `${row.batchId}/${groupId}`
    const set = sets.get(key)
    if (set) set.rows.push(row)
    else sets.set(key, { batch, groupId, rows: [row] })
  }
  const trends = new Map<string, TrendPoint[]>()
  for (const { batch, groupId, rows } of sets.values()) {
    const group = batch.groups.find(g => g.id === groupId)
    if (!group) continue
    const name = { grade: group.gradeName, recipe: group.recipeId ?? '', oven: batch.oven ?? '', lot: group.lot ?? '' }[
      by
    ]
    if (name === '') continue
    const offs = rows.flatMap(r => (r.off === null ? [] : [r.off]))
    const point: TrendPoint = {
      at: rows.map(r => r.at).sort()[0] ?? batch.createdAt,
      batch: batch.name,
      batchId: batch.id,
      hrc: meanOf(rows.map(r => r.mean)),
      off: offs.length > 0 ? meanOf(offs) : null,
      blades: rows.length,
      target: group.target,
    }
    trends.set(name, [...(trends.get(name) ?? []), point])
  }
  return [...trends]
    .map(([key, points]) => ({ key, points: points.sort((a, b) => a.at.localeCompare(b.at)) }))
    .sort((a, b) => b.points.length - a.points.length)
}

/** Of each blade the row of its last temper. */
function finished(rows: readonly LogRow[]): LogRow[] {
  const last = new Map<string, LogRow>()
  for (const row of rows) {
    if (!row.stage.startsWith('temper')) continue
    const key = `${row.batchId}/${row.piece}`
    const known = last.get(key)
    if (!known || row.stage > known.stage) last.set(key, row)
  }
  return [...last.values()]
}
