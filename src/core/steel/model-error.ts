import type { Composition } from '../../data/grades'
import type { ModelFamily } from '../../data/steel-facts'
import { FAR_HRC, HELD_OUT, KNOWN } from '../../data/steel-fitted'
import { STEEL_MODEL } from '../../data/steel-model'
import { distanceFrom } from './known-distance'
import type { Route } from './route'
import { chartOf, compositionOf, type Steel } from './steel'
import { combinedParameter } from './tempering'

/** Basis of a prediction without the shop's own readings, and its error on steels that were left out. */
export interface ModelError {
  readonly on: 'chart' | 'model'
  readonly family: ModelFamily
  /** One standard deviation, HRC. */
  readonly sdHrc: number
  /** The chart is a value recalled, not looked up: of the shipped grades, until someone with the handbook has gone through it. */
  readonly recalled: boolean
  /** Steels the error was found on; with fewer than three it is little more than a guess. */
  readonly steels: number
}

/** The family a steel behaves like, by its composition (wt%) and how it is made. */
export function modelFamilyOf(
  { C, N = 0, Cr = 0, Mo = 0, W = 0, V = 0 }: Composition,
  made: 'ingot' | 'powder',
): ModelFamily {
  const { lowAlloyBelowCr, stainlessFromCr, leanBelowC, nitrogenFrom, highSpeedFromMo, vanadiumRichFromV } =
    STEEL_MODEL.families
  const molybdenum = Mo + W / 2
  if (Cr < lowAlloyBelowCr) return 'low-alloy'
  if (Cr >= stainlessFromCr) {
    if (made === 'powder') return 'stainless-powder'
    return C < leanBelowC || N > nitrogenFrom ? 'stainless-lean' : 'stainless'
  }
  if (V >= vanadiumRichFromV && V >= molybdenum) return 'vanadium-rich'
  return molybdenum >= highSpeedFromMo ? 'high-speed' : 'air-hardening'
}

/** The model's error by route: austenitize °C, and the combined tempering parameter, null where it is not tempered. */
type ErrorOnRoute = (austenitizeC: number, parameter: number | null) => ModelError

/**
 * Returns the error of the model for a steel by its route: of its chart where it has one, else of its family left out of the fit, which
 * grows with the distance to the nearest stated figure in composition and route.
 */
export function modelErrorOn(steel: Steel): ErrorOnRoute {
  const composition = compositionOf(steel)
  const family = modelFamilyOf(composition, steel.made ?? 'ingot')
  const chart = chartOf(steel)
  if (chart) {
    const { sdHrc, steels } = HELD_OUT.charted
    const error = { on: 'chart', family, sdHrc, steels, recalled: chart.recalled === true } as const
    return () => error
  }
  const { sdHrc, steels } = HELD_OUT[family]
  const distance = distanceFrom(composition, KNOWN)
  return (austenitizeC, parameter) => ({
    on: 'model',
    family,
    sdHrc: Math.hypot(sdHrc, FAR_HRC * distance(austenitizeC, parameter)),
    steels,
    recalled: false,
  })
}

/** One sigma of the model itself for the finished blade, HRC. */
export const modelSd = (steel: Steel, { austenitizeC, tempers }: Pick<Route, 'austenitizeC' | 'tempers'>): number =>
  modelErrorOn(steel)(austenitizeC, combinedParameter(tempers)).sdHrc
