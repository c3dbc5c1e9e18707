import type { Point } from '../../rockwell/outline'

/** Elements of a drawing that are no outline, with their number. */
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

/** No drawing of one blade has as many; what has is given up before it takes its time. */
export const MOST_SHAPES = 10_000

export const MM_PER_INCH = 25.4
