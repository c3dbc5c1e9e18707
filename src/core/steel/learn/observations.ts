import type { Batch, Reading } from '../../record/schemas'
import { predictedAt, routeUpTo } from '../../rockwell/stages'
import { gradeOf } from '../grades'
import { predict } from '../predict'
import { combinedParameter } from '../tempering'
import type { Observation } from './fit-shop'

const DAY_MS = 86_400_000
export const dayOf = (iso: string): number => Math.floor(Date.parse(iso) / DAY_MS)

/**
 * What a shop's readings say beside the charts: one observation for each group and stage, its readings pooled.
 * `exceptBatchId` leaves out the batch that is being judged, so that it can not confirm itself.
 */
export function observationsOf(
  batches: readonly Batch[],
  readings: readonly Reading[],
  exceptBatchId: string | null = null,
): Observation[] {
  const sets = new Map<string, Reading[]>()
  for (const reading of readings) {
    if (reading.deletedAt !== null || reading.batchId === exceptBatchId) continue
    const key = `${reading.batchId}/${reading.groupId}/${reading.stage}`
    const set = sets.get(key)
    if (set) set.push(reading)
    else sets.set(key, [reading])
  }
  const byId = new Map(batches.map(batch => [batch.id, batch]))
  return [...sets.values()].flatMap((set): Observation[] => {
    const [first] = set
    const batch = first && byId.get(first.batchId)
    const group = batch?.groups.find(g => g.id === first?.groupId)
    const grade = group && gradeOf(group)
    if (!first || !batch || batch.deletedAt !== null || !group || !grade) return []
    const route = routeUpTo(group.route, first.stage)
    const predicted = predictedAt(predict(grade, route), first.stage)
    if (predicted === null) return []
    return [
      {
        gradeName: grade.name,
        lot: group.lot ?? '',
        oven: batch.oven ?? '',
        day: dayOf(batch.createdAt),
        austenitizeC: route.austenitizeC,
        coldC: route.cold?.toC ?? route.quenchedToC,
        parameter: combinedParameter(route.tempers),
        batchId: batch.id,
        residual: medianOf(set.map(r => r.hrc)) - predicted,
        readings: set.length,
      },
    ]
  })
}

/** One bad packet must not speak for its whole batch. */
function medianOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const middle = Math.floor(sorted.length / 2)
  const high = sorted[middle] ?? 0
  return sorted.length % 2 === 1 ? high : ((sorted[middle - 1] ?? high) + high) / 2
}
