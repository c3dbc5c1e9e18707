/** The hardness wanted, HRC: from, to. */
export interface TargetHrc {
  readonly min: number
  readonly max: number
}

/** Returns the middle of a target, HRC. */
export const middleOf = ({ min, max }: TargetHrc): number => (min + max) / 2

/** Hardness over (positive) or under (negative) a target, HRC; 0 within it. */
export const missOf = (hrc: number, { min, max }: TargetHrc): number => Math.max(0, hrc - max) + Math.min(0, hrc - min)

/** An expected hardness off a target by no more than this reaches it: no dial and no tester tells, HRC. */
export const REACHED_WITHIN_HRC = 0.3

/** Whether an expected hardness does not reach a target. */
export const isOutOf = (target: TargetHrc, hrc: number): boolean => Math.abs(missOf(hrc, target)) > REACHED_WITHIN_HRC

/**
 * Returns a target with one end moved. An end that passes the other takes it along at the same distance, so that a target is
 * typed end by end without being wrong between.
 * @example withEnd({ min: 59.5, max: 61 }, { min: 64 }, { min: 20, max: 70 }) // { min: 64, max: 65.5 }
 */
export function withEnd(target: TargetHrc, moved: Partial<TargetHrc>, bounds: TargetHrc): TargetHrc {
  const { min, max } = { ...target, ...moved }
  if (min < max) return { min, max }
  const width = target.max - target.min
  return moved.min === undefined
    ? { min: Math.max(bounds.min, max - width), max }
    : { min, max: Math.min(bounds.max, min + width) }
}
