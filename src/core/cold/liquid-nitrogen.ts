import { LIQUID_NITROGEN, OXYGEN, STEEL_CHILL_J_PER_KG } from '../../data/cold'
import type { Caution, WorkingLine } from '../result'
import { CHILL_MIN, gasShareAfter, type Room } from './room'

export interface LiquidNitrogenRequest {
  readonly steelKg: number
  readonly lossWPerK: number
  readonly holdH: number
  readonly room: Room
}

export interface LiquidNitrogenAmount {
  readonly chillL: number
  readonly holdL: number
  readonly coolantL: number
  /** Oxygen at the end of the chill in a well-mixed room, %. */
  readonly oxygenPercent: number
  readonly cautions: readonly Caution[]
  readonly working: readonly WorkingLine[]
}

/** Liquid nitrogen to chill a batch from 20 °C and hold it; the cold of the gas is not credited. */
export function liquidNitrogenFor({ steelKg, lossWPerK, holdH, room }: LiquidNitrogenRequest): LiquidNitrogenAmount {
  const n = LIQUID_NITROGEN
  const perL = n.latentJPerKg * n.densityKgPerL
  const chillJ = steelKg * STEEL_CHILL_J_PER_KG.toLiquidNitrogen + n.vesselJ
  const holdJ = lossWPerK * (20 - n.boilsAtC) * holdH * 3600
  const chillL = chillJ / perL
  const oxygenPercent = OXYGEN.normalPercent * (1 - gasShareAfter(chillL * n.gasM3PerL, CHILL_MIN, room, 0))
  return {
    chillL,
    holdL: holdJ / perL,
    coolantL: chillL + holdJ / perL,
    oxygenPercent,
    cautions:
      oxygenPercent < OXYGEN.leastPercent
        ? [
            {
              code: 'oxygen',
              message: `Oxygen in this room would fall to about ${oxygenPercent.toFixed(1)} %, below ${OXYGEN.leastPercent} %. Work outdoors or with doors wide open, with an oxygen alarm.`,
            },
          ]
        : [],
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
        equation: '20.9·(1 − N₂ added), over 15 min',
        source: 'well-mixed room',
      },
    ],
  }
}
