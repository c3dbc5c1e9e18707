import DxfParser from 'dxf-parser'
import { XMLParser } from 'fast-xml-parser'
import { svgPathProperties } from 'svg-path-properties'
import { fail, ok, type Result } from '../result'
import type { Point } from './outline'

/** An outline read from a drawing: in its own box, 0..1, tang left; and what it measured. */
export interface ImportedOutline {
  readonly points: readonly Point[]
  readonly lengthMm: number
  readonly widthMm: number
  /** What was left out of the file, in plain words. */
  readonly leftOut: readonly string[]
}

/** Points kept of an outline: enough for any drawing of it. */
const MOST_POINTS = 240
const MM_PER_INCH = 25.4
/** CSS pixel, of which an SVG without units is made. */
const MM_PER_PX = MM_PER_INCH / 96

/**
 * Reads the longest closed outline of an SVG or DXF drawing. Only geometry is taken: scripts, links, pictures and styles
 * are left out and said. Errors: 'not-a-drawing', 'no-outline', 'crosses-itself', 'too-large'.
 */
export function importOutline(name: string, text: string): Result<ImportedOutline> {
  if (text.length > 5_000_000) return fail('too-large', 'This drawing is larger than 5 MB. Save the outline alone.')
  const read = /\.dxf$/i.test(name) || /^\s*0\s*[\r\n]+\s*SECTION/.test(text) ? readDxf(text) : readSvg(text)
  if (!read.ok) return read
  const { shapes, mmPerUnit, leftOut } = read.value
  const longest = shapes
    .map(points => ({ points, length: perimeter(points) }))
    .filter(shape => shape.points.length >= 3 && shape.length > 0)
    .sort((a, b) => b.length - a.length)[0]
  if (!longest)
    return fail(
      'no-outline',
      'No outline was found in this drawing. Draw the blade as one closed line, and save it again.',
    )
  const thinned = thin(longest.points)
  const crossing = crossingOf(thinned)
  if (crossing)
    return fail(
      'crosses-itself',
      `The outline crosses itself near ${crossing.map(v => Math.round(v * mmPerUnit)).join(', ')} mm: mend the line there, and save it again.`,
    )
  return ok({ ...lieFlat(thinned, mmPerUnit), leftOut })
}

interface Drawing {
  readonly shapes: readonly Point[][]
  readonly mmPerUnit: number
  readonly leftOut: readonly string[]
}

type Node = Record<string, unknown>
const attributes = (node: Node) => (node[':@'] ?? {}) as Record<string, string>
const tagOf = (node: Node) => Object.keys(node).find(key => key !== ':@') ?? ''

function readSvg(text: string): Result<Drawing> {
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
    return fail(
      'not-a-drawing',
      'This file is neither SVG nor DXF, or it is cut off. Choose a drawing saved as one of them.',
    )
  }
  const root = Array.isArray(roots) ? roots.find(node => tagOf(node) === 'svg') : undefined
  if (!root) return fail('not-a-drawing', 'This file is neither SVG nor DXF. Choose a drawing saved as one of them.')
  const shapes: Point[][] = []
  const left = new Map<string, number>()
  const leave = (what: string) => left.set(what, (left.get(what) ?? 0) + 1)
  const walk = (nodes: readonly Node[], at: Matrix) => {
    for (const node of nodes) {
      const tag = tagOf(node)
      const own = attributes(node)
      for (const [key, value] of Object.entries(own)) {
        if (/^on/i.test(key)) leave('script')
        if (/href$/i.test(key) && !String(value).startsWith('#')) leave('outside link')
      }
      if (/^(script|foreignObject)$/i.test(tag)) leave('script')
      else if (/^(image|use)$/i.test(tag)) leave('picture')
      else if (/^(g|svg|a|symbol)$/i.test(tag)) walk((node[tag] as Node[]) ?? [], times(at, matrixOf(own.transform)))
      else {
        const points = shapeOf(tag, own)
        if (points) shapes.push(points.map(point => apply(times(at, matrixOf(own.transform)), point)))
      }
    }
  }
  walk((root.svg as Node[]) ?? [], IDENTITY)
  const words = [...left].map(([what, n]) => `${n} ${what}${n === 1 ? '' : 's'}`)
  for (const key of Object.keys(attributes(root))) if (/^on/i.test(key)) words.push('1 script')
  return ok({ shapes, mmPerUnit: svgScale(attributes(root)), leftOut: words })
}

/** Millimetres to a user unit, from the width of the page and its view box. */
function svgScale(root: Record<string, string>): number {
  const match = /^([\d.]+)\s*(mm|cm|in|pt|px)?$/.exec(root.width ?? '')
  const boxWidth = Number((root.viewBox ?? '').trim().split(/[\s,]+/)[2])
  if (!match) return MM_PER_PX
  const unit = { mm: 1, cm: 10, in: MM_PER_INCH, pt: MM_PER_INCH / 72, px: MM_PER_PX }[match[2] ?? 'px'] ?? MM_PER_PX
  return boxWidth > 0 ? (Number(match[1]) * unit) / boxWidth : unit
}

