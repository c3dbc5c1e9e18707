import { LIQUID_NITROGEN, OXYGEN, STEEL_CHILL_J_PER_KG } from '../../data/cold'
import { type Caution, caution } from '../codes/caution'
import { type WorkingLine, worked } from '../codes/working'
import { type AirInRoom, airCautions, airInRoom } from './air-in-room'
import type { Room } from './room'

export interface LiquidNitrogenRequest {
  readonly steelKg: number
  /** Temperature of the blades as they go in, and of the room with the vessel, °C. */
  readonly startC: number
  readonly ambientC: number
  /** Of the vessel what is cooled down with the blades; 0: not known. */
  readonly vesselKg: number
  /** Liquid that stands in the box about the blades, L; 0 where only vapour cools them. */
  readonly standingL: number
  readonly lossWPerK: number
  readonly holdH: number
  readonly room: Room
}

export interface LiquidNitrogenAmount {
  readonly chillL: number
  readonly holdL: number
  /** Liquid left standing at the end: it is bought, and boils off in the room or is spilt. */
  readonly standingL: number
  readonly coolantL: number
  readonly kgPerL: number
  readonly gasM3: number
  /** Least oxygen in a well-mixed room, %. */
  readonly oxygenPercent: number
  /** Oxygen in the room if the standing liquid is spilt and boils at once, %. */
  readonly spillOxygenPercent: number
  readonly air: AirInRoom
  readonly cautions: readonly Caution[]
  readonly working: readonly WorkingLine[]
}

/** Liquid nitrogen to chill a batch and hold it; the cold of the gas is not credited. */
export function liquidNitrogenFor({
  steelKg,
  startC,
  ambientC,
  vesselKg,
  standingL,
  lossWPerK,
  holdH,
  room,
}: LiquidNitrogenRequest): LiquidNitrogenAmount {
  const n = LIQUID_NITROGEN
  const perL = n.latentJPerKg * n.densityKgPerL
  const usualK = STEEL_CHILL_J_PER_KG.fromC - n.boilsAtC
  const dropK = ambientC - n.boilsAtC
  const steelJ = steelKg * STEEL_CHILL_J_PER_KG.toLiquidNitrogen * (Math.max(0, startC - n.boilsAtC) / usualK)
  const vesselJ = vesselKg > 0 ? vesselKg * n.vesselJPerKg * (dropK / usualK) : n.vesselJ
  const chillJ = steelJ + vesselJ
  const holdJ = lossWPerK * dropK * holdH * 3600
  const chillL = chillJ / perL
  const holdL = holdJ / perL
  const air = airInRoom({ gas: 'nitrogen', chillM3: chillL * n.gasM3PerL, holdM3: holdL * n.gasM3PerL, holdH, room })
  const spillOxygenPercent = OXYGEN.normalPercent * Math.max(0, 1 - (standingL * n.gasM3PerL) / room.m3)
  const oxygenPercent = OXYGEN.normalPercent * (1 - air.peakShare)
  return {
    chillL,
    holdL,
    standingL,
    coolantL: chillL + holdL + standingL,
    kgPerL: n.densityKgPerL,
    gasM3: (chillL + holdL + standingL) * n.gasM3PerL,
    oxygenPercent,
    spillOxygenPercent,
    air,
    cautions: [
      ...airCautions(air),
      ...(spillOxygenPercent < OXYGEN.leastPercent
        ? [caution('nitrogen-spill', { litres: standingL, oxygenPercent: spillOxygenPercent })]
        : []),
    ],
    working: [
      worked('steel-heat-nitrogen', steelJ / 1000, 'kJ', {}),
      worked('vessel-heat', vesselJ / 1000, 'kJ', {}),
      worked('leak-heat', holdJ / 1000, 'kJ', {}),
      worked('vaporisation-heat', n.latentJPerKg / 1000, 'kJ/kg', { source: n.source }),
      worked('oxygen-in-room', oxygenPercent, '%', {}),
      worked('oxygen-after-spill', spillOxygenPercent, '%', {}),
    ],
  }
}
