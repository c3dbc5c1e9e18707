import { STEEL_MODEL } from '../../data/steel-model'
import { kelvinFromC, ZERO_C_IN_K } from '../units/temperature'
import type { Austenite } from './austenite'

export interface Temper {
  readonly atC: number
  readonly holdMin: number
}

/**
 * Tempering parameter P = T(20 + log10 t)/1000, T in kelvin, t in hours.
 * Source: Hollomon and Jaffe (1945), constant 20.
 * @example hollomonJaffe(200, 2) // 9.605
 */
export function hollomonJaffe(atC: number, hours: number): number {
  return (kelvinFromC(atC) * (STEEL_MODEL.temper.constant + Math.log10(Math.max(hours, 1e-6)))) / 1000
}

/** Temperature, °C, that gives a tempering parameter in a time. The inverse of hollomonJaffe. */
export const temperatureFor = (parameter: number, hours: number): number =>
  (parameter * 1000) / (STEEL_MODEL.temper.constant + Math.log10(hours)) - ZERO_C_IN_K

/**
 * One parameter for several tempers: what went before counts, at each temper, as the hours at its temperature that
 * give the same parameter. A later temper can only add to it. Null without tempers.
 */
export function combinedParameter(tempers: readonly Temper[]): number | null {
  return tempers.reduce<number | null>((before, { atC, holdMin }) => {
    const hours = holdMin / 60
    if (before === null) return hollomonJaffe(atC, hours)
    const log10Equivalent = (before * 1000) / kelvinFromC(atC) - STEEL_MODEL.temper.constant
    // Past 10^15 hours the present temper adds nothing, and the sum would lose it anyway.
    return log10Equivalent > 15 ? before : hollomonJaffe(atC, 10 ** log10Equivalent + hours)
  }, null)
}

/**
 * Fall of Rockwell C by tempering to a parameter: early softening, the secondary hump of dissolved molybdenum and
 * vanadium near 500 °C, and overtempering beyond it. Source: docs/method.md, 'Tempering'.
 */
export function temperDropHrc(parameter: number | null, a: Pick<Austenite, 'Mo' | 'V'>): number {
  if (parameter === null) return 0
  const t = STEEL_MODEL.temper
  const early = t.drop * (1 - Math.exp(-((Math.max(0, parameter - t.from) / t.width) ** t.power)))
  const size = t.hump.base + t.hump.perMo * Math.min(a.Mo, t.hump.moMax) + t.hump.perV * a.V
  const hump = size * Math.exp(-(((parameter - t.hump.at) / t.hump.width) ** 2))
  const over = t.over.slope * Math.max(0, parameter - t.over.from) ** t.over.power
  return early - hump + over
}

/** Retained austenite after a temper, 0..1: it breaks down on cooling from high tempers. */
export function retainedAfterTemper(retained: number, temper: Temper): number {
  const { halfAtC, widthC } = STEEL_MODEL.temperDecomposition
  return retained / (1 + Math.exp((temper.atC - halfAtC) / widthC))
}
