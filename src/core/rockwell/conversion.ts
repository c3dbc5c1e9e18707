import { HRC_TO_HV } from '../../data/hardness-conversion'
import { interpolateMonotone, type Table } from '../numeric/interpolate'

const HV_TO_HRC: Table = HRC_TO_HV.map(([hrc, hv]) => [hv, hrc] as const)

/** Range of the standard table. Outside it there is no agreed conversion. */
export const CONVERTIBLE_HRC = { min: 20, max: 68 } as const

/**
 * Vickers hardness for a Rockwell C one; null outside 20 to 68 HRC, where the standard gives none.
 * Source: ASTM E140 Table 1, monotone interpolation between its rows.
 * @example hvFromHrc(60) // 697
 */
export function hvFromHrc(hrc: number): number | null {
  if (!(hrc >= CONVERTIBLE_HRC.min && hrc <= CONVERTIBLE_HRC.max)) return null
  return interpolateMonotone(HRC_TO_HV, hrc)
}

/**
 * Rockwell C for a Vickers hardness; null outside the standard table (238 to 940 HV).
 * @example hrcFromHv(697) // 60
 */
export function hrcFromHv(hv: number): number | null {
  const first = HV_TO_HRC[0]
  const last = HV_TO_HRC[HV_TO_HRC.length - 1]
  if (!first || !last || !(hv >= first[0] && hv <= last[0])) return null
  return interpolateMonotone(HV_TO_HRC, hv)
}

/**
 * Rockwell C for a computed Vickers value, for use inside a model: continued in a straight line past the
 * standard table so that a prediction stays smooth. Never use it for a measured value.
 */
export function modelHrcFromHv(hv: number): number {
  const within = hrcFromHv(hv)
  if (within !== null) return within
  return hv < 238 ? Math.max(0, 20 - (238 - hv) / 5) : Math.min(75, 68 + (hv - 940) / 40)
}
