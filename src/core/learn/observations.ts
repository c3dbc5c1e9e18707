import { predictedAt, routeUpTo, stagesOf } from '../batch/hardness-stages'
import { routeAsRun } from '../batch/route-as-run'
import { groupHardness } from '../hardness/hardness'
import type { Batch } from '../shop/batch'
import type { Reading } from '../shop/reading'
import type { Tester } from '../shop/workshop'
import { gradeOf } from '../steel/grades'
import { predict } from '../steel/predict'
import { combinedParameter } from '../steel/tempering'
import type { Observation } from './fit-shop'

const DAY_MS = 86_400_000
/** Number of the day of an instant. */
export const dayOf = (iso: string): number => Math.floor(Date.parse(iso) / DAY_MS)

/**
 * Returns the observations of one batch against the charts: one for each group and stage, by the hardness that is shown
 * of it everywhere. None of a deleted batch or an unknown grade.
 */
export function observationsOf(batch: Batch, readings: readonly Reading[], tester: Tester): Observation[] {
  if (batch.deletedAt !== null) return []
  return batch.groups.flatMap(group => {
    const grade = gradeOf(group)
    if (!grade) return []
    return stagesOf(group.route).flatMap((stage): Observation[] => {
      const hardness = groupHardness(batch, group.id, stage, { readings, tester })
      if (!hardness || hardness.n === 0) return []
      const route = routeUpTo(routeAsRun(batch, group), stage)
      const predicted = predictedAt(predict(grade, route), stage)
      if (predicted === null) return []
      return [
        {
          gradeId: grade.id,
          lot: group.lot ?? '',
          ovenId: batch.ovenId ?? '',
          day: dayOf(batch.createdAt),
          austenitizeC: route.austenitizeC,
          coldC: route.cold?.toC ?? route.quenchedToC,
          parameter: combinedParameter(route.tempers),
          batchId: batch.id,
          residual: hardness.hrc - predicted,
          readings: hardness.n,
        },
      ]
    })
  })
}
