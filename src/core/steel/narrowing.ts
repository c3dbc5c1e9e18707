import { CHANGE_SD } from '../../data/change-error'
import { LEARNING } from '../../data/learning'
import { ROCKWELL } from '../../data/rockwell'
import type { Estimate } from '../codes/result'
import type { NarrowedBy } from '../codes/working'

/** Standard uncertainty of a blade's mean reading, HRC. */
const READ: Readonly<Record<NarrowedBy, number>> = {
  'one-reading': Math.hypot(ROCKWELL.uncheckedTesterSdHrc, LEARNING.readingSdHrc),
  'three-readings': Math.hypot(ROCKWELL.uncheckedTesterSdHrc, LEARNING.readingSdHrc / Math.sqrt(3)),
  'three-readings-checked': Math.hypot(LEARNING.testerSdHrc, LEARNING.readingSdHrc / Math.sqrt(3)),
}
const WAYS = Object.keys(READ) as NarrowedBy[]

export interface Narrowing {
  readonly by: NarrowedBy
  /** Expected standard deviation of the finished hardness afterwards, HRC. */
  readonly sd: number
}

/**
 * Returns the expected posterior width of a finished hardness after readings of a blade as quenched: the prediction combined with the
 * reading carried to the finished state, whose change has the error that advice after a reading uses. Ways that narrow it by less than
 * a tenth are left out. Source: product of two normal densities, Gelman et al., Bayesian Data Analysis, section 2.5.
 */
export function narrowingsOf(asQuenched: Estimate, final: Estimate): Narrowing[] {
  const changeSd = Math.hypot(CHANGE_SD.floor, CHANGE_SD.share * Math.abs(final.mean - asQuenched.mean))
  return WAYS.map(by => {
    const carriedSd = Math.hypot(READ[by], changeSd)
    return { by, sd: 1 / Math.sqrt(1 / final.sd ** 2 + 1 / carriedSd ** 2) }
  }).filter(({ sd }) => sd < 0.9 * final.sd)
}
