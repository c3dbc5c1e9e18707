import fCdf from '@stdlib/stats-base-dists-f-cdf'
import tCdf from '@stdlib/stats-base-dists-t-cdf'
import { linearRegression, linearRegressionLine, mean as meanOf, variance } from 'simple-statistics'

export interface Spread {
  /** Within one blade, one standard deviation, HRC; null where no blade has two readings. */
  readonly withinSd: number | null
  /** Difference between blades beyond that, one standard deviation, HRC; null with fewer than two blades. */
  readonly betweenSd: number | null
  /** Chance that blades alike would differ so much; null where it cannot be told. */
  readonly pBlades: number | null
}

/**
 * Scatter within a blade and between blades, from readings by blade: one-way analysis of variance, its between component by the
 * method of moments for unequal numbers. Source: Searle, Casella and McCulloch, Variance Components (1992), ch. 3.
 */
export function spreadOf(byBlade: readonly (readonly number[])[]): Spread {
  const blades = byBlade.filter(set => set.length > 0)
  const k = blades.length
  const n = blades.reduce((sum, set) => sum + set.length, 0)
  const ssWithin = blades.reduce((sum, set) => sum + set.reduce((s, x) => s + (x - meanOf(set)) ** 2, 0), 0)
  const withinDf = n - k
  const msWithin = withinDf > 0 ? ssWithin / withinDf : null
  if (k < 2) return { withinSd: msWithin === null ? null : Math.sqrt(msWithin), betweenSd: null, pBlades: null }
  const grand = meanOf(blades.flat())
  const msBetween = blades.reduce((sum, set) => sum + set.length * (meanOf(set) - grand) ** 2, 0) / (k - 1)
  const n0 = (n - blades.reduce((sum, set) => sum + set.length ** 2, 0) / n) / (k - 1)
  return {
    withinSd: msWithin === null ? null : Math.sqrt(msWithin),
    betweenSd: Math.sqrt(Math.max(0, msBetween - (msWithin ?? 0)) / n0),
    pBlades: msWithin === null || msWithin === 0 ? null : 1 - fCdf(msBetween / msWithin, k - 1, withinDf),
  }
}

export interface Slope {
  /** HRC over 100 mm. */
  readonly per100Mm: number
  /** Chance of so steep a slope where place does not matter. */
  readonly p: number
}

/** Hardness against a place in the oven, by least squares over blades; null with fewer than four blades or no spread of places. */
export function slopeOver(points: readonly { readonly atMm: number; readonly hrc: number }[]): Slope | null {
  const n = points.length
  if (n < 4) return null
  const sxx = n * variance(points.map(p => p.atMm))
  if (sxx < 1) return null
  const line = linearRegression(points.map(p => [p.atMm, p.hrc]))
  const { m: slope } = line
  const at = linearRegressionLine(line)
  const residual = points.reduce((sum, p) => sum + (p.hrc - at(p.atMm)) ** 2, 0) / (n - 2)
  const t = residual === 0 ? Number.POSITIVE_INFINITY : Math.abs(slope) / Math.sqrt(residual / sxx)
  return { per100Mm: 100 * slope, p: Number.isFinite(t) ? 2 * (1 - tCdf(t, n - 2)) : 0 }
}
