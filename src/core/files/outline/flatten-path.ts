import svgpath from 'svgpath'
import type { Point } from '../../rockwell/outline'

/** A straight or curved piece by its control points: two, three or four of them. */
type Piece = readonly [Point, Point, ...Point[]]

/**
 * Points along the first part of an SVG path, `most` of them at most beside one for each piece, spaced by its pieces' lengths; null
 * where it cannot be read or has no length.
 */
export function flattenPath(d: string, most: number): Point[] | null {
  const [, first] = /^\s*(m[^m]*)/i.exec(d) ?? []
  if (!first) return null
  const pieces = piecesOf(first)
  const total = pieces.reduce((sum, piece) => sum + lengthOf(piece), 0)
  if (!Number.isFinite(total) || total <= 0) return null
  const last = pieces.at(-1)?.at(-1)
  return [
    ...pieces.flatMap(piece => {
      const steps = Math.max(1, Math.round((lengthOf(piece) / total) * most))
      return Array.from({ length: steps }, (_, i) => pointAt(piece, i / steps))
    }),
    ...(last ? [last] : []),
  ]
}

/** A path's pieces: arcs and shorthands as the curves they are. None where it cannot be read. */
function piecesOf(d: string): Piece[] {
  const path = svgpath(d).abs().unarc().unshort()
  const pieces: Piece[] = []
  let start: Point = [0, 0]
  path.iterate((segment, _, x, y) => {
    const from: Point = [x, y]
    const [command, ...v] = segment
    const at = (i: number): Point => [Number(v[i]), Number(v[i + 1])]
    if (command === 'M') start = at(0)
    else if (command === 'L') pieces.push([from, at(0)])
    else if (command === 'H') pieces.push([from, [Number(v[0]), y]])
    else if (command === 'V') pieces.push([from, [x, Number(v[0])]])
    else if (command === 'Q') pieces.push([from, at(0), at(2)])
    else if (command === 'C') pieces.push([from, at(0), at(2), at(4)])
    else pieces.push([from, start])
  })
  return pieces
}

/** By Bernstein's weights of its control points. */
function pointAt(piece: Piece, t: number): Point {
  const u = 1 - t
  const weights =
    piece.length === 2
      ? [u, t]
      : piece.length === 3
        ? [u * u, 2 * u * t, t * t]
        : [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t]
  let [x, y] = [0, 0]
  for (const [i, [px, py]] of piece.entries()) {
    const weight = weights[i] ?? 0
    x += weight * px
    y += weight * py
  }
  return [x, y]
}

/** Near enough to share points out by: between its chord and its control polygon. */
function lengthOf(piece: Piece): number {
  const apart = ([a, b]: Point, [c, d]: Point) => Math.hypot(c - a, d - b)
  const polygon = piece.slice(1).reduce((sum, point, i) => sum + apart(piece[i] ?? point, point), 0)
  return (polygon + apart(piece[0], piece.at(-1) ?? piece[0])) / 2
}
