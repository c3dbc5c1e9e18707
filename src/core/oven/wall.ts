import { OVEN_PHYSICS, type OvenBuild, WALL_MATERIALS, type WallMaterial } from '../../data/ovens'
import { kelvinFromC } from '../units/temperature'

/** One cell of the wall, from the hot face outward. SI. */
export interface WallCell {
  readonly material: WallMaterial
  readonly capacityJPerK: number
  /** Area at its middle, m², and half its thickness. */
  readonly areaM2: number
  readonly halfM: number
}

export interface WallGrid {
  readonly cells: readonly WallCell[]
  /** The same cells as rows of figures: a step in time goes through them all, and a programme takes thousands. */
  readonly rows: WallRows
  readonly hotAreaM2: number
  readonly shellAreaM2: number
  /** Of the shell to that of the last cell's middle. */
  readonly shellPerMiddle: number
}

/** Of each cell: its heat capacity, J/K, and its half's conductance, W/K, as k0 + kPerC·°C + kPerK3·K³. */
export interface WallRows {
  readonly capacityJPerK: Float64Array
  readonly k0: Float64Array
  readonly kPerC: Float64Array
  readonly kPerK3: Float64Array
}

/** Conductivity of a wall's material, W/mK. */
export function wallConductivity(material: WallMaterial, tempC: number): number {
  const { k0, kPerC, kPerK3 } = WALL_MATERIALS[material]
  return k0 + kPerC * tempC + kPerK3 * kelvinFromC(tempC) ** 3
}

/** Conduction through the edges and corners of a box wall beside that of its faces. Source: Langmuir, in Incropera, Table 4.1 (0.54 D an edge), from memory. */
const EDGE_FACTOR = 0.54

/**
 * The wall of a chamber as cells that grow outward, its area growing so that steady conduction is that of the shape factors
 * of faces, edges and corners. Cells do not cross a joint between layers. Source: graded grid from 0.5 mm x 1.25; ten even cells err by 10 °C when the door is opened.
 */
export function wallGrid(chamberMm: { width: number; height: number; depth: number }, build: OvenBuild): WallGrid {
  const [a, b, c] = [chamberMm.width, chamberMm.height, chamberMm.depth].map(mm => mm / 1000) as [
    number,
    number,
    number,
  ]
  const inner = 2 * (a * b + b * c + a * c)
  const edgeM = 4 * (a + b + c)
  const area = (xM: number) => inner + EDGE_FACTOR * (2 * edgeM * xM + 24 * xM * xM)
  const total = build.layers.reduce((sum, layer) => sum + layer.mm, 0) / 1000
  const { firstCellMm, growth, cells: count } = OVEN_PHYSICS
  const raw = Array.from({ length: count }, (_, i) => (firstCellMm / 1000) * growth ** i)
  const scale = total / raw.reduce((sum, d) => sum + d, 0)
  const edges = [0]
  for (const d of raw) edges.push((edges.at(-1) as number) + d * scale)
  let joint = 0
  for (const layer of build.layers.slice(0, -1)) {
    joint += layer.mm / 1000
    // The nearest inner edge is moved onto the joint.
    const at = edges.reduce(
      (best, edge, i) =>
        i > 0 && i < count && Math.abs(edge - joint) < Math.abs((edges[best] as number) - joint) ? i : best,
      1,
    )
    edges[at] = joint
  }
  const materialAt = (x: number): WallMaterial => {
    let end = 0
    for (const layer of build.layers) {
      end += layer.mm / 1000
      if (x < end) return layer.material
    }
    return build.layers.at(-1)?.material ?? 'brick'
  }
  const cells = edges.slice(0, -1).map((inner, i): WallCell => {
    const outer = edges[i + 1] as number
    const middle = (inner + outer) / 2
    const material = materialAt(middle)
    const { densityKgPerM3, cp } = WALL_MATERIALS[material]
    return {
      material,
      capacityJPerK: (build.wall?.c ?? 1) * densityKgPerM3 * cp * area(middle) * (outer - inner),
      areaM2: area(middle),
      halfM: (outer - inner) / 2,
    }
  })
  const shellAreaM2 = area(total)
  return {
    cells,
    rows: rowsOf(cells, build.wall?.k ?? 1),
    hotAreaM2: area(0),
    shellAreaM2,
    shellPerMiddle: shellAreaM2 / (cells.at(-1)?.areaM2 ?? shellAreaM2),
  }
}

function rowsOf(cells: readonly WallCell[], factor: number): WallRows {
  const row = (of: (cell: WallCell) => number) => Float64Array.from(cells, of)
  const half = (of: 'k0' | 'kPerC' | 'kPerK3') =>
    row(({ material, areaM2, halfM }) => (factor * WALL_MATERIALS[material][of] * areaM2) / halfM)
  return {
    capacityJPerK: row(cell => cell.capacityJPerK),
    k0: half('k0'),
    kPerC: half('kPerC'),
    kPerK3: half('kPerK3'),
  }
}
