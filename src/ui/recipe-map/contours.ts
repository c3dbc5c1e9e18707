import type { Contour } from '../../core/steel/contours'

/** A grid of values over a plane: `size` points a side, rows from the bottom. */
export interface Field {
  readonly size: number
  readonly values: readonly number[]
}

/** Pixel box the grid fills; y grows downward. */
export interface PlotBox {
  readonly left: number
  readonly top: number
  readonly right: number
  readonly bottom: number
}

type Line = readonly (readonly [x: number, y: number])[]

const inBox =
  (box: PlotBox) =>
  ([across, up]: readonly [number, number]): readonly [number, number] => [
    box.left + across * (box.right - box.left),
    box.bottom - up * (box.bottom - box.top),
  ]

const path = (line: Line) => `M${line.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`

/** The area at or above a level, as an SVG path. */
export const areaPath = ({ rings }: Contour, box: PlotBox): string =>
  rings.map(ring => path(ring.map(inBox(box)))).join('')

/** The lines along which a level is met, without the stretches that only follow the edge of the plot. */
export const linesOf = ({ rings }: Contour, box: PlotBox): Line[] =>
  rings.flatMap(ring => openLines(ring.map(inBox(box)), box))

const onEdge = ([x, y]: readonly [number, number], box: PlotBox) =>
  x <= box.left + 0.5 || x >= box.right - 0.5 || y <= box.top + 0.5 || y >= box.bottom - 0.5

function openLines(ring: Line, box: PlotBox): Line[] {
  const start = ring.findIndex(point => onEdge(point, box))
  if (start < 0) return [ring]
  const turned = [...ring.slice(start), ...ring.slice(0, start)]
  const lines: (readonly [number, number])[][] = [[]]
  turned.forEach((point, i) => {
    const current = lines[lines.length - 1] as (readonly [number, number])[]
    const before = turned[i - 1]
    if (before && onEdge(point, box) && onEdge(before, box)) lines.push([point])
    else current.push(point)
  })
  return lines.filter(line => line.length > 2)
}

export const linePath = (line: Line): string => `M${line.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}`

/** Where a line's name stands: a point of it well inside the plot and away from what is taken; null on a short line. */
export function labelSpot(
  lines: readonly Line[],
  box: PlotBox,
  taken: readonly (readonly [number, number])[],
): { x: number; y: number; angle: number } | null {
  let best: { x: number; y: number; angle: number; room: number } | null = null
  for (const line of lines) {
    if (line.length < 12) continue
    for (let i = 4; i < line.length - 4; i++) {
      const [x, y] = line[i] as readonly [number, number]
      if (x < box.left + 26 || x > box.right - 26 || y < box.top + 14 || y > box.bottom - 14) continue
      const [x0, y0] = line[i - 4] as readonly [number, number]
      const [x1, y1] = line[i + 4] as readonly [number, number]
      const bend = Math.abs(x1 - x0) < 1 ? 90 : (Math.atan((y1 - y0) / (x1 - x0)) * 180) / Math.PI
      const room = Math.min(160, ...taken.map(([tx, ty]) => Math.hypot(tx - x, ty - y))) - Math.abs(bend) * 0.6
      if (!best || room > best.room) best = { x, y, angle: bend, room }
    }
  }
  return best && best.room > 20 ? best : null
}

/** Value of a field between its points, at shares of its sides, 0..1. */
export function fieldAt({ size, values }: Field, across: number, up: number): number {
  const x = Math.min(1, Math.max(0, across)) * (size - 1)
  const y = Math.min(1, Math.max(0, up)) * (size - 1)
  const i = Math.min(size - 2, Math.floor(x))
  const j = Math.min(size - 2, Math.floor(y))
  const at = (dj: number, di: number) => values[(j + dj) * size + i + di] ?? 0
  const low = at(0, 0) + (x - i) * (at(0, 1) - at(0, 0))
  const high = at(1, 0) + (x - i) * (at(1, 1) - at(1, 0))
  return low + (y - j) * (high - low)
}
