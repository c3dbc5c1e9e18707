import type { Batch, Reading } from '../record/schemas'
import { gradeOf } from '../steel/grades'
import { predict } from '../steel/predict'
import { predictedAt, routeUpTo } from './stages'

/** The readings of one blade at one stage, beside what was predicted. */
export interface LogRow {
  readonly key: string
  readonly at: string
  readonly batchId: string
  readonly batch: string
  readonly grade: string
  readonly piece: string
  readonly stage: Reading['stage']
  readonly mean: number
  readonly n: number
  readonly predicted: number | null
  /** Mean less prediction, HRC. */
  readonly off: number | null
  readonly inTarget: boolean
}

/** Every blade's readings by stage, newest first. Readings of batches that are gone are left out. */
export function logRows(readings: readonly Reading[], batches: readonly Batch[]): LogRow[] {
  const byId = new Map(batches.map(batch => [batch.id, batch]))
  const sets = new Map<string, Reading[]>()
  for (const reading of readings) {
    const key = `${reading.batchId}/${reading.piece}/${reading.stage}`
    sets.set(key, [...(sets.get(key) ?? []), reading])
  }
  const predictions = new Map<string, number | null>()
  const rows = [...sets].flatMap(([key, set]): LogRow[] => {
    const first = set[0]
    const batch = first && byId.get(first.batchId)
    const group = batch?.groups.find(g => g.id === first?.groupId)
    if (!first || !batch || !group) return []
    const stageKey = `${group.id}/${first.stage}`
    if (!predictions.has(stageKey)) {
      const grade = gradeOf(group)
      predictions.set(
        stageKey,
        grade ? predictedAt(predict(grade, routeUpTo(group.route, first.stage)), first.stage) : null,
      )
    }
    const predicted = predictions.get(stageKey) ?? null
    const mean = set.reduce((sum, r) => sum + r.hrc, 0) / set.length
    return [
      {
        key,
        at: first.at,
        batchId: batch.id,
        batch: batch.name,
        grade: group.gradeName,
        piece: first.piece,
        stage: first.stage,
        mean,
        n: set.length,
        predicted,
        off: predicted === null ? null : mean - predicted,
        inTarget: mean >= group.target.min && mean <= group.target.max,
      },
    ]
  })
  return rows.sort((a, b) => b.at.localeCompare(a.at))
}
