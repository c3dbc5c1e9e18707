import normalCdf from '@stdlib/stats-base-dists-normal-cdf'
import tCdf from '@stdlib/stats-base-dists-t-cdf'
import tQuantile from '@stdlib/stats-base-dists-t-quantile'
import { mean as meanOf, sampleStandardDeviation } from 'simple-statistics'
import { ROCKWELL } from '../../data/rockwell'
import { type WorkingLine, worked } from '../codes/working'
import { type IndentRules, indentRules } from './indent'
import type { TargetHrc } from './target'
import { type BlockCheck, type Verification, verifyTester } from './verification'

export interface ReadingSummary {
  readonly n: number
  readonly mean: number
  /** Standard deviation of the readings; null with one reading. */
  readonly sd: number | null
  /** Mean less the tester's bias; the mean itself without a block check. */
  readonly corrected: number
  /** Standard uncertainty of the corrected mean, HRC. */
  readonly standardUncertainty: number
  readonly degreesOfFreedom: number
  /** Half width of the 95 % interval, HRC. */
  readonly u95: number
  /** Readings that Grubbs' test at 5 % calls outliers. They are shown, never dropped. */
  readonly outliers: readonly number[]
  readonly inTargetProbability: number | null
  readonly verification: Verification | null
  readonly rules: IndentRules
  readonly working: readonly WorkingLine[]
}

/**
 * What a set of Rockwell C readings says: mean, bias-corrected mean, 95 % uncertainty and the chance that the true
 * hardness is in target. Needs at least one reading.
 * Source: GUM (JCGM 100) combination of the scatter of the mean, the block and the dial's resolution; Student's t
 * with Welch-Satterthwaite degrees of freedom.
 */
export function summariseReadings(
  readings: readonly number[],
  block: BlockCheck | null = null,
  target: TargetHrc | null = null,
): ReadingSummary {
  if (readings.length === 0) throw new RangeError('summariseReadings: no readings')
  const n = readings.length
  const mean = meanOf([...readings])
  const sd = n > 1 ? sampleStandardDeviation([...readings]) : null
  const verification = block ? verifyTester(block) : null
  const corrected = mean - (verification?.bias ?? 0)

  const uMean = (sd ?? ROCKWELL.singleReadingSdHrc) / Math.sqrt(n)
  const uResolution = ROCKWELL.resolutionHrc / Math.sqrt(12)
  const uBlock = block ? blockUncertainty(block) : 0
  const standardUncertainty = Math.hypot(uMean, uResolution, uBlock)
  const degreesOfFreedom =
    sd === null || uMean === 0 ? Number.POSITIVE_INFINITY : (n - 1) * (standardUncertainty / uMean) ** 4
  const coverage = Number.isFinite(degreesOfFreedom) ? tQuantile(0.975, degreesOfFreedom) : 1.959964
  const below = (x: number) => {
    const z = (x - corrected) / standardUncertainty
    return Number.isFinite(degreesOfFreedom) ? tCdf(z, degreesOfFreedom) : normalCdf(z, 0, 1)
  }
  return {
    n,
    mean,
    sd,
    corrected,
    standardUncertainty,
    degreesOfFreedom,
    u95: coverage * standardUncertainty,
    outliers: grubbsOutliers(readings),
    inTargetProbability: target ? Math.max(0, below(target.max) - below(target.min)) : null,
    verification,
    rules: indentRules(Math.min(99, Math.max(1, corrected))),
    working: [
      worked('readings-mean', mean, 'HRC', { n }),
      worked('scatter-of-mean', uMean, 'HRC', { single: sd === null }),
      worked('dial-resolution', uResolution, 'HRC', {}),
      worked('test-block', uBlock, 'HRC', { checked: block !== null }),
      worked('coverage-factor', coverage, '', {}),
    ],
  }
}

const blockUncertainty = (block: BlockCheck) =>
  Math.hypot(
    block.certifiedSd,
    (block.readings.length > 1 ? sampleStandardDeviation([...block.readings]) : ROCKWELL.singleReadingSdHrc) /
      Math.sqrt(block.readings.length),
  )

/**
 * Critical value of Grubbs' two-sided test for one outlier.
 * Source: Grubbs (1969), Technometrics 11, 1; ISO 5725-2. n ≥ 3.
 * @example grubbsCritical(10) // 2.290
 */
export function grubbsCritical(n: number, significance = 0.05): number {
  const t2 = tQuantile(1 - significance / (2 * n), n - 2) ** 2
  return ((n - 1) / Math.sqrt(n)) * Math.sqrt(t2 / (n - 2 + t2))
}

function grubbsOutliers(readings: readonly number[]): number[] {
  if (readings.length < 3) return []
  const mean = meanOf([...readings])
  const sd = sampleStandardDeviation([...readings])
  if (sd === 0) return []
  const critical = grubbsCritical(readings.length)
  // Two equal readings and a third always look extreme to the test: a dial's half points must not cry wolf.
  const apart = (value: number) => Math.abs(value - mean)
  return readings.filter(value => apart(value) / sd > critical && apart(value) > ROCKWELL.outlierAtLeastHrc)
}
