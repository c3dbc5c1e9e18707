import { STEEL_MODEL } from '../../data/steel-model'
import { STEEL_THERMAL } from '../../data/thermal'

const { cooling } = STEEL_THERMAL
const perK = STEEL_MODEL.retained.perK

/** Share turned to martensite at a temperature on cooling, 0..1. Source: Koistinen and Marburger (1959). */
const martensite = (c: number, msC: number) => (c >= msC ? 0 : 1 - Math.exp(-perK * (msC - c)))

/**
 * Heat content of cooling steel, J/kg above 0 °C: austenite's heat less what forming martensite gives back. It rises
 * with temperature, so that it can be read backward.
 */
export const coolingEnthalpy = (c: number, msC: number): number =>
  cooling.cp0 * c + (cooling.cpPerC / 2) * c * c - cooling.martensiteJPerKg * martensite(c, msC)

/** Slope of the above, J/kgK. */
export const coolingCapacity = (c: number, msC: number): number =>
  cooling.cp0 + cooling.cpPerC * c + (c >= msC ? 0 : cooling.martensiteJPerKg * perK * Math.exp(-perK * (msC - c)))

/** Conductivity of cooling steel, W/mK. Textbook values, from memory. */
export const coolingConductivity = (c: number): number => 15 + 0.0125 * c
