import { HRC_TO_HV } from '../../data/hardness-conversion'
import { monotoneOf } from '../numeric/interpolate'

const hvOf = monotoneOf(HRC_TO_HV)
const hrcOf = monotoneOf(HRC_TO_HV.map(([hrc, hv]) => [hv, hrc] as const))
/** Ends of the table in Vickers. */
const CONVERTIBLE_HV = { min: 238, max: 940 } as const

/** Range of the standard table. Outside it there is no agreed conversion. */
export const CONVERTIBLE_HRC = { min: 20, max: 68 } as const

/**
 * Vickers hardness for a Rockwell C one; null outside 20 to 68 HRC, where the standard gives none.
 * Source: ASTM E140 Table 1, monotone interpolation between its rows.
 * @example hvFromHrc(60) // 697
 */
export function hvFromHrc(hrc: number): number | null {
  if (!(hrc >= CONVERTIBLE_HRC.min && hrc <= CONVERTIBLE_HRC.max)) return null
  return hvOf(hrc)
}

/**
 * Rockwell C for a Vickers hardness; null outside the standard table (238 to 940 HV).
 * @example hrcFromHv(697) // 60
 */
export const hrcFromHv = (hv: number): number | null =>
  hv >= CONVERTIBLE_HV.min && hv <= CONVERTIBLE_HV.max ? hrcOf(hv) : null

/**
 * Rockwell C for a computed Vickers value, for use inside a model: continued in a straight line past the
 * standard table so that a prediction stays smooth. Never use it for a measured value.
 */
export function modelHrcFromHv(hv: number): number {
  const { min, max } = CONVERTIBLE_HV
  if (hv < min) return Math.max(0, 20 - (min - hv) / 5)
  return hv > max ? Math.min(75, 68 + (hv - max) / 40) : hrcOf(hv)
}
