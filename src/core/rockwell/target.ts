/** The hardness wanted, HRC: from, to. */
export interface TargetHrc {
  readonly min: number
  readonly max: number
}

/** Returns the middle of a target, HRC. */
export const middleOf = ({ min, max }: TargetHrc): number => (min + max) / 2
