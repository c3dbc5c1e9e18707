import { LIQUID_NITROGEN, OXYGEN, STEEL_CHILL_J_PER_KG } from '../../data/cold'
import type { Caution } from '../codes/caution'
import { type WorkingLine, worked } from '../codes/working'
import { type AirInRoom, airCautions, airInRoom } from './air-in-room'
import type { Room } from './room'

export interface LiquidNitrogenRequest {
  readonly steelKg: number
  readonly startC: number
  readonly lossWPerK: number
  readonly holdH: number
  readonly room: Room
}

export interface LiquidNitrogenAmount {
  readonly chillL: number
  readonly holdL: number
  readonly coolantL: number
  readonly kgPerL: number
  readonly gasM3: number
  /** Least oxygen in a well-mixed room, %. */
  readonly oxygenPercent: number
  readonly air: AirInRoom
  readonly cautions: readonly Caution[]
  readonly working: readonly WorkingLine[]
}

/** Liquid nitrogen to chill a batch and hold it; the cold of the gas is not credited. */
export function liquidNitrogenFor({
  steelKg,
  startC,
  lossWPerK,
  holdH,
  room,
}: LiquidNitrogenRequest): LiquidNitrogenAmount {
  const n = LIQUID_NITROGEN
  const perL = n.latentJPerKg * n.densityKgPerL
  const chillJ =
    steelKg * STEEL_CHILL_J_PER_KG.toLiquidNitrogen * ((startC - n.boilsAtC) / (20 - n.boilsAtC)) + n.vesselJ
  const holdJ = lossWPerK * (20 - n.boilsAtC) * holdH * 3600
  const chillL = chillJ / perL
  const holdL = holdJ / perL
  const air = airInRoom({ gas: 'nitrogen', chillM3: chillL * n.gasM3PerL, holdM3: holdL * n.gasM3PerL, holdH, room })
  const oxygenPercent = OXYGEN.normalPercent * (1 - air.peakShare)
  return {
    chillL,
    holdL,
    coolantL: chillL + holdL,
    kgPerL: n.densityKgPerL,
    gasM3: (chillL + holdL) * n.gasM3PerL,
    oxygenPercent,
    air,
    cautions: airCautions(air),
    working: [
      worked('steel-heat-nitrogen', chillJ / 1000, 'kJ', {}),
      worked('leak-heat', holdJ / 1000, 'kJ', {}),
      worked('vaporisation-heat', n.latentJPerKg / 1000, 'kJ/kg', { source: n.source }),
      worked('oxygen-in-room', oxygenPercent, '%', {}),
    ],
  }
}
