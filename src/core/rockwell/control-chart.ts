import { mean as meanOf } from 'simple-statistics'
/** Individuals and moving range: centre, limits, and the points that speak of a special cause. */
export interface ControlChart {
  readonly centre: number
  /** One sigma by the mean moving range. */
  readonly sigma: number
  readonly upper: number
  readonly lower: number
  readonly meanRange: number
  readonly upperRange: number
  readonly ranges: readonly number[]
  readonly signals: readonly Signal[]
  readonly capability: { readonly cp: number; readonly cpk: number } | null
}

export type SignalRule = 'beyond' | 'two-of-three' | 'four-of-five' | 'run-of-eight' | 'trend-of-six'

export interface Signal {
  readonly index: number
  readonly rule: SignalRule
}

/** Constants of ranges of two: d2, and D4. Source: Montgomery, Introduction to Statistical Quality Control, app. VI. */
const D2 = 1.128
const D4 = 3.267
/** Fewer points have no limits worth the name: each moves them too far. */
export const LEAST_POINTS = 8

/**
 * Chart of individuals in the order of time. Null with fewer than three values; no signal and no capability with fewer
 * than eight. Signals: one point beyond three sigma, two of three
 * beyond two, four of five beyond one, eight on one side (all on the same side), six rising or falling.
 * Source: Western Electric Handbook (1956); Nelson (1984) for the trend.
 */
export function controlChart(
  values: readonly number[],
  limits: { readonly min: number; readonly max: number } | null = null,
): ControlChart | null {
  if (values.length < 3) return null
  const centre = meanOf(values)
  const ranges = values.slice(1).map((v, i) => Math.abs(v - (values[i] as number)))
  const meanRange = meanOf(ranges)
  const sigma = meanRange / D2
  return {
    centre,
    sigma,
    upper: centre + 3 * sigma,
    lower: centre - 3 * sigma,
    meanRange,
    upperRange: D4 * meanRange,
    ranges,
    signals:
      sigma > 0 && values.length >= LEAST_POINTS
        ? signalsOf(
            values.map(v => (v - centre) / sigma),
            values,
          )
        : [],
    capability: limits && sigma > 0 && values.length >= LEAST_POINTS ? capabilityOf(centre, sigma, limits) : null,
  }
}

const capabilityOf = (centre: number, sigma: number, { min, max }: { readonly min: number; readonly max: number }) => ({
  cp: (max - min) / (6 * sigma),
  cpk: Math.min(max - centre, centre - min) / (3 * sigma),
})

function signalsOf(z: readonly number[], values: readonly number[]): Signal[] {
  const signals: Signal[] = []
  const last = (i: number, n: number) => (i + 1 >= n ? z.slice(i + 1 - n, i + 1) : null)
  z.forEach((value, index) => {
    const add = (rule: SignalRule) => signals.push({ index, rule })
    if (Math.abs(value) > 3) add('beyond')
    for (const side of [1, -1]) {
      const past = (n: number, least: number, sigmas: number) => {
        const window = last(index, n)
        return window !== null && side * value > sigmas && window.filter(v => side * v > sigmas).length >= least
      }
      if (past(3, 2, 2)) add('two-of-three')
      if (past(5, 4, 1)) add('four-of-five')
      if (past(8, 8, 0)) add('run-of-eight')
    }
    if (index >= 5) {
      const six = values.slice(index - 5, index + 1)
      const steps = six.slice(1).map((v, i) => Math.sign(v - (six[i] as number)))
      if (steps.every(s => s === 1) || steps.every(s => s === -1)) add('trend-of-six')
    }
  })
  return signals
}
