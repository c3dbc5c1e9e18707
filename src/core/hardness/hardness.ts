import { mean } from 'simple-statistics'
import { ROCKWELL } from '../../data/rockwell'
import { standing } from '../batch/blade-state'
import { type BatchBlade, bladesOf } from '../batch/tray'
import type { Estimate } from '../codes/result'
import { halfWidth95, sdOfHalfWidth95 } from '../numeric/coverage'
import { groupBy } from '../numeric/group-by'
import { combineHardness, type FileTest } from '../rockwell/files'
import { type ReadingSummary, summariseReadings } from '../rockwell/readings'
import { type Scatter, scatterFrom } from '../rockwell/scatter'
import type { TargetHrc } from '../rockwell/target'
import { testerCorrection } from '../rockwell/verification'
import type { Batch } from '../shop/batch'
import type { Reading } from '../shop/reading'
import type { Stage } from '../shop/route'
import type { Tester } from '../shop/workshop'
import { readingsOf } from './readings-of'
import { checkBefore, checksOf } from './tester'

/** A blade that is judged by itself, and what it has. */
export interface BladeApart {
  readonly bladeId: string
  readonly hrc: number
}

/** How hard some blades are at a stage, and what that rests on. */
export interface Hardness {
  readonly stage: Stage
  /** Corrected for the tester and for round faces, HRC. */
  readonly hrc: number
  /** Standard uncertainty, and half width of the 95 % interval, HRC. */
  readonly sd: number
  readonly u95: number
  readonly degreesOfFreedom: number
  /** Chance that the true hardness is within target. */
  readonly inTargetProbability: number
  readonly by: 'readings' | 'files'
  /** Readings it rests on, and their statistics; null where only files were tried. */
  readonly n: number
  readonly summary: ReadingSummary | null
  /** Blades it rests on, and those that stand apart from them and are left out. */
  readonly bladeIds: readonly string[]
  readonly apart: readonly BladeApart[]
  /** Some were read without a block check of that day. */
  readonly unchecked: boolean
}

/** Evidence about the hardness of blades. */
export interface HardnessEvidence {
  /** Readings of the batch; taken-out ones are passed over. */
  readonly readings: readonly Reading[]
  readonly tester: Tester
  /** Returns the predicted hardness at a stage, which is combined with files if nothing was read. */
  readonly predicted?: (stage: Stage) => Estimate | null
}

/**
 * How hard one blade is at a stage: its readings, each corrected by the check that stood when it was taken, with the files tried
 * on it; by files alone it is weighed with what was predicted. Null where nothing was measured.
 * The one source of every hardness that is shown, judged or learnt from.
 */
export const bladeHardness = (blade: BatchBlade, stage: Stage, evidence: HardnessEvidence): Hardness | null =>
  hardnessOf([blade], stage, evidence, blade.group.target)

/**
 * How hard the blades of a group are at a stage. A blade that stands apart (a leaking packet, a cold corner) does not decide for
 * the rest: it is named and left out; one that is cracked, lost or set aside stands nowhere. Null where nothing was measured.
 */
export function groupHardness(
  batch: Pick<Batch, 'lines' | 'blades' | 'groups'>,
  groupId: string,
  stage: Stage,
  evidence: HardnessEvidence,
): Hardness | null {
  const group = batch.groups.find(g => g.id === groupId)
  if (!group) return null
  const blades = standing(bladesOf(batch, groupId))
  const each = blades.flatMap(blade => {
    const own = readingsOf([blade], stage, evidence)
    return own.length > 0 ? [{ bladeId: blade.id, hrc: meanHrc(own, evidence.tester) }] : []
  })
  const apart = bladesApart(each)
  const out = new Set(apart.map(a => a.bladeId))
  const together = hardnessOf(
    blades.filter(blade => !out.has(blade.id)),
    stage,
    evidence,
    group.target,
  )
  return together && { ...together, apart }
}

/**
 * Blades whose mean lies so far from the middle of all that they are judged alone. With fewer than three there is no middle.
 */
