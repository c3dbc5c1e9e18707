import { mean as meanOf } from 'simple-statistics'
import { ROCKWELL } from '../../data/rockwell'

/** How much single readings scatter, HRC, and how surely that is known. */
export interface Scatter {
  readonly sdHrc: number
  readonly degreesOfFreedom: number
}

/** Prior scatter of any maker and tester before a reading is taken. */
export const PRIOR_SCATTER: Scatter = ROCKWELL.scatter

/**
 * Scatter known before, with what sets of readings show of it: each set about its own mean.
 * Two equal readings do not make a perfect tester, nor two unequal ones a hopeless one.
 * Source: normal model with a scaled inverse-χ² prior (Gelman et al., Bayesian Data Analysis, section 2.6, from memory).
 * @example pooledScatter(PRIOR_SCATTER, [[60, 60]]) // 0.456 with 6 degrees of freedom
 */
export function pooledScatter(before: Scatter, sets: readonly (readonly number[])[]): Scatter {
  let squares = before.degreesOfFreedom * before.sdHrc ** 2
  let degreesOfFreedom = before.degreesOfFreedom
  for (const set of sets) {
    if (set.length < 2) continue
    const mean = meanOf([...set])
    for (const value of set) squares += (value - mean) ** 2
    degreesOfFreedom += set.length - 1
  }
  return { sdHrc: Math.sqrt(squares / degreesOfFreedom), degreesOfFreedom }
}

/** Returns the scatter of readings learnt from other blades, with limited weight, since blades differ. */
export function scatterFrom(sets: readonly (readonly number[])[]): Scatter {
  const { sdHrc, degreesOfFreedom } = pooledScatter(PRIOR_SCATTER, sets)
  return { sdHrc, degreesOfFreedom: Math.min(ROCKWELL.scatter.mostDegrees, degreesOfFreedom) }
}
