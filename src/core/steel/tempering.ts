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

/** Minutes at a temperature that give a tempering parameter: hollomonJaffe solved for the time. */
export const holdFor = (parameter: number, atC: number): number =>
  60 * 10 ** ((parameter * 1000) / kelvinFromC(atC) - STEEL_MODEL.temper.constant)

/** Returns the tempering parameter after a further temper: earlier ones count as equivalent hours at its temperature. */
export function addTemper(before: number | null, { atC, holdMin }: Temper): number {
  const hours = holdMin / 60
  if (before === null) return hollomonJaffe(atC, hours)
  const log10Equivalent = (before * 1000) / kelvinFromC(atC) - STEEL_MODEL.temper.constant
  // Past 10^15 hours the present temper adds nothing, and the sum would lose it anyway.
  return log10Equivalent > 15 ? before : hollomonJaffe(atC, 10 ** log10Equivalent + hours)
}

/** The combined parameter after each temper of a route, in order; a later temper can only add. */
export function parametersAfter(tempers: readonly Temper[]): number[] {
  const after: number[] = []
  for (const temper of tempers) after.push(addTemper(after[after.length - 1] ?? null, temper))
  return after
}

/** Terms of softening at a combined parameter, which a steel's alloy only scales. */
export interface TemperTerms {
  readonly parameter: number
  /** Share of the early softening, 0..1. */
  readonly early: number
  /** Further softening of a steel without chromium, HRC. */
  readonly lean: number
}

const termsOf = (parameter: number): TemperTerms => {
  const t = STEEL_MODEL.temper
  return {
    parameter,
    early: 1 - Math.exp(-((Math.max(0, parameter - t.from) / t.width) ** t.power)),
    lean: parameter <= t.lean.from ? 0 : t.lean.slope * (parameter - t.lean.from) ** t.lean.power,
  }
}

/** The tempers of a route with what each part of the martensite goes through. */
export interface TemperSteps {
  readonly tempers: readonly Temper[]
  /** Combined parameter after each temper, for what was martensite before the first, and its terms. */
  readonly parameters: readonly number[]
  readonly terms: readonly TemperTerms[]
  /** Share of the retained austenite each leaves in a chromium steel, 0..1. */
  readonly kept: readonly number[]
  /** Terms for what formed on cooling from temper j: [k] after k + 1 further tempers. Worked out when it is asked for. */
  readonly since: (j: number) => readonly TemperTerms[]
}

const CHROMIUM_STEEL = { lean: 0 } as const

/** Tempers made ready: the same for every steel they may be given to. */
export function temperSteps(tempers: readonly Temper[]): TemperSteps {
  const parameters = parametersAfter(tempers)
  const known: (readonly TemperTerms[] | undefined)[] = []
  return {
    tempers,
    parameters,
    terms: parameters.map(termsOf),
    kept: tempers.map(temper => keptByTemper(temper, CHROMIUM_STEEL)),
    since: j => {
      known[j] ??= parametersAfter(tempers.slice(j + 1)).map(termsOf)
      return known[j] as readonly TemperTerms[]
    },
  }
}

/** One parameter for several tempers; null without any. */
export const combinedParameter = (tempers: readonly Temper[]): number | null => parametersAfter(tempers).at(-1) ?? null

/** How dissolved alloy shapes a steel's tempering curve. */
export interface TemperShape {
  /** Size of the early softening, HRC. */
  readonly drop: number
  readonly hump: number
  readonly humpAt: number
  readonly overFrom: number
  /** Slope of overtempering, HRC. */
  readonly over: number
  /** How far it lacks the plateau of chromium grades, 0..1. */
  readonly lean: number
}

/** Tempering shape of a steel from what is dissolved, wt%; see STEEL_MODEL.temper. */
export function temperShape(a: Pick<Austenite, 'C' | 'N' | 'Mo' | 'W' | 'V' | 'Cr'>): TemperShape {
  const t = STEEL_MODEL.temper
  const molybdenum = a.Mo + a.W / 2
  const carbon = a.C + a.N
  // Stainless matrices hold their molybdenum without the later peak of high-speed steel.
  const shift =
    (t.shift.perMo * Math.max(0, molybdenum - t.shift.fromMo) + t.shift.perV * a.V) /
    (1 + Math.exp((a.Cr - t.shift.chromiumBelow) / t.shift.chromiumWidth))
  return {
    // Carbon in solution is what tempering takes out; alloy beside it holds it back.
    drop:
      t.drop *
      Math.max(
        t.leastDrop,
        1 -
          t.dropLessPerMo * molybdenum -
          t.dropLessPerV * a.V +
          t.dropPerC * (Math.min(carbon, 0.6) - 0.6) +
          t.dropPerCAbove * Math.min(0.4, Math.max(0, carbon - 0.6)),
      ),
    hump:
      t.hump.base +
      t.hump.perMo * molybdenum +
      t.hump.perV * a.V +
      // Chromium carbide comes out of a matrix that was hardened hot, rich in both carbon and chromium.
      t.hump.perCCr *
        t.hump.fromCWidth *
        Math.log1p(Math.exp((carbon - t.hump.fromC) / t.hump.fromCWidth)) *
        Math.max(0, a.Cr - t.hump.fromCr),
    humpAt: t.hump.at + shift,
    overFrom: t.over.from + shift,
    over: t.over.slope * (1 + t.over.perCr * Math.max(0, a.Cr - t.over.fromCr)),
    lean: Math.max(0, 1 - a.Cr / t.lean.chromiumFull),
  }
}

/**
 * Returns the fall of Rockwell C by tempering, from the terms of its parameter: early softening, the secondary hump near 500 °C, and
 * overtempering beyond it. Source: docs/method.md, 'Tempering'.
 */
export function dropOf({ parameter, early, lean }: TemperTerms, shape: TemperShape): number {
  const t = STEEL_MODEL.temper
  const alloyed = 1 - shape.lean
  let drop = shape.drop * early + shape.lean * lean
  if (alloyed > 0) {
    drop -= alloyed * shape.hump * Math.exp(-(((parameter - shape.humpAt) / t.hump.width) ** 2))
    const over = parameter - shape.overFrom
    if (over > 0) drop += alloyed * shape.over * over ** t.over.power
  }
  return drop
}

/**
 * Share of the retained austenite that a temper leaves, 0..1: it breaks down on cooling from high tempers, in steels with little
 * chromium already during low ones.
 */
export function keptByTemper(temper: Temper, shape: Pick<TemperShape, 'lean'>): number {
  const { halfAtC, leanHalfAtC, widthC } = STEEL_MODEL.temperDecomposition
  const halfC = halfAtC + shape.lean * (leanHalfAtC - halfAtC)
  return 1 / (1 + Math.exp((temper.atC - halfC) / widthC))
}
