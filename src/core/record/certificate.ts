import { asMeasured } from '../plan/as-measured'
import { runStateAt } from '../plan/run-state'
import { piecesOf, routeOfPiece } from '../plan/tray'
import { type ReadingSummary, summariseReadings } from '../rockwell/readings'
import { stageLabel, stagesOf } from '../rockwell/stages'
import { gradeOf } from '../steel/grades'
import { ovenOf } from './oven-record'
import type { Batch, BatchGroup, OvenLog, Reading, Run, Workshop } from './schemas'

/** One blade's certificate, as it is printed and as a file beside it. */
export interface Certificate {
  readonly format: 'tawny-ember-certificate'
  readonly version: 1
  readonly shop: string
  readonly issuedAt: string
  readonly blade: string
  readonly batch: string
  /** Standard designation, and the maker's name for the bar. */
  readonly grade: string
  readonly lot: string | null
  readonly sizeMm: { readonly length: number; readonly width: number; readonly thickness: number }
  readonly oven: string
  readonly route: {
    readonly austenitizeC: number
    readonly soakMin: number
    readonly cold: { readonly toC: number; readonly holdMin: number } | null
    readonly tempers: readonly { readonly atC: number; readonly holdMin: number }[]
  }
  /** What the ovens' logs say the thickest blade of its group saw; null where a heat was not logged. */
  readonly measured: {
    readonly heat: MeasuredHold | null
    readonly tempers: readonly (MeasuredHold | null)[]
  }
  /** What was confirmed in the run that hardened it, with when; empty where none was run. */
  readonly happened: readonly { readonly what: string; readonly at: string }[]
  readonly practice: boolean
  readonly hardness: readonly {
    readonly stage: string
    readonly readings: readonly number[]
    /** Some were read on a round face, and are given with its correction. */
    readonly roundFace: boolean
    readonly hrc: number
    readonly u95: number
    readonly corrected: boolean
    readonly uncheckedTester: boolean
  }[]
  readonly target: { readonly min: number; readonly max: number }
  /** Of the last stage read; null where none was. */
  readonly inTargetProbability: number | null
  readonly method: string
}

/** A hold as it was logged: the blade's mean within 5 °C of what was asked or above it, and how long. */
export interface MeasuredHold {
  readonly meanC: number
  readonly heldMin: number
}

const METHOD = 'Rockwell C after ISO 6508-1; 95 % uncertainty after the GUM from scatter, block and resolution'

/** Null for a mark the batch does not have. */
export function certificateOf(
  batch: Batch,
  mark: string,
  shop: Workshop,
  readings: readonly Reading[],
  runs: readonly Run[],
  logs: readonly OvenLog[],
  issuedAt: string,
): Certificate | null {
  const piece = piecesOf(batch).find(p => p.mark === mark)
  if (!piece) return null
  const { group, blade } = piece
  const route = routeOfPiece(batch, piece)
  const own = readings.filter(r => r.piece === mark && r.groupId === group.id && r.deletedAt === null)
  const summaries = stagesOf(route).flatMap(stage => {
    const set = own.filter(r => r.stage === stage)
    if (set.length === 0) return []
    const values = set.map(r => r.hrc)
    return [{ stage, set, values, summary: summariseReadings(values, shop.block, group.target) }]
  })
  const { events, practice } = happenedTo(mark, runs)
  const last: ReadingSummary | undefined = summaries.at(-1)?.summary
  return {
    format: 'tawny-ember-certificate',
    version: 1,
    shop: shop.name,
    issuedAt,
    blade: mark,
    batch: batch.name,
    grade: group.gradeName,
    lot: group.lot ?? null,
    sizeMm: { length: blade.lengthMm, width: blade.widthMm, thickness: blade.thicknessMm },
    oven: ovenOf(shop, batch).name,
    route: {
      austenitizeC: route.austenitizeC,
      soakMin: route.soakMin,
      cold: route.cold && { toC: route.cold.toC, holdMin: route.cold.holdMin },
      tempers: route.tempers.map(({ atC, holdMin }) => ({ atC, holdMin })),
    },
    measured: measuredHolds(logs, batch, group, shop),
    happened: events,
    practice,
    hardness: summaries.map(({ stage, set, values, summary }) => ({
      stage: stageLabel(stage),
      readings: values,
      roundFace: set.some(r => r.roundFace !== undefined),
      hrc: Math.round(summary.corrected * 10) / 10,
      u95: Math.round(summary.u95 * 10) / 10,
      corrected: summary.verification !== null,
      uncheckedTester: set.some(r => r.unchecked === true),
    })),
    target: group.target,
    inTargetProbability: last?.inTargetProbability ?? null,
    method: METHOD,
  }
}

function measuredHolds(
  logs: readonly OvenLog[],
  batch: Batch,
  group: BatchGroup,
  shop: Workshop,
): Certificate['measured'] {
  const grade = gradeOf(group)
  if (!grade) return { heat: null, tempers: [] }
  const { heat, tempers } = asMeasured(logs, batch, group, grade, shop)
  const hold = (meanC: number, heldMin: number) => ({ meanC: Math.round(meanC), heldMin: Math.round(heldMin) })
  return {
    heat: heat?.doseC == null ? null : hold(heat.doseC, heat.atHeatMin),
    tempers: tempers.map(after => after && hold(after.dose.atC, after.atHeatMin)),
  }
}

/** What happened to a blade, by the newest run that loaded it and the temper runs after. */
function happenedTo(mark: string, runs: readonly Run[]) {
  const own = [...runs]
    .sort((a, b) => a.startedAt.localeCompare(b.startedAt))
    .map(run => ({
      run,
      steps: runStateAt(run, 0, null).confirmed.filter(({ step }) => step.pieces.includes(mark)),
    }))
    .filter(({ steps }) => steps.length > 0)
  const from = own.findLastIndex(({ steps }) => steps.some(({ step }) => step.kind === 'load'))
  const used = from < 0 ? own : own.slice(from)
  return {
    practice: used.some(({ run }) => run.mode === 'practice'),
    events: used.flatMap(({ run, steps }) =>
      steps.map(({ step, atS }) => ({
        what: step.title,
        at: new Date(Date.parse(run.startedAt) + atS * 1000).toISOString(),
      })),
    ),
  }
}
