import { LIQUID_NITROGEN, OXYGEN, STEEL_CHILL_J_PER_KG } from '../../data/cold'
import type { Caution, WorkingLine } from '../result'
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
      {
        name: 'Steel and vessel',
        value: chillJ / 1000,
        unit: 'kJ',
        equation: 'm·73.7 kJ/kg + vessel',
        source: 'Debye model, 432 K, from memory',
      },
      {
        name: 'Leak while holding',
        value: holdJ / 1000,
        unit: 'kJ',
        equation: 'UA·ΔT·t',
        source: 'box loss as entered',
      },
      {
        name: 'Heat of vaporisation',
        value: n.latentJPerKg / 1000,
        unit: 'kJ/kg',
        equation: 'litres = heat / (latent · density)',
        source: n.source,
      },
      {
        name: 'Oxygen in the room',
        value: oxygenPercent,
        unit: '%',
        equation: '20.9·(1 − N₂ added); chill over 15 min, then the hold',
        source: 'well-mixed room',
      },
    ],
  }
}
