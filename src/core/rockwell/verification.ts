import { mean as meanOf } from 'simple-statistics'
import { ROCKWELL } from '../../data/rockwell'
import { pooledScatter } from './scatter'

export interface BlockCheck {
  readonly certifiedHrc: number
  readonly certifiedSd: number
  readonly readings: readonly number[]
}

export interface Verification {
  /** Mean on the block less the certified value, HRC. */
  readonly bias: number
  /** Largest less smallest reading on the block, HRC. */
  readonly repeatability: number
  readonly ok: boolean
}

/** Error and repeatability on a test block against the limits of ISO 6508-2 (from memory). */
export function verifyTester(block: BlockCheck): Verification {
  const mean = meanOf(block.readings)
  const bias = mean - block.certifiedHrc
  const repeatability = Math.max(...block.readings) - Math.min(...block.readings)
  const limit = Math.max(ROCKWELL.repeatabilityMinHrc, ROCKWELL.repeatabilityShare * (100 - mean))
  return { bias, repeatability, ok: Math.abs(bias) <= ROCKWELL.permissibleErrorHrc && repeatability <= limit }
}

/** Why readings are corrected, or are not. */
export const CORRECTED_BY = ['block', 'unchecked', 'tester-outside', 'block-far'] as const
export type CorrectedBy = (typeof CORRECTED_BY)[number]

/** Effect of a tester's check on readings near some hardness. */
export interface TesterCorrection {
  readonly by: CorrectedBy
  /** To be taken off the readings, HRC. */
  readonly biasHrc: number
  /** Remaining uncertainty of the tester, one standard uncertainty, HRC. */
  readonly standardUncertainty: number
  readonly degreesOfFreedom: number
}

/**
 * A good check on a block near the readings corrects them by its bias. A tester outside its limits, or a block that is far from them,
 * corrects nothing; then, as without a check, the tester is only as good as testers are.
 */
export function testerCorrection(block: BlockCheck | null, aboutHrc: number): TesterCorrection {
  const nothing = (by: CorrectedBy, atLeast = 0): TesterCorrection => ({
    by,
    biasHrc: 0,
    standardUncertainty: Math.max(ROCKWELL.uncheckedTesterSdHrc, atLeast),
    degreesOfFreedom: Number.POSITIVE_INFINITY,
  })
  if (!block) return nothing('unchecked')
  const { bias, ok } = verifyTester(block)
  if (!ok) return nothing('tester-outside', Math.abs(bias))
  if (Math.abs(block.certifiedHrc - aboutHrc) > ROCKWELL.blockWithinHrc) return nothing('block-far')
  const scatter = pooledScatter(ROCKWELL.blockScatter, [block.readings])
  const ofMean = scatter.sdHrc / Math.sqrt(block.readings.length)
  const standardUncertainty = Math.hypot(block.certifiedSd, ofMean)
  return {
    by: 'block',
    biasHrc: bias,
    standardUncertainty,
    degreesOfFreedom: scatter.degreesOfFreedom * (standardUncertainty / ofMean) ** 4,
  }
}
