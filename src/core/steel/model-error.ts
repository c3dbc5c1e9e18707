import type { Composition } from '../../data/grades'
import type { ModelFamily } from '../../data/steel-facts'
import { HELD_OUT } from '../../data/steel-fitted'
import { STEEL_MODEL } from '../../data/steel-model'
import { chartOf, compositionOf, type Steel } from './steel'

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

/** The family a composition (wt%) behaves like. */
export function modelFamilyOf({ Cr = 0, Mo = 0, W = 0 }: Composition): ModelFamily {
  const { lowAlloyBelowCr, stainlessFromCr, highSpeedFromMo } = STEEL_MODEL.families
  if (Cr < lowAlloyBelowCr) return 'low-alloy'
  if (Cr >= stainlessFromCr) return 'stainless'
  return Mo + W / 2 >= highSpeedFromMo ? 'high-speed' : 'air-hardening'
}

/** The error of the model for a steel: of its chart where it has one, else of its family left out of the fit. */
export function modelErrorOf(steel: Steel): ModelError {
  const family = modelFamilyOf(compositionOf(steel))
  const chart = chartOf(steel)
  const on = chart ? 'chart' : 'model'
  const { sdHrc, steels } = HELD_OUT[on === 'chart' ? 'charted' : family]
  return { on, family, sdHrc, steels, recalled: chart?.recalled === true }
}

/** One sigma of the model itself, HRC. */
export const modelSd = (steel: Steel): number => modelErrorOf(steel).sdHrc
