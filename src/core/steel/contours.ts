import { contours } from 'd3-contour'

/** A closed line over a plane, as shares of its sides: across from the left, up from the bottom, 0..1. */
export type Ring = readonly (readonly [across: number, up: number])[]

/** Where a field has at least a level: the rings around it. */
export interface Contour {
  readonly level: number
  readonly rings: readonly Ring[]
}

/** Levels a map is tinted by lie this far apart, and go this far below the hardest, HRC. */
const LEVEL_STEP_HRC = 0.5
const LEVELS_DOWN_HRC = 12

/** Every half HRC over the upper part of what is there; the far overtempered end is one tint. */
export function hardnessLevels(hrc: readonly number[]): number[] {
  const hardest = Math.max(...hrc)
  const softest = Math.max(Math.min(...hrc), hardest - LEVELS_DOWN_HRC)
  const first = Math.ceil(softest / LEVEL_STEP_HRC) * LEVEL_STEP_HRC
  const count = Math.max(0, Math.floor((hardest - first) / LEVEL_STEP_HRC) + 1)
  return Array.from({ length: count }, (_, i) => first + i * LEVEL_STEP_HRC)
}

/** d3-contour counts cell centres from ½ and runs half a cell over the edge; rounded to a tenth of a pixel of any screen. */
const shareOf = (size: number, grid: number) =>
  Math.round(10_000 * Math.min(1, Math.max(0, (grid - 0.5) / (size - 1)))) / 10_000

/** The contours of a square grid of values, `size` a side in rows from the bottom, one for each level. */
export const contoursAt = (values: readonly number[], size: number, levels: readonly number[]): Contour[] =>
  contours()
    .size([size, size])
    .thresholds([...levels])([...values])
    .map(({ value, coordinates }) => ({
      level: value,
      rings: coordinates.flatMap(polygon =>
        polygon.map(ring => ring.map(([x = 0, y = 0]) => [shareOf(size, x), shareOf(size, y)] as const)),
      ),
    }))
