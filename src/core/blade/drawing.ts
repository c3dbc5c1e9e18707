import type { Point } from './outline'

/** The shapes of a drawing file, in its own units. */
export interface Drawing {
  readonly shapes: readonly Point[][]
  readonly mmPerUnit: number
  readonly leftOut: readonly string[]
}

export const MM_PER_INCH = 25.4
