import type { LogPoint } from './log-points'

/** A door opened shows as a fall within this long, min. */
const DOOR_WITHIN_MIN = 4

/** The first moment from `fromMin` on after which the display falls by `dropK` within four minutes; null where it never does. */
export function firstDrop(points: readonly LogPoint[], fromMin: number, toMin: number, dropK: number): number | null {
  for (let i = 0; i < points.length; i++) {
    const [min, c] = points[i] as LogPoint
    if (min < fromMin) continue
    if (min >= toMin) return null
    for (let j = i + 1; j < points.length; j++) {
      const [later, c2] = points[j] as LogPoint
      if (later - min > DOOR_WITHIN_MIN) break
      if (c - c2 >= dropK) return topBefore(points, i, j)
    }
  }
  return null
}

/** The last of the highest samples of a stretch: where the fall sets in, not where the window began. */
function topBefore(points: readonly LogPoint[], from: number, to: number): number {
  let top = from
  for (let i = from; i < to; i++) if ((points[i] as LogPoint)[1] >= (points[top] as LogPoint)[1] - 0.5) top = i
  return (points[top] as LogPoint)[0]
}