export function bladesApart(blades: readonly BladeApart[]): BladeApart[] {
  if (blades.length < 3) return []
  const sorted = blades.map(b => b.hrc).sort((a, b) => a - b)
  const half = Math.floor(sorted.length / 2)
  const [low = 0, high = 0] = [sorted[sorted.length % 2 === 1 ? half : half - 1], sorted[half]]
  return blades.filter(b => Math.abs(b.hrc - (low + high) / 2) > ROCKWELL.bladeApartHrc)
}

/** Files that said something of some blades at a stage. */
const filesOf = (blades: readonly BatchBlade[], stage: Stage): FileTest[] =>
  blades.flatMap(({ record }) =>
    (record.files ?? []).filter(f => f.stage === stage && (f.skates !== null || f.bites !== null)),
  )

/** Readings as they would stand against the newest of the checks that were valid for them, and that check. */
function onOneCheck(readings: readonly Reading[], tester: Tester) {
  const checks = checksOf(tester)
  const aboutHrc = readings.length > 0 ? mean(readings.map(reading => reading.hrc)) : 0
  const each = readings.map(reading => {
    const block = checkBefore(checks, reading.at)?.check ?? null
    return { reading, block, bias: testerCorrection(block, aboutHrc).biasHrc }
  })
  const newest = each.reduce<(typeof each)[number] | null>(
    (best, one) => (best && best.reading.at >= one.reading.at ? best : one),
    null,
  )
  const bias = newest?.bias ?? 0
  return {
    values: each.map(one => one.reading.hrc - one.bias + bias),
    block: newest?.block ?? null,
    bias,
    aboutHrc,
  }
}

function meanHrc(readings: readonly Reading[], tester: Tester): number {
  const { values, bias } = onOneCheck(readings, tester)
  return mean(values) - bias
}

/** How much single readings scatter on the other blades of the batch, each about its own mean at its stage. */
function scatterBeside(blades: readonly Pick<BatchBlade, 'id'>[], { readings }: HardnessEvidence): Scatter {
  const judged = new Set(blades.map(blade => blade.id))
  const others = readings.filter(r => r.deletedAt === null && r.bladeId !== null && !judged.has(r.bladeId))
  const sets = [...groupBy(others, r => `${r.bladeId} ${r.stage}`).values()]
  return scatterFrom(sets.map(set => set.map(r => r.hrc)))
}

function hardnessOf(
  blades: readonly BatchBlade[],
  stage: Stage,
  evidence: HardnessEvidence,
  target: TargetHrc,
): Hardness | null {
  const readings = readingsOf(blades, stage, evidence)
  const files = filesOf(blades, stage)
  const { values, block, aboutHrc } = onOneCheck(readings, evidence.tester)
  const summary =
    values.length > 0 ? summariseReadings(values, block, target, scatterBeside(blades, evidence), aboutHrc) : null
  const shared = {
    stage,
    n: values.length,
    summary,
    apart: [],
    unchecked: readings.some(r => r.unchecked === true),
    bladeIds: blades
      .filter(b => readings.some(r => r.bladeId === b.id) || filesOf([b], stage).length > 0)
      .map(b => b.id),
  }
  if (summary && files.length === 0)
    return {
      ...shared,
      by: 'readings',
      hrc: summary.corrected,
      sd: summary.standardUncertainty,
      u95: summary.u95,
      degreesOfFreedom: summary.degreesOfFreedom,
      inTargetProbability: summary.inTargetProbability ?? 0,
    }
  if (!summary && files.length === 0) return null
  // Files alone say little of a point: what was predicted is weighed with them. Readings speak for themselves.
  const combined = combineHardness(
    {
      // As wide as Student’s t makes it, of which the grid knows nothing.
      readings: summary && { mean: summary.corrected, sd: sdOfHalfWidth95(summary.u95) },
      files,
      predicted: summary ? null : (evidence.predicted?.(stage) ?? null),
    },
    target,
  )
  return (
    combined && {
      ...shared,
      by: summary ? 'readings' : 'files',
      hrc: combined.mean,
      sd: combined.sd,
      u95: halfWidth95(combined.sd),
      degreesOfFreedom: summary?.degreesOfFreedom ?? Number.POSITIVE_INFINITY,
      inTargetProbability: combined.inTargetProbability ?? 0,
    }
  )
}
