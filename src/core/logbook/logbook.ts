import { predictionAt, routeUpTo, stagesOf } from '../batch/hardness-stages'
import { type BatchBlade, bladesOf, routeOfBlade } from '../batch/tray'
import { bladeHardness } from '../hardness/hardness'
import { groupBy } from '../numeric/group-by'
import { compareInstants } from '../numeric/instants'
import type { Batch } from '../shop/batch'
import type { Reading } from '../shop/reading'
import type { Stage } from '../shop/route'
import type { Tester } from '../shop/workshop'
import { gradeOf } from '../steel/grades'
import { predict } from '../steel/predict'

/** One blade at one stage, beside what was predicted. */
export interface LogRow {
  readonly key: string
  /** When it was first read there. */
  readonly at: string
  readonly batchId: string
  readonly batch: string
  readonly gradeName: string
  readonly bladeId: string
  readonly mark: string
  readonly serial: string
  readonly stage: Stage
  readonly hrc: number
  readonly n: number
  readonly predicted: number | null
  /** Measured less predicted, HRC. */
  readonly off: number | null
  readonly inTarget: boolean
  /** Further search terms: bar, oven, owner, outcome, edge results. */
  readonly about: readonly string[]
}

/** Every blade that was read, by stage, newest first. Readings of batches or blades that are gone are left out. */
export function logRows(readings: readonly Reading[], batches: readonly Batch[], tester: Tester): LogRow[] {
  const byBatch = groupBy(readings, r => r.batchId)
  const predictedOf = memoPredictions()
  return batches
    .flatMap(batch => rowsOfBatch(batch, byBatch.get(batch.id) ?? [], tester, predictedOf))
    .sort((a, b) => compareInstants(b.at, a.at))
}

function rowsOfBatch(batch: Batch, readings: readonly Reading[], tester: Tester, predictedOf: PredictedOf): LogRow[] {
  const byBlade = groupBy(
    readings.filter(r => r.deletedAt === null),
    r => r.bladeId ?? '',
  )
  return bladesOf(batch).flatMap(blade => {
    const own = byBlade.get(blade.id) ?? []
    const route = routeOfBlade(blade)
    return stagesOf(route).flatMap((stage): LogRow[] => {
      const set = own.filter(r => r.stage === stage)
      const hardness = set.length > 0 ? bladeHardness(blade, stage, { readings: own, tester }) : null
      if (!hardness) return []
      const predicted = predictedOf(blade, stage)
      const { target } = blade.group
      return [
        {
          key: `${blade.id}/${stage}`,
          at: set.reduce((first, r) => (r.at < first ? r.at : first), set[0]?.at ?? ''),
          batchId: batch.id,
          batch: batch.name,
          gradeName: blade.group.gradeName,
          bladeId: blade.id,
          mark: blade.mark,
          serial: blade.serial,
          stage,
          hrc: hardness.hrc,
          n: hardness.n,
          predicted,
          off: predicted === null ? null : hardness.hrc - predicted,
          inTarget: hardness.hrc >= target.min && hardness.hrc <= target.max,
          about: aboutOf(blade, batch),
        },
      ]
    })
  })
}

/** Bar, oven, states with their reasons and buyers, edge tests and decisions of a blade, in the words they were noted in. */
function aboutOf({ group, record }: BatchBlade, { ovenName, note }: Batch): string[] {
  const texts = [
    group.lot ?? '',
    ovenName,
    note,
    ...(record.states ?? []).flatMap(state => [state.is, state.why, state.to ?? '']),
    ...(record.edgeTests ?? []).flatMap(test => [test.result, test.name ?? '', test.note ?? '']),
    ...group.decisions.map(decision => (decision.by === 'option' ? decision.note : decision.why)),
  ]
  return [...new Set(texts.filter(text => text !== ''))]
}

/** Returns a blade's predicted hardness at a stage, HRC; null for an unknown steel. */
export type PredictedOf = (blade: BatchBlade, stage: Stage) => number | null

/** Worked out once for all blades of one steel and route, in whichever batch. */
export function memoPredictions(): PredictedOf {
  const known = new Map<string, number | null>()
  return (blade, stage) => {
    const { gradeId, sheet } = blade.group
    const route = routeUpTo(routeOfBlade(blade), stage)
    const key = JSON.stringify([gradeId, sheet ?? null, stage, route])
    const found = known.get(key)
    if (found !== undefined) return found
    const grade = gradeOf(blade.group)
    const made = grade ? (predictionAt(predict(grade, route), stage)?.mean ?? null) : null
    known.set(key, made)
    return made
  }
}
