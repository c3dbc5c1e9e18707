import { STEEL_THERMAL, STEFAN_BOLTZMANN, TEMPER_AIR } from '../../data/thermal'
import { kelvinFromC } from '../units/temperature'

/** Mean heat capacity of steel from 20 to 200 °C, J/kgK. Textbook value, from memory. */
export const TEMPER_CP = 490
const WITHIN_K = 3
const ROOM_C = 20
const STEP_S = 5
const LONGEST_S = 24 * 3600

/**
 * A bare blade after a while in a tempering oven's air, °C: lumped, warmed on both faces by air (W/m²K) and by the glow of the walls,
 * linearised over the step. Range: flat blades to 8 mm, steps to about 30 s.
 */
export function temperedBladeC(
  bladeC: number,
  ovenC: number,
  { thicknessMm, hWPerM2K }: { readonly thicknessMm: number; readonly hWPerM2K: number },
  stepS: number,
): number {
  const [oven, blade] = [kelvinFromC(ovenC), kelvinFromC(bladeC)]
  const glow = TEMPER_AIR.emissivity * STEFAN_BOLTZMANN * (oven * oven + blade * blade) * (oven + blade)
  const tauS = (STEEL_THERMAL.densityKgPerM3 * TEMPER_CP * thicknessMm) / 2000 / (hWPerM2K + glow)
  return ovenC + (bladeC - ovenC) * Math.exp(-stepS / tauS)
}

/**
 * Seconds for a bare blade from the room to come within 3 °C of a tempering oven. h about 10 W/m²K in still air, 25 to 30 with a fan,
 * beside the walls' glow.
 * @example temperLagS(3, 200, 10) // about 1420
 */
export function temperLagS(thicknessMm: number, atC: number, hWPerM2K: number): number {
  let bladeC = ROOM_C
  let s = 0
  while (bladeC < atC - WITHIN_K && s < LONGEST_S) {
    const next = temperedBladeC(bladeC, atC, { thicknessMm, hWPerM2K }, STEP_S)
    // The last step is taken only as far as it needs.
    if (next >= atC - WITHIN_K) return s + (STEP_S * (atC - WITHIN_K - bladeC)) / (next - bladeC)
    bladeC = next
    s += STEP_S
  }
  return s
}

/** A tempering oven's air to a bare blade, W/m²K, by whether a fan moves it; not said: midway between. */
export const temperAirWPerM2K = (fan: boolean | undefined): number =>
  fan === undefined ? Math.sqrt(TEMPER_AIR.still * TEMPER_AIR.fan) : TEMPER_AIR[fan ? 'fan' : 'still']
