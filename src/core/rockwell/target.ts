/** The hardness wanted, HRC: from, to. */
export interface TargetHrc {
  readonly min: number
  readonly max: number
}
