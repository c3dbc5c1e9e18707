import { STEEL_MODEL } from '../../data/steel-model'
import type { Austenite } from './austenite'
import type { Temper } from './tempering'

export interface Corrosion {
  /** Chromium dissolved in the matrix, wt%. */
  readonly chromiumInSolution: number
  /** Whether that is enough for a passive film: a steel under it rusts, whatever its molybdenum. */
  readonly stainless: boolean
  /** Pitting resistance of the matrix, Cr + 3.3 Mo + 16 N, less the penalties; molybdenum and nitrogen count where the film is. */
  readonly index: number
  /** Share of the index lost to carbides formed in a high temper, 0..1. */
  readonly temperPenalty: number
  /** Share lost to carbides formed at grain boundaries in a slow quench, 0..1. */
  readonly slowCoolingPenalty: number
}

/**
 * Corrosion resistance from what is in solution: hardness is not the cause. Tempers above about 400 °C form
 * carbides that take chromium out of the matrix, and so does slow cooling from the soak. Under about 10.5 % chromium no passive film forms, and
 * molybdenum and nitrogen, which only strengthen it, do nothing.
 */
export function corrosionOf(a: Austenite, tempers: readonly Temper[], seconds800to500 = 0): Corrosion {
  const c = STEEL_MODEL.corrosion
  const hottest = tempers.reduce((most, temper) => Math.max(most, temper.atC), 20)
  const part = (hottest - c.penaltyFromC) / (c.penaltyFullC - c.penaltyFromC)
  const temperPenalty = c.penaltyMax * Math.min(1, Math.max(0, part))
  const slowCoolingPenalty = c.slowMax * (1 - Math.exp(-Math.max(0, seconds800to500 - c.slowFromS) / c.slowScaleS))
  const left = (1 - temperPenalty) * (1 - slowCoolingPenalty)
  // The film comes over a narrow range of chromium, not at once.
  const passive = 1 / (1 + Math.exp(-(a.Cr * left - c.passiveCr) / c.passiveWidth))
  return {
    chromiumInSolution: a.Cr,
    stainless: a.Cr >= c.passiveCr,
    index: (a.Cr + passive * (c.perMo * a.Mo + c.perN * a.N)) * left,
    temperPenalty,
    slowCoolingPenalty,
  }
}

/**
 * Whether a blade stands salt water: chromium in solution well over what a film needs, and molybdenum and nitrogen enough against pits.
 * Common practice, no published source: nitrogen steel with 14.5 % in solution stays clean for a day in 1 % salt spray, with 11.5 % it spots.
 */
export const standsSaltWater = ({ chromiumInSolution, index }: Corrosion): boolean =>
  chromiumInSolution >= STEEL_MODEL.corrosion.saltCr && index >= STEEL_MODEL.corrosion.saltIndex
