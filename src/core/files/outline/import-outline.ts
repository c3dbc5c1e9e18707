import { fail, ok, type Result } from '../../codes/result'
import type { Point } from '../../rockwell/outline'
import type { LeftOut } from './drawing'
import { readDxf } from './read-dxf'
import { readSvg } from './read-svg'

/** An outline read from a drawing: in its own box, 0..1, tang left; and what it measured. */
export interface ImportedOutline {
  readonly points: readonly Point[]
  readonly lengthMm: number
  readonly widthMm: number
  /** Elements left out of the file, in plain words. */
  readonly leftOut: readonly LeftOut[]
}

const MOST_MEGABYTES = 5
/** Points kept of an outline: enough for any drawing of it. */
const MOST_POINTS = 240

/**
 * Reads the longest closed outline of an SVG or DXF drawing. Only geometry is taken: scripts, links, pictures and styles
 * are left out and said. Errors: 'drawing-too-large', 'drawing-too-many-shapes',
 * 'drawing-unreadable', 'no-outline', 'outline-crosses-itself'.
 */
export function importOutline(name: string, text: string): Result<ImportedOutline> {
  if (text.length > MOST_MEGABYTES * 1e6) return fail('drawing-too-large', { mostMegabytes: MOST_MEGABYTES })
  const read = /\.dxf$/i.test(name) || /^\s*0\s*[\r\n]+\s*SECTION/.test(text) ? readDxf(text) : readSvg(text)
  if (!read.ok) return read
  const { shapes, mmPerUnit, leftOut } = read.value
  const sound = shapes.filter(isSound)
  const unsound = shapes.length - sound.length
  const longest = sound
    .map(points => ({ points, length: perimeter(points) }))
    .filter(shape => shape.points.length >= 3 && shape.length > 0)
    .sort((a, b) => b.length - a.length)[0]
  if (!longest) return fail('no-outline', {})
  const thinned = thin(longest.points)
  const crossing = crossingOf(thinned)
  if (crossing) return fail('outline-crosses-itself', { xMm: crossing[0] * mmPerUnit, yMm: crossing[1] * mmPerUnit })
  return ok({
    ...lieFlat(thinned, mmPerUnit),
    leftOut: unsound > 0 ? [...leftOut, { what: 'unreadable', count: unsound }] : leftOut,
  })
}

/** Farther out than this, in the drawing's own units, is no blade but a broken number. */
const FARTHEST = 1e6
const isSound = (points: readonly Point[]): boolean =>
  points.every(([x, y]) => Math.abs(x) <= FARTHEST && Math.abs(y) <= FARTHEST)

const distance = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1])
const perimeter = (points: readonly Point[]) =>
  points.reduce((sum, point, i) => sum + distance(point, points[(i + 1) % points.length] as Point), 0)

/** Fewer points, and none twice in a row. */
function thin(points: readonly Point[]): Point[] {
  const step = Math.max(1, points.length / MOST_POINTS)
  const kept: Point[] = []
  for (let i = 0; i < points.length; i += step) {
    const point = points[Math.floor(i)] as Point
    if (kept.length === 0 || distance(point, kept.at(-1) as Point) > 1e-9) kept.push(point)
  }
  while (kept.length > 3 && distance(kept[0] as Point, kept.at(-1) as Point) < 1e-9) kept.pop()
  return kept
}

const side = (a: Point, b: Point, p: Point) => (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0])

/** Both ends of a line on one side of another, or on it: then they do not cross. */
const apart = (a: number, b: number, tolerance: number) =>
  (a > tolerance && b > tolerance) || (a < -tolerance && b < -tolerance) || Math.abs(a) + Math.abs(b) < tolerance

const boxesMeet = (a: Point, b: Point, c: Point, d: Point) =>
  [0, 1].every(
    axis =>
      Math.max(a[axis] as number, b[axis] as number) >= Math.min(c[axis] as number, d[axis] as number) &&
      Math.max(c[axis] as number, d[axis] as number) >= Math.min(a[axis] as number, b[axis] as number),
  )

/** Where an outline first crosses or touches itself, or null. Neighbours share an end; that does not count. */
export function crossingOf(points: readonly Point[]): Point | null {
  const n = points.length
  const tolerance = 1e-9 * perimeter(points) ** 2
  for (let i = 0; i < n; i++) {
    const [a, b] = [points[i] as Point, points[(i + 1) % n] as Point]
    for (let j = i + 2; j < n; j++) {
      if (i === 0 && j === n - 1) continue
      const [c, d] = [points[j] as Point, points[(j + 1) % n] as Point]
      if (!boxesMeet(a, b, c, d)) continue
      if (!apart(side(a, b, c), side(a, b, d), tolerance) && !apart(side(c, d, a), side(c, d, b), tolerance)) return a
    }
  }
  return null
}

/** Turned so that the long way lies along x, and fitted into its own box. */
function lieFlat(points: readonly Point[], mmPerUnit: number) {
  const box = (pts: readonly Point[]) => {
    const [xs, ys] = [pts.map(p => p[0]), pts.map(p => p[1])]
    return {
      x: Math.min(...xs),
      y: Math.min(...ys),
      w: Math.max(...xs) - Math.min(...xs),
      h: Math.max(...ys) - Math.min(...ys),
    }
  }
  const first = box(points)
  const lying = first.h > first.w ? points.map(([x, y]) => [y, -x] as const) : points
  const { x, y, w, h } = box(lying)
  const round = (v: number) => Math.round(v * 10_000) / 10_000
  return {
    points: lying.map(([px, py]) => [round((px - x) / w), round((py - y) / Math.max(h, 1e-9))] as const),
    lengthMm: Math.round(w * mmPerUnit * 10) / 10,
    widthMm: Math.round(h * mmPerUnit * 10) / 10,
  }
}
