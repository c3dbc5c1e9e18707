import type { Grade } from '../../data/grades'
import { LONGEST_SOAK } from '../../data/soak'
import type { TargetHrc } from '../rockwell/target'
import type { Route } from './route'

/** The hardness a grade is usually taken to. */
export const usualTargetOf = ({ usualTarget }: Pick<Grade, 'usualTarget'>): TargetHrc => ({
  min: usualTarget.minHrc,
  max: usualTarget.maxHrc,
})

/** The same route with every temper at one temperature. */
export const withTemperC = <R extends Pick<Route, 'tempers'>>(route: R, atC: number): R => ({
  ...route,
  tempers: route.tempers.map(temper => ({ ...temper, atC })),
})

/** Range of a tempering curve, °C. */
export const CURVE_RANGE_C = { min: 100, max: 600 } as const

/** Soak after arrival, min: the shortest at 2 mm, the longest at 6 mm. Common practice, no published source. */
export function usualSoakMin(grade: Pick<Grade, 'soak'>, thicknessMm: number): number {
  const { minMin, maxMin } = grade.soak
  const part = Math.min(1, Math.max(0, (thicknessMm - 2) / 4))
  return Math.round(minMin + (maxMin - minMin) * part)
}

/**
 * The longest a blade of a grade should soak, min: half as long again as is usual for a thick one; where the grain is no longer held
 * at the austenitize temperature (pinning below 1, see grainPinning), not longer than usual.
 */
export const longestSoakMin = ({ soak }: Pick<Grade, 'soak'>, grainPinning: number): number =>
  grainPinning < 1 ? soak.maxMin : LONGEST_SOAK.timesUsual * soak.maxMin
