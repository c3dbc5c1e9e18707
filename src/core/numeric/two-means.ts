import tCdf from '@stdlib/stats-base-dists-t-cdf'
import tQuantile from '@stdlib/stats-base-dists-t-quantile'
import { mean, sampleVariance } from 'simple-statistics'
import { rateOf } from './rate'

/** How far a second mean is from a first, with its 95 % interval, and the chance of so much where nothing differs. */
export interface MeanDifference {
  readonly difference: number
  readonly from: number
  readonly to: number
  readonly p: number
}

/**
 * The difference of two means whose scatter need not be the same; null with fewer than two values on a side, or none that scatter.
 * Source: Welch (1947).
 */
export function meanDifference(first: readonly number[], second: readonly number[]): MeanDifference | null {
  if (first.length < 2 || second.length < 2) return null
  const [a, b] = [first, second].map(values => sampleVariance([...values]) / values.length) as [number, number]
  if (a + b === 0) return null
  const difference = mean([...second]) - mean([...first])
  const df = (a + b) ** 2 / (a ** 2 / (first.length - 1) + b ** 2 / (second.length - 1))
  const se = Math.sqrt(a + b)
  const half = tQuantile(0.975, df) * se
  return { difference, from: difference - half, to: difference + half, p: 2 * tCdf(-Math.abs(difference) / se, df) }
}

const POWER = 0.8

/** The least difference that n on each side show four times in five, where single values scatter by sd. */
export function shownBy(each: number, sd: number): number {
  if (each < 2) return Number.POSITIVE_INFINITY
  const df = 2 * each - 2
  return sd * (tQuantile(0.975, df) + tQuantile(POWER, df)) * Math.sqrt(2 / each)
}

/**
 * How many on each side show a difference four times in five, at 5 %. Source: two-sample t test, Montgomery, Design and Analysis of
 * Experiments, from memory.
 * @example neededEach(1, 1) // 17
 */
export function neededEach(difference: number, sd: number, most = 1000): number {
  let each = 2
  while (each < most && shownBy(each, sd) > Math.abs(difference)) each++
  return each
}

/** How far a second rate is from a first, with its 95 % interval. Source: Newcombe (1998), method 10. */
export function rateDifference(
  first: { readonly count: number; readonly of: number },
  second: { readonly count: number; readonly of: number },
): Omit<MeanDifference, 'p'> {
  const [a, b] = [rateOf(first.count, first.of), rateOf(second.count, second.of)]
  const difference = b.share - a.share
  return {
    difference,
    from: difference - Math.hypot(b.share - b.from, a.to - a.share),
    to: difference + Math.hypot(b.to - b.share, a.share - a.from),
  }
}
