import { CORRECTION } from '../../data/correction'
import { driftedK, handAgainstEvidence } from '../oven/correction'
import type { Oven } from '../shop/oven'

/** An oven whose blades are at another temperature than is thought. */
export interface OvenAstray {
  readonly oven: Oven
  /** Blades against what is thought: hotter by so much, K. */
  readonly byK: number
  /** A correction set by hand is against what was measured; else the newest measurement is against those before it. */
  readonly isHand: boolean
}

/** Where ovens are looked at, °C: most stainless grades are soaked near it. */
const LOOKED_AT_C = 1065

/** Ovens that should be looked at before anything goes into them. */
export const ovensAstray = (ovens: readonly Oven[]): OvenAstray[] =>
  ovens.flatMap((oven): OvenAstray[] => {
    const byHand = handAgainstEvidence(oven, LOOKED_AT_C)
    const byK = byHand ?? driftedK(oven.evidence) ?? 0
    return Math.abs(byK) >= CORRECTION.leastToHoldUpK ? [{ oven, byK, isHand: byHand !== null }] : []
  })
