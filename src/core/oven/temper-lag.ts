import { STEEL_THERMAL, TEMPER_AIR } from '../../data/thermal'

/** Mean heat capacity of steel from 20 to 200 °C, J/kgK. Textbook value, from memory. */
export const TEMPER_CP = 490
const WITHIN_K = 3

/**
 * Seconds for a bare blade to come within 3 °C of a tempering oven, lumped: ρc(t/2)/h · ln(ΔT/3).
 * h about 10 W/m²K in still air, 25 to 30 with a fan.
 * @example temperLagS(3, 200, 25) // about 927
 */
export const temperLagS = (thicknessMm: number, atC: number, hWPerM2K: number): number =>
  ((STEEL_THERMAL.densityKgPerM3 * TEMPER_CP * thicknessMm) / 2000 / hWPerM2K) *
  Math.log(Math.max(1.01, (atC - 20) / WITHIN_K))

/** A tempering oven's air to a bare blade, W/m²K, by whether a fan moves it; not said: midway between. */
export const temperAirWPerM2K = (fan: boolean | undefined): number =>
  fan === undefined ? Math.sqrt(TEMPER_AIR.still * TEMPER_AIR.fan) : TEMPER_AIR[fan ? 'fan' : 'still']
