import type { Equalise } from '../../data/grades'
import { PACE } from '../../data/pace'
import { AMBIENT_C, type ChamberModel, heatUpMin } from './chamber'
import { arrival } from './lag'

export interface SoakLagRequest {
  readonly oven: ChamberModel
  readonly steelKg: number
  readonly equalise: readonly Equalise[]
  /** Oven temperature when the packets went in, °C. */
  readonly entryC: number
  readonly austenitizeC: number
  readonly thicknessMm: number
  /** How freely the packet sees the chamber, 0..1. */
  readonly view: number
}

export interface SoakLag {
  /** Minutes of the last climb at full power. */
  readonly climbMin: number
  readonly rateCPerH: number
  /** Seconds from the chamber's arrival at austenitize temperature to the blade's, never negative. */
  readonly lagS: number
  /** Seconds from where the last climb began, or the packets went in, to the blade's arrival. */
  readonly afterLoadingS: number
}

/**
 * How far a blade is behind its oven when the oven reaches austenitize temperature. After a preheat both set out together;
 * without one the blade sets out cold, into a chamber that the open door has cooled.
 */
export function soakLag({ oven, steelKg, equalise, entryC, austenitizeC, thicknessMm, view }: SoakLagRequest): SoakLag {
  const last = equalise[equalise.length - 1]
  const fromC = last?.atC ?? Math.max(AMBIENT_C, entryC - PACE.loadDropK)
  const climbMin = heatUpMin(oven, fromC, austenitizeC, steelKg)
  if (!Number.isFinite(climbMin) || climbMin <= 0) return { climbMin, rateCPerH: 0, lagS: 0, afterLoadingS: 0 }
  const rateCPerH = ((austenitizeC - fromC) / climbMin) * 60
  const { afterChamberS, afterLoadingS } = arrival(
    { thicknessMm, view },
    { fromC, toC: austenitizeC, rateCPerH },
    last ? fromC : AMBIENT_C,
  )
  return { climbMin, rateCPerH, lagS: Math.max(0, afterChamberS), afterLoadingS }
}
