import { CHILL } from '../../data/cold'
import { STEEL_THERMAL } from '../../data/thermal'
import { coldWay } from './way'

export interface ChillRequest {
  readonly thicknessMm: number
  /** Temperature of the blades as they go in, °C. */
  readonly startC: number
  readonly toC: number
  /** A fan moves the air of a freezer. */
  readonly fan: boolean
  /** The dry ice lies in a liquid. */
  readonly bath: boolean
}

/** Blades count as there when they are within this of what cools them, K. */
export const CHILLED_WITHIN_K = 3

/**
 * Minutes in which a blade comes nearer to what cools it by a factor e: as one temperature (Biot below 0.02), cooled on both
 * faces. Range: flat blades to 8 mm that do not touch. Source: lumped cooling; what each way takes of a face stands in data/cold.
 * @example chillTauMin({ thicknessMm: 3, toC: -18, fan: false, bath: false }) // about 10
 */
export function chillTauMin({ thicknessMm, toC, fan, bath }: Omit<ChillRequest, 'startC'>): number {
  const perFaceJPerM2K = (STEEL_THERMAL.densityKgPerM3 * CHILL.steelCp * thicknessMm) / 2000
  const way = coldWay(toC)
  const hWPerM2K =
    way === 'freezer'
      ? fan
        ? CHILL.fanWPerM2K
        : CHILL.stillWPerM2K
      : way === 'dry-ice'
        ? bath
          ? CHILL.slurryWPerM2K
          : CHILL.pelletsWPerM2K
        : CHILL.nitrogenWPerM2K
  return perFaceJPerM2K / hWPerM2K / 60
}

/** Minutes until blades are within 3 °C of what cools them; 0 for blades that are as cold already. */
export function chillMin(request: ChillRequest): number {
  const apartK = request.startC - request.toC
  return apartK <= CHILLED_WITHIN_K ? 0 : chillTauMin(request) * Math.log(apartK / CHILLED_WITHIN_K)
}
