import { mean as meanOf } from 'simple-statistics'
import { ROCKWELL } from '../../data/rockwell'

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
