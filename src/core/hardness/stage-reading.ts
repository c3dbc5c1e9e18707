import normalCdf from '@stdlib/stats-base-dists-normal-cdf'
import type { Estimate } from '../codes/result'
import { sdOfHalfWidth95 } from '../numeric/coverage'
import type { TargetHrc } from '../rockwell/target'
import type { Stage } from '../shop/route'
import type { Hardness } from './hardness'

export interface StageReading {
  readonly mean: number
  readonly u95: number
  readonly stage: Stage
  /** Kind of evidence; absent: readings. */
  readonly by?: 'readings' | 'files' | undefined
  /** Degrees of freedom behind its uncertainty; absent: as if there were many. */
  readonly degreesOfFreedom?: number | undefined
}

/** Returns the measured hardness of some blades as advice takes it. */
export const stageReadingOf = ({
  hrc,
  u95,
  stage,
  by,
  degreesOfFreedom,
}: Pick<Hardness, 'hrc' | 'u95' | 'stage' | 'by' | 'degreesOfFreedom'>): StageReading => ({
  mean: hrc,
  u95: Math.min(MOST_U95_HRC, u95),
  stage,
  by,
  ...(Number.isFinite(degreesOfFreedom) ? { degreesOfFreedom } : {}),
})

/** Largest uncertainty of a usable measurement, HRC. */
const MOST_U95_HRC = 20

export type Symptom = 'chips' | 'rolls' | null

/** How far a symptom moves what is wanted, HRC. Common practice, no published source. */
const SYMPTOM_SHIFT_HRC = 1

/** Target after an edge test, and whether hardness can explain the failure. */
export interface Wanted {
  readonly wanted: TargetHrc
  readonly notByHardness: boolean
}

/**
 * Returns the target that a symptom argues for. Chips at or above the target want it softer, a rolled edge at or below it
 * harder. Chips below the target, or a rolled edge above it, come from something else: the edge's angle and thickness, a skin that lost
 * carbon, coarse grain, an edge burnt in grinding; the target stays.
 */
export function wantedAfter(target: TargetHrc, symptom: Symptom, measuredHrc: number): Wanted {
  const notByHardness =
    (symptom === 'chips' && measuredHrc < target.min) || (symptom === 'rolls' && measuredHrc > target.max)
  return { wanted: notByHardness ? target : targetWithSymptom(target, symptom), notByHardness }
}

/** The target a symptom at the edge argues for: chips want it softer, rolls want it harder. */
const targetWithSymptom = (target: TargetHrc, symptom: Symptom): TargetHrc => {
  const shift = symptom === 'chips' ? -SYMPTOM_SHIFT_HRC : symptom === 'rolls' ? SYMPTOM_SHIFT_HRC : 0
  return { min: target.min + shift, max: target.max + shift }
}

/** Chances between which readings as wide as the target leave it open, so that reading on comes before doing anything. Common practice, no published source. */
const OPEN = { from: 0.05, to: 0.9 } as const

/** Chance that a hardness known as a normal estimate lies within a target, 0..1. */
export const chance = (hrc: Estimate, target: TargetHrc) =>
  Math.max(0, normalCdf(target.max, hrc.mean, hrc.sd) - normalCdf(target.min, hrc.mean, hrc.sd))

/**
 * Whether more readings come before any decision: what is known is as wide as the target, and the target is neither surely met
 * nor surely missed.
 */
export function readOn(reading: Pick<StageReading, 'mean' | 'u95'>, target: TargetHrc): boolean {
  const now = chance({ mean: reading.mean, sd: Math.max(0.05, sdOfHalfWidth95(reading.u95)) }, target)
  return reading.u95 > (target.max - target.min) / 2 && now > OPEN.from && now < OPEN.to
}

/** Distance from its prediction, in standard deviations of the difference, from which a reading asks for a cause. Common practice, no published source. */
const ASTRAY_SIGMA = 2.5

/** Returns whether a reading lies so far from its prediction that a cause is looked for. */
export const isAstray = (offHrc: number, predictedSd: number, measuredSd: number): boolean =>
  Math.abs(offHrc) > ASTRAY_SIGMA * Math.hypot(predictedSd, measuredSd)
