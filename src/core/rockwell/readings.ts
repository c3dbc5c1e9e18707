import tCdf from '@stdlib/stats-base-dists-t-cdf'
import tQuantile from '@stdlib/stats-base-dists-t-quantile'
import { mean as meanOf, sampleStandardDeviation } from 'simple-statistics'
import { ROCKWELL } from '../../data/rockwell'
import { type WorkingLine, worked } from '../codes/working'
import { type IndentRules, indentRules } from './indent'
import { PRIOR_SCATTER, pooledScatter, type Scatter } from './scatter'
import type { TargetHrc } from './target'
import { type BlockCheck, type CorrectedBy, testerCorrection, type Verification, verifyTester } from './verification'

export interface ReadingSummary {
  readonly n: number
  readonly mean: number
  /** Standard deviation of the readings; null with one reading. */
  readonly sd: number | null
  /** Mean less the tester's bias; the mean itself where no check corrects it. */
  readonly corrected: number
  readonly correctedBy: CorrectedBy
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
 * Returns the summary of a set of Rockwell C readings: mean, bias-corrected mean, 95 % uncertainty and the probability that the true
 * hardness is in target. Needs at least one reading. `before` is what is known of this tester's and maker's scatter, `aboutHrc` the
 * hardness the block must be near (the mean, where it is not said).
 * Source: GUM (JCGM 100) combination of the scatter of the mean, the tester and the dial's resolution; the scatter pooled with
 * what was known before (`scatter.ts`); Student's t with Welch-Satterthwaite degrees of freedom.
 */
export function summariseReadings(
  readings: readonly number[],
  block: BlockCheck | null = null,
  target: TargetHrc | null = null,
  before: Scatter = PRIOR_SCATTER,
  aboutHrc: number | null = null,
): ReadingSummary {
  if (readings.length === 0) throw new RangeError('summariseReadings: no readings')
  const n = readings.length
  const mean = meanOf([...readings])
  const tester = testerCorrection(block, aboutHrc ?? mean)
  const corrected = mean - tester.biasHrc

  const scatter = pooledScatter(before, [readings])
  const uMean = scatter.sdHrc / Math.sqrt(n)
  const uResolution = ROCKWELL.resolutionHrc / Math.sqrt(12)
  const uTester = tester.standardUncertainty
  const standardUncertainty = Math.hypot(uMean, uResolution, uTester)
  const degreesOfFreedom =
    standardUncertainty ** 4 / (uMean ** 4 / scatter.degreesOfFreedom + uTester ** 4 / tester.degreesOfFreedom)
  const coverage = tQuantile(0.975, degreesOfFreedom)
  const below = (x: number) => tCdf((x - corrected) / standardUncertainty, degreesOfFreedom)
  return {
    n,
    mean,
    sd: n > 1 ? sampleStandardDeviation([...readings]) : null,
    corrected,
    correctedBy: tester.by,
    standardUncertainty,
    degreesOfFreedom,
    u95: coverage * standardUncertainty,
    outliers: grubbsOutliers(readings),
    inTargetProbability: target ? Math.max(0, below(target.max) - below(target.min)) : null,
    verification: block ? verifyTester(block) : null,
    rules: indentRules(Math.min(99, Math.max(1, corrected))),
    working: [
      worked('readings-mean', mean, 'HRC', { n }),
      worked('scatter-of-mean', uMean, 'HRC', {
        sdHrc: scatter.sdHrc,
        degreesOfFreedom: scatter.degreesOfFreedom,
        beforeHrc: before.sdHrc,
      }),
      worked('dial-resolution', uResolution, 'HRC', {}),
      worked('test-block', uTester, 'HRC', { by: tester.by }),
      worked('coverage-factor', coverage, '', {}),
    ],
  }
}

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
