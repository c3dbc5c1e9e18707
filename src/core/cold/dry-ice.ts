import { BATHS, type BathFluid, DRY_ICE, STEEL_CHILL_J_PER_KG, VESSEL_CP } from '../../data/cold'
import { type Caution, caution } from '../codes/caution'
import { type WorkingLine, worked } from '../codes/working'
import { type AirInRoom, airCautions, airInRoom } from './air-in-room'
import type { Room } from './room'

export interface DryIceRequest {
  readonly steelKg: number
  /** Temperature of the blades as they go in, and of the room with the bath and the vessel, °C. */
  readonly startC: number
  readonly ambientC: number
  readonly bath: { readonly fluid: BathFluid; readonly litres: number }
  readonly vesselKg: number
  /** Heat leak of the box, W per kelvin. */
  readonly lossWPerK: number
  readonly holdH: number
  readonly room: Room
}

export interface DryIceAmount {
  readonly chillKg: number
  readonly holdKg: number
  readonly coolantKg: number
  readonly coolantL: number
  readonly gasM3: number
  readonly peakCo2Ppm: number
  readonly air: AirInRoom
  readonly cautions: readonly Caution[]
  readonly working: readonly WorkingLine[]
}

/**
 * Dry ice to chill a batch to −75 °C and hold it: chill heat over the heat of sublimation, plus the box's leak. The
 * cold of the gas is not credited, so the figure is on the safe side.
 */
export function dryIceFor(request: DryIceRequest): DryIceAmount {
  const bath = BATHS[request.bath.fluid]
  const bladesK = Math.max(0, request.startC - STEEL_CHILL_J_PER_KG.dryIceC)
  const dropK = request.ambientC - STEEL_CHILL_J_PER_KG.dryIceC
  const steelJ =
    request.steelKg *
    STEEL_CHILL_J_PER_KG.toDryIce *
    (bladesK / (STEEL_CHILL_J_PER_KG.fromC - STEEL_CHILL_J_PER_KG.dryIceC))
  const bathJ = ((request.bath.litres * bath.densityKgPerM3) / 1000) * bath.cp * dropK
  const vesselJ = request.vesselKg * VESSEL_CP * dropK
  const holdJ = request.lossWPerK * dropK * request.holdH * 3600
  const chillKg = (steelJ + bathJ + vesselJ) / DRY_ICE.latentJPerKg
  const holdKg = holdJ / DRY_ICE.latentJPerKg
  const coolantKg = chillKg + holdKg
  const gasM3 = coolantKg * DRY_ICE.gasM3PerKg
  const air = airInRoom({
    gas: 'co2',
    chillM3: chillKg * DRY_ICE.gasM3PerKg,
    holdM3: holdKg * DRY_ICE.gasM3PerKg,
    holdH: request.holdH,
    room: request.room,
  })
  const peakCo2Ppm = 1e6 * air.peakShare
  return {
    chillKg,
    holdKg,
    coolantKg,
    coolantL: coolantKg / DRY_ICE.bulkKgPerL,
    gasM3,
    peakCo2Ppm,
    air,
    cautions: cautionsOf(air, request),
    working: [
      worked('steel-heat-dry-ice', steelJ / 1000, 'kJ', {}),
      worked('bath-heat', bathJ / 1000, 'kJ', { source: bath.source }),
      worked('vessel-heat', vesselJ / 1000, 'kJ', {}),
      worked('leak-heat', holdJ / 1000, 'kJ', {}),
      worked('sublimation-heat', DRY_ICE.latentJPerKg / 1000, 'kJ/kg', { source: DRY_ICE.source }),
      worked('co2-in-room', peakCo2Ppm, 'ppm', {}),
    ],
  }
}

function cautionsOf(air: AirInRoom, { bath }: DryIceRequest): Caution[] {
  const { label, flashC } = BATHS[bath.fluid]
  const solvent = flashC !== null && bath.litres > 0 ? [caution('solvent', { fluid: label, flashC })] : []
  return [...airCautions(air), ...solvent]
}
