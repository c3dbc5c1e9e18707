import { HRC_PER_DEGREE, USES, type UseName } from '../../data/uses'
import type { TargetHrc } from '../rockwell/target'

/** Hardness wanted for a use at an edge angle: a finer edge wants it harder to hold, up to what the use bears. */
export function targetFor(use: UseName, edgeDeg: number): TargetHrc {
  const { hrc, edgeDeg: usual } = USES[use]
  const shift = Math.min(1, Math.max(-1, HRC_PER_DEGREE * (edgeDeg - usual)))
  const half = (value: number) => Math.round(2 * (value + shift)) / 2
  return { min: half(hrc[0]), max: half(hrc[1]) }
}
