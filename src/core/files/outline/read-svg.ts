import { XMLParser } from 'fast-xml-parser'
import { fail, ok, type Result } from '../../codes/result'
import type { Point } from '../../rockwell/outline'
import { type Drawing, MM_PER_INCH, MOST_SHAPES } from './drawing'
import { flattenPath } from './flatten-path'

/** CSS pixel, of which an SVG without units is made. */
const MM_PER_PX = MM_PER_INCH / 96
/** Points taken along a path: enough for any drawing of it. */
const PATH_POINTS = 240

type Node = Record<string, unknown>
const attributes = (node: Node) => (node[':@'] ?? {}) as Record<string, string>
const tagOf = (node: Node) => Object.keys(node).find(key => key !== ':@') ?? ''

/** Shapes of an SVG: geometry alone; scripts, links and pictures are counted and left out. */
export function readSvg(text: string): Result<Drawing> {
  let roots: Node[]
  try {
    // Entities are not expanded: nothing in a file may grow or fetch anything.
    roots = new XMLParser({
      ignoreAttributes: false,
      attributeNamePrefix: '',
      preserveOrder: true,
      processEntities: false,
    }).parse(text)
  } catch {
    return fail('drawing-unreadable', { kind: 'svg', empty: false })
  }
  const root = Array.isArray(roots) ? roots.find(node => tagOf(node) === 'svg') : undefined
  if (!root) return fail('drawing-unreadable', { kind: 'svg', empty: false })
  const found: Found = { shapes: [], left: new Map() }
  gather((root.svg as Node[]) ?? [], IDENTITY, found)
  if (found.shapes.length > MOST_SHAPES) return fail('drawing-too-many-shapes', { most: MOST_SHAPES })
  for (const key of Object.keys(attributes(root))) if (/^on/i.test(key)) leave(found, 'script')
  const leftOut = [...found.left].map(([what, count]) => ({ what, count }))
  return ok({ shapes: found.shapes, mmPerUnit: svgScale(attributes(root)), leftOut })
}

/** Shapes gathered so far, and how many of what was left out. */
interface Found {
  readonly shapes: Point[][]
  readonly left: Map<string, number>
}

const leave = ({ left }: Found, what: string) => left.set(what, (left.get(what) ?? 0) + 1)

/** Scripts and outside links among an element's attributes. */
function leaveOwn(own: Record<string, string>, found: Found): void {
  for (const [key, value] of Object.entries(own)) {
    if (/^on/i.test(key)) leave(found, 'script')
    if (/href$/i.test(key) && !String(value).startsWith('#')) leave(found, 'outside link')
  }
}

/** Geometry of nodes and of all that is in them, laid as `at` says. */
function gather(nodes: readonly Node[], at: Matrix, found: Found): void {
  for (const node of nodes) {
    const tag = tagOf(node)
    const own = attributes(node)
    leaveOwn(own, found)
    if (/^(script|foreignObject)$/i.test(tag)) leave(found, 'script')
    else if (/^(image|use)$/i.test(tag)) leave(found, 'picture')
    else {
      const within = times(at, matrixOf(own.transform))
      if (/^(g|svg|a|symbol)$/i.test(tag)) gather((node[tag] as Node[]) ?? [], within, found)
      else {
        // Of more than can be an outline no more are taken apart: it is refused.
        const points = found.shapes.length > MOST_SHAPES ? null : shapeOf(tag, own)
        if (points) found.shapes.push(points.map(point => apply(within, point)))
      }
    }
  }
}

/** Millimetres to a user unit, from the width of the page and its view box. */
function svgScale(root: Record<string, string>): number {
  const match = /^([\d.]+)\s*(mm|cm|in|pt|px)?$/.exec(root.width ?? '')
  const boxWidth = Number((root.viewBox ?? '').trim().split(/[\s,]+/)[2])
  const width = Number(match?.[1])
  if (!match || !Number.isFinite(width) || width <= 0) return MM_PER_PX
  const unit = { mm: 1, cm: 10, in: MM_PER_INCH, pt: MM_PER_INCH / 72, px: MM_PER_PX }[match[2] ?? 'px'] ?? MM_PER_PX
  return boxWidth > 0 ? (width * unit) / boxWidth : unit
}

function shapeOf(tag: string, own: Record<string, string>): Point[] | null {
  const n = (key: string) => Number(own[key] ?? 0)
  if (tag === 'path') return flattenPath(own.d ?? '', PATH_POINTS)
  if (tag === 'polygon' || tag === 'polyline') {
    const values = (own.points ?? '').match(/[+-]?\d*\.?\d+(?:e[+-]?\d+)?/gi)?.map(Number) ?? []
    return Array.from(
      { length: Math.floor(values.length / 2) },
      (_, i) => [values[2 * i] ?? 0, values[2 * i + 1] ?? 0] as const,
    )
  }
  if (tag === 'rect') {
    const [x, y, w, h] = [n('x'), n('y'), n('width'), n('height')]
    return [
      [x, y],
      [x + w, y],
      [x + w, y + h],
      [x, y + h],
    ]
  }
  if (tag === 'ellipse' || tag === 'circle') {
    const [rx, ry] = tag === 'circle' ? [n('r'), n('r')] : [n('rx'), n('ry')]
    return Array.from({ length: 72 }, (_, i) => {
      const angle = (i / 72) * 2 * Math.PI
      return [n('cx') + rx * Math.cos(angle), n('cy') + ry * Math.sin(angle)] as const
    })
  }
  return null
}

type Matrix = readonly [a: number, b: number, c: number, d: number, e: number, f: number]
const IDENTITY: Matrix = [1, 0, 0, 1, 0, 0]
const times = ([a, b, c, d, e, f]: Matrix, [g, h, i, j, k, l]: Matrix): Matrix => [
  a * g + c * h,
  b * g + d * h,
  a * i + c * j,
  b * i + d * j,
  a * k + c * l + e,
  b * k + d * l + f,
]
const apply = ([a, b, c, d, e, f]: Matrix, [x, y]: Point): Point => [a * x + c * y + e, b * x + d * y + f]

/** An SVG transform attribute; what it does not know leaves the drawing as it lies. */
function matrixOf(text: string | undefined): Matrix {
  let out = IDENTITY
  for (const [, name, args] of (text ?? '').matchAll(/(\w+)\(([^)]*)\)/g)) {
    const v = (args ?? '')
      .split(/[\s,]+/)
      .filter(Boolean)
      .map(Number)
    const [p = 0, q, r = 0, s = 0, t = 0, u = 0] = v
    if (name === 'matrix' && v.length === 6) out = times(out, [p, q ?? 0, r, s, t, u])
    if (name === 'translate') out = times(out, [1, 0, 0, 1, p, q ?? 0])
    if (name === 'scale') out = times(out, [p, 0, 0, q ?? p, 0, 0])
    if (name === 'rotate') {
      const [cos, sin] = [Math.cos((p * Math.PI) / 180), Math.sin((p * Math.PI) / 180)]
      const [cx, cy] = [v[1] ?? 0, v[2] ?? 0]
      out = times(out, [cos, sin, -sin, cos, cx - cos * cx + sin * cy, cy - sin * cx - cos * cy])
    }
  }
  return out
}
