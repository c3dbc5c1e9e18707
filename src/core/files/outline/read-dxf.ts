import DxfParser from 'dxf-parser'
import * as z from 'zod/mini'
import { fail, ok, type Result } from '../../codes/result'
import type { Point } from '../../rockwell/outline'
import { type Drawing, MM_PER_INCH, MOST_SHAPES } from './drawing'

const vertexSchema = z.object({ x: z.number(), y: z.number(), bulge: z.optional(z.number()) })
type Vertex = z.infer<typeof vertexSchema>

/** Attributes of an entity that an outline is read from. */
const entitySchema = z.object({
  type: z.string(),
  vertices: z.optional(z.array(vertexSchema)),
  controlPoints: z.optional(z.array(vertexSchema)),
  fitPoints: z.optional(z.array(vertexSchema)),
})

/** Shapes of an ASCII DXF: polylines with their arcs, splines, and lines joined where they meet. */
export function readDxf(text: string): Result<Drawing> {
  let parsed: ReturnType<DxfParser['parseSync']>
  try {
    parsed = new DxfParser().parseSync(text)
  } catch {
    return fail('drawing-unreadable', { kind: 'dxf', empty: false })
  }
  // A file cut off before its entities has none, whatever the parser's types say.
  if (!parsed || !Array.isArray(parsed.entities)) return fail('drawing-unreadable', { kind: 'dxf', empty: true })
  if (parsed.entities.length > MOST_SHAPES) return fail('drawing-too-many-shapes', { most: MOST_SHAPES })
  const lines: Point[][] = []
  const shapes: Point[][] = []
  const left = new Map<string, number>()
  for (const entity of parsed.entities) {
    const read = entitySchema.safeParse(entity)
    if (!read.success) {
      left.set('unreadable', (left.get('unreadable') ?? 0) + 1)
      continue
    }
    const e = read.data
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
    leftOut: [...left].map(([what, count]) => ({ what, count })),
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