function shapeOf(tag: string, own: Record<string, string>): Point[] | null {
  const n = (key: string) => Number(own[key] ?? 0)
  if (tag === 'path') return sampled(own.d ?? '')
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

/** Points along a path, its first part where it has several. */
function sampled(d: string): Point[] | null {
  const [, first] = /^\s*(m[^m]*)/i.exec(d) ?? []
  if (!first) return null
  try {
    const path = new svgPathProperties(first)
    const total = path.getTotalLength()
    if (!Number.isFinite(total) || total <= 0) return null
    // Corners are kept by starting each part anew.
    return path.getParts().flatMap(part => {
      const steps = Math.max(1, Math.round((part.length / total) * MOST_POINTS))
      return Array.from({ length: steps }, (_, i) => {
        const { x, y } = part.getPointAtLength((part.length * i) / steps)
        return [x, y] as const
      })
    })
  } catch {
    return null
  }
}

interface Vertex {
  readonly x: number
  readonly y: number
  readonly bulge?: number
}

function readDxf(text: string): Result<Drawing> {
  let parsed: ReturnType<DxfParser['parseSync']>
  try {
    parsed = new DxfParser().parseSync(text)
  } catch {
    return fail('not-a-drawing', 'This DXF can not be read: it is cut off, or binary. Save it as plain (ASCII) DXF.')
  }
  if (!parsed) return fail('not-a-drawing', 'This DXF is empty.')
  const lines: Point[][] = []
  const shapes: Point[][] = []
  const left = new Map<string, number>()
  for (const entity of parsed.entities) {
    const e = entity as unknown as { type: string; vertices?: Vertex[]; controlPoints?: Vertex[]; fitPoints?: Vertex[] }
    if (e.type === 'LWPOLYLINE' || e.type === 'POLYLINE') shapes.push(bulged(e.vertices ?? []))
    else if (e.type === 'SPLINE')
      shapes.push((e.fitPoints?.length ? e.fitPoints : (e.controlPoints ?? [])).map(v => [v.x, v.y]))
    else if (e.type === 'LINE') lines.push((e.vertices ?? []).map(v => [v.x, v.y]))
    else left.set(e.type.toLowerCase(), (left.get(e.type.toLowerCase()) ?? 0) + 1)
  }
  const units = Number((parsed.header as Record<string, unknown> | undefined)?.$INSUNITS ?? 4)
  return ok({
    // DXF counts y upward, the bench downward.
    shapes: [...shapes, ...chained(lines)].map(points => points.map(([x, y]) => [x, -y] as const)),
    mmPerUnit: ({ 1: MM_PER_INCH, 2: 12 * MM_PER_INCH, 4: 1, 5: 10, 6: 1000 } as Record<number, number>)[units] ?? 1,
    leftOut: [...left].map(([what, n]) => `${n} ${what}`),
  })
}

/** Arcs of a polyline: the bulge is the tangent of a quarter of the arc's angle. */
function bulged(vertices: readonly Vertex[]): Point[] {
  return vertices.flatMap((a, i): Point[] => {
    const b = vertices[(i + 1) % vertices.length] as Vertex
    if (!a.bulge) return [[a.x, a.y]]
    const angle = 4 * Math.atan(a.bulge)
    const steps = Math.max(2, Math.ceil(Math.abs(angle) / 0.12))
    const [dx, dy] = [b.x - a.x, b.y - a.y]
    const middle = (1 / a.bulge - a.bulge) / 4
    const [cx, cy] = [a.x + dx / 2 - dy * middle, a.y + dy / 2 + dx * middle]
    const radius = Math.hypot(a.x - cx, a.y - cy)
    const from = Math.atan2(a.y - cy, a.x - cx)
    return Array.from({ length: steps }, (_, k) => {
      const at = from + (angle * k) / steps
      return [cx + radius * Math.cos(at), cy + radius * Math.sin(at)] as const
    })
  })
}

/** Single lines joined where their ends meet. */
function chained(lines: readonly Point[][]): Point[][] {
  const left = lines.filter(line => line.length === 2).map(line => [...line])
  const chains: Point[][] = []
  const near = (a: Point, b: Point) => Math.hypot(a[0] - b[0], a[1] - b[1]) < 0.05
  while (left.length > 0) {
    const chain = left.pop() as Point[]
    for (;;) {
      const end = chain.at(-1) as Point
      const next = left.findIndex(line => near(line[0] as Point, end) || near(line[1] as Point, end))
      if (next < 0) break
      const [line] = left.splice(next, 1) as [Point[]]
      chain.push(near(line[0] as Point, end) ? (line[1] as Point) : (line[0] as Point))
    }
    chains.push(chain)
  }
  return chains
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
    const [p = 0, q] = v
    if (name === 'matrix' && v.length === 6) out = times(out, v as unknown as Matrix)
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
