import { type Piece, piecesOf, routeOfPiece } from '../plan/tray'
import type { Batch, Reading } from '../record/schemas'
import { combineHardness } from '../rockwell/files'
import { summariseReadings } from '../rockwell/readings'
import { latestStage, predictedAt, routeUpTo, stagesOf } from '../rockwell/stages'
import type { BlockCheck } from '../rockwell/verification'
import { gradeOf } from '../steel/grades'
import { predict } from '../steel/predict'
import { type AdviceOption, type AdviceRequest, advise, readOn, type Stage, targetWithSymptom } from './advise'

/** What one blade needs, by its own readings and files. */
export interface BladeNeed {
  readonly mark: string
  readonly groupId: string
  readonly stage: Stage
  readonly measured: number
  readonly u95: number
  readonly best: AdviceOption
  /** More readings come first: what is known of it is as wide as the target. */
  readonly readOn: boolean
}

/** Blades that need the same, as one load or one decision. */
export interface NeedGroup {
  readonly kind: AdviceOption['kind']
  readonly temper: AdviceOption['temper']
  readonly cold: AdviceOption['cold']
  readonly marks: readonly string[]
  /** Of the blades in it, HRC: least and most to come. */
  readonly fromHrc: number
  readonly toHrc: number
  readonly leastProbability: number
  readonly why: string
}

export interface EachBlade {
  readonly needs: readonly BladeNeed[]
  readonly groups: readonly NeedGroup[]
  /** Blades nothing was measured of. */
  readonly unread: readonly string[]
}

/** Tempers this near share a load, at the mean of them: an oven does not part them, °C. Common practice, no published source. */
const SHARED_WITHIN_C = 10

/** What each blade of a batch needs by its own evidence, and which go on together. */
export function eachBlade(
  batch: Batch,
  readings: readonly Reading[],
  block: BlockCheck | null,
  can: AdviceRequest['can'],
): EachBlade {
  const pieces = piecesOf(batch)
  const needs = pieces.flatMap(piece => needOf(piece, batch, readings, block, can) ?? [])
  const read = new Set(needs.map(n => n.mark))
  return { needs, groups: grouped(needs), unread: pieces.map(p => p.mark).filter(mark => !read.has(mark)) }
}

function needOf(
  piece: Piece,
  batch: Batch,
  readings: readonly Reading[],
  block: BlockCheck | null,
  can: AdviceRequest['can'],
): BladeNeed | null {
  const grade = gradeOf(piece.group)
  const route = routeOfPiece(batch, piece)
  const own = readings.filter(r => r.piece === piece.mark && r.groupId === piece.group.id && r.deletedAt === null)
  const files = (batch.files ?? []).filter(f => f.mark === piece.mark)
  const stage = latestOf(
    route,
    own,
    files.map(f => f.stage),
  )
  if (!grade || !stage) return null
  const done = routeUpTo(route, stage)
  const values = own.filter(r => r.stage === stage).map(r => r.hrc)
  const summary = values.length > 0 ? summariseReadings(values, block) : null
  const prediction = predict(grade, done)
  const filed = files.filter(f => f.stage === stage)
  const predicted = predictedAt(prediction, stage)
  // Files alone say little of a point: what was predicted is weighed with them. Readings speak for themselves.
  const combined = combineHardness({
    readings: summary && { mean: summary.corrected, sd: summary.standardUncertainty },
    files: filed,
    predicted: summary || predicted === null ? null : { mean: predicted, sd: prediction.finalHrc.sd },
  })
  if (!combined) return null
  const measured = summary && filed.length === 0 ? summary.corrected : combined.mean
  const u95 = summary && filed.length === 0 ? summary.u95 : 1.96 * combined.sd
  const [best] = advise({
    steel: grade,
    route: done,
    reading: { mean: measured, u95: Math.min(20, u95), stage, by: summary ? 'readings' : 'files' },
    target: piece.group.target,
    symptom: piece.group.symptom,
    can,
  })
  const wanted = targetWithSymptom(piece.group.target, piece.group.symptom)
  return best
    ? {
        mark: piece.mark,
        groupId: piece.group.id,
        stage,
        measured,
        u95,
        best,
        readOn: readOn({ mean: measured, u95 }, wanted),
      }
    : null
}

function latestOf(
  route: Batch['groups'][number]['route'],
  own: readonly Reading[],
  filed: readonly Reading['stage'][],
) {
  const read = latestStage(route, own)
  return stagesOf(route).findLast(stage => stage === read || filed.includes(stage)) ?? null
}

function grouped(needs: readonly BladeNeed[]): NeedGroup[] {
  const groups: { needs: BladeNeed[] }[] = []
  const sorted = [...needs].sort((a, b) => (a.best.temper?.atC ?? 0) - (b.best.temper?.atC ?? 0))
  for (const need of sorted) {
    const fits = groups.find(({ needs: [first] }) => {
      if (!first || first.best.kind !== need.best.kind) return false
      const [a, b] = [first.best.temper, need.best.temper]
      if (!a || !b) return a === b
      return Math.abs(a.atC - b.atC) <= SHARED_WITHIN_C && a.holdMin === b.holdMin
    })
    if (fits) fits.needs.push(need)
    else groups.push({ needs: [need] })
  }
  return groups.map(({ needs: own }): NeedGroup => {
    const first = own[0] as BladeNeed
    const temper = first.best.temper && {
      ...first.best.temper,
      atC: Math.round(own.reduce((sum, n) => sum + (n.best.temper?.atC ?? 0), 0) / own.length / 5) * 5,
    }
    const hrc = own.map(n => n.best.hrc.mean)
    return {
      kind: first.best.kind,
      temper,
      cold: first.best.cold,
      marks: own.map(n => n.mark),
      fromHrc: Math.min(...hrc),
      toHrc: Math.max(...hrc),
      leastProbability: Math.min(...own.map(n => n.best.inTargetProbability)),
      why: first.best.why,
    }
  })
}

/** Writes a temper for some blades alone behind their group's own. */
export function withPieceTemper(
  batch: Batch,
  marks: readonly string[],
  temper: { readonly atC: number; readonly holdMin: number },
): Batch {
  const known = new Map((batch.pieceTempers ?? []).map(entry => [entry.mark, entry]))
  for (const mark of marks) known.set(mark, { mark, tempers: [...(known.get(mark)?.tempers ?? []), { ...temper }] })
  return { ...batch, pieceTempers: [...known.values()] }
}
