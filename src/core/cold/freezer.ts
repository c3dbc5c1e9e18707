import { FREEZER } from '../../data/cold'
import { STEEL_THERMAL } from '../../data/thermal'

export interface FreezerRequest {
  readonly thicknessMm: number
  /** What the blades are at as they go in, °C. */
  readonly startC: number
  readonly freezerC: number
  /** A fan moves its air. */
  readonly fan: boolean
}

/** Blades count as there when they are within this of the freezer, K. */
export const FREEZER_WITHIN_K = 3

/**
 * Minutes until blades that stand free are within 3 °C of a freezer's air: the blade as one temperature (Biot below 0.01), cooled on
 * both faces. 0 for blades that are as cold already.
 */
export function freezerMin({ thicknessMm, startC, freezerC, fan }: FreezerRequest): number {
  const apartK = startC - freezerC
  if (apartK <= FREEZER_WITHIN_K) return 0
  const perFaceJPerM2K = (STEEL_THERMAL.densityKgPerM3 * FREEZER.steelCp * thicknessMm) / 2000
  const hWPerM2K = fan ? FREEZER.fanWPerM2K : FREEZER.stillWPerM2K
  return ((perFaceJPerM2K / hWPerM2K) * Math.log(apartK / FREEZER_WITHIN_K)) / 60
}
