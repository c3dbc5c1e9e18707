import type { Point } from '../../rockwell/outline'

/** What a drawing holds that is no outline, and how often. */
export interface LeftOut {
  readonly what: string
  readonly count: number
}

/** The shapes of a drawing file, in its own units. */
export interface Drawing {
  readonly shapes: readonly Point[][]
  readonly mmPerUnit: number
  readonly leftOut: readonly LeftOut[]
}

export const MM_PER_INCH = 25.4
