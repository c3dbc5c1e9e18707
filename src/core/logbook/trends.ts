import { latestStage, temperOf } from '../batch/hardness-stages'
import { bladesOf } from '../batch/tray'
import { groupHardness } from '../hardness/hardness'
import { groupBy } from '../numeric/group-by'
import { compareInstants } from '../numeric/instants'
import type { Batch, BatchGroup } from '../shop/batch'
import type { Reading } from '../shop/reading'
import type { Tester } from '../shop/workshop'
import { memoPredictions, type PredictedOf } from './logbook'
import type { TrendBy } from './trend-by'

/** One batch's finished blades of a steel as one value of a chart, in the order of time. */
export interface TrendPoint {
  readonly at: string
  readonly batch: string
  readonly batchId: string
  /** Hardness of the blades that belong together, HRC, and less what was predicted. */
  readonly hrc: number
  readonly off: number | null
  readonly blades: number
  readonly target: { readonly min: number; readonly max: number }
}

export interface Trend {
  /** Common key of its points: the id of a grade, recipe or oven, or the name of a lot. */
  readonly key: string
  /** Its name in its newest batch. */
  readonly name: string
  readonly points: readonly TrendPoint[]
}

const sharedBy = (batch: Batch, group: BatchGroup, by: TrendBy): { key: string; name: string } =>
  ({
    grade: { key: group.gradeId, name: group.gradeName },
    recipe: { key: group.recipeId ?? '', name: group.recipeId ?? '' },
    oven: { key: batch.ovenId ?? '', name: batch.ovenName },
    lot: { key: group.lot ?? '', name: group.lot ?? '' },
  })[by]

/**
 * Finished blades batch by batch, sorted out by steel, recipe, oven or lot; oldest first. The last temper that was read counts;
 * blades that stand apart are left out, as everywhere. Groups of a batch are points of their own.
 */
export function trendsOf(
  readings: readonly Reading[],
  batches: readonly Batch[],
  tester: Tester,
  by: TrendBy,
): Trend[] {
  const byBatch = groupBy(
    readings.filter(r => r.deletedAt === null),
    r => r.batchId,
  )
  const predictedOf = memoPredictions()
  const trends = new Map<string, { name: string; points: TrendPoint[] }>()
  const oldestFirst = [...batches].sort((a, b) => compareInstants(a.createdAt, b.createdAt))
  for (const batch of oldestFirst)
    for (const group of batch.groups) {
      const { key, name } = sharedBy(batch, group, by)
      const point = key === '' ? null : pointOf(batch, group, byBatch.get(batch.id) ?? [], { tester, predictedOf })
      if (!point) continue
      const points = trends.get(key)?.points ?? []
      points.push(point)
      trends.set(key, { name, points })
    }
  return [...trends]
    .map(([key, { name, points }]) => ({ key, name, points: points.sort((a, b) => compareInstants(a.at, b.at)) }))
    .sort((a, b) => b.points.length - a.points.length)
}

function pointOf(
  batch: Batch,
  group: BatchGroup,
  readings: readonly Reading[],
  { tester, predictedOf }: { readonly tester: Tester; readonly predictedOf: PredictedOf },
): TrendPoint | null {
  const blades = bladesOf(batch, group.id)
  const ids = new Set(blades.map(b => b.id))
  const own = readings.filter(r => r.bladeId !== null && ids.has(r.bladeId))
  const stage = latestStage(group.route, own)
  if (!stage || temperOf(stage) === null) return null
  const hardness = groupHardness(batch, group.id, stage, { readings: own, tester })
  const first = blades.find(b => hardness?.bladeIds.includes(b.id))
  if (!hardness || !first) return null
  const predicted = predictedOf(first, stage)
  return {
    at: own.reduce((least, r) => (r.at < least ? r.at : least), own[0]?.at ?? batch.createdAt),
    batch: batch.name,
    batchId: batch.id,
    hrc: hardness.hrc,
    off: predicted === null ? null : hardness.hrc - predicted,
    blades: hardness.bladeIds.length,
    target: group.target,
  }
}
