/** Standard normal quantile at 97.5 %: two-sided coverage of 95 %. NIST/SEMATECH e-Handbook 1.3.6.7.1. */
const COVERAGE_95 = 1.96

/** Returns the half width of the 95 % interval of a normal estimate, in its own unit. */
export const halfWidth95 = (sd: number): number => COVERAGE_95 * sd

/** Returns the standard deviation of a normal estimate with a 95 % interval of this half width. */
export const sdOfHalfWidth95 = (halfWidth: number): number => halfWidth / COVERAGE_95

/** A range that holds the true value with a probability of `level`, 0..1. */
export interface Interval {
  readonly low: number
  readonly high: number
  readonly level: number
}
