import { svgPathProperties } from 'svg-path-properties'
import { ROCKWELL } from '../../data/rockwell'
import { type Caution, caution } from '../codes/caution'
import { indentRules } from './indent'
import { type OutlinedBlade, outlinePath, plainOutline } from './outline'

/** A place on the blade: from the butt, and down from the spine, mm. */
export interface Place {
  readonly xMm: number
  readonly yMm: number
}

const OUTLINE_POINTS = 240
/** From the edge up so much of the width is bevel on a pre-ground blade. Common practice, no published source. */
const BEVEL_SHARE = 0.55
/** A place a handle or a scale will cover: on the tang, within this share of its length. */
const HIDDEN_SHARES = [0.2, 0.45, 0.7] as const

const polygons = new Map<string, readonly (readonly [number, number])[]>()

/** The outline as points, mm. */
function outlinePolygon(blade: OutlinedBlade): readonly (readonly [number, number])[] {
  const path = outlinePath(blade)
  const known = polygons.get(path)
  if (known) return known
  const line = new svgPathProperties(path)
  const length = line.getTotalLength()
  const points = Array.from({ length: OUTLINE_POINTS }, (_, i) => {
    const { x, y } = line.getPointAtLength((i / OUTLINE_POINTS) * length)
    return [x, y] as const
  })
  polygons.set(path, points)
  return points
}

function inside(polygon: readonly (readonly [number, number])[], { xMm, yMm }: Place): boolean {
  let odd = false
  polygon.forEach(([x1, y1], i) => {
    const [x2, y2] = polygon[(i + 1) % polygon.length] as readonly [number, number]
    if (y1 > yMm !== y2 > yMm && xMm < x1 + ((yMm - y1) / (y2 - y1)) * (x2 - x1)) odd = !odd
  })
  return odd
}

/** Distance from a place to the outline, mm. */
function toEdge(polygon: readonly (readonly [number, number])[], { xMm, yMm }: Place): number {
  return polygon.reduce((best, [x1, y1], i) => {
    const [x2, y2] = polygon[(i + 1) % polygon.length] as readonly [number, number]
    const [dx, dy] = [x2 - x1, y2 - y1]
    const along = Math.min(1, Math.max(0, ((xMm - x1) * dx + (yMm - y1) * dy) / Math.max(1e-9, dx * dx + dy * dy)))
    return Math.min(best, Math.hypot(xMm - x1 - along * dx, yMm - y1 - along * dy))
  }, Number.POSITIVE_INFINITY)
}

export interface PlacedBlade extends OutlinedBlade {
  readonly thicknessMm: number
  readonly bevels: 'pre-ground' | 'full'
  readonly tangThicknessMm?: number | undefined
}

const tangOf = (blade: PlacedBlade): number => {
  const outline = blade.outline ?? plainOutline(blade)
  return outline.kind === 'drawn' ? outline.tangMm : blade.lengthMm / 3
}

/** Thickness at a place: the spine's, or less toward the end of a tapered tang. */
export function thicknessAt(blade: PlacedBlade, { xMm }: Place): number {
  const tang = tangOf(blade)
  if (blade.tangThicknessMm === undefined || xMm >= tang) return blade.thicknessMm
  return blade.tangThicknessMm + ((blade.thicknessMm - blade.tangThicknessMm) * Math.max(0, xMm)) / tang
}

/** How far the two faces are from parallel at a place, degrees: a tapered tang is a wedge. */
export function wedgeDeg(blade: PlacedBlade, { xMm }: Place): number {
  const tang = tangOf(blade)
  if (blade.tangThicknessMm === undefined || xMm >= tang) return 0
  return (Math.atan(Math.abs(blade.thicknessMm - blade.tangThicknessMm) / tang) * 180) / Math.PI
}

/** Whether a place lies on the ground bevel, where the anvil cannot hold the blade square. */
export const onBevel = (blade: PlacedBlade, { xMm, yMm }: Place): boolean =>
  blade.bevels === 'pre-ground' && xMm > tangOf(blade) && yMm > blade.widthMm * (1 - BEVEL_SHARE)

/**
 * Returns the problems of a reading at a place, beside those already there, for an expected hardness. Source: ISO 6508-1 (edge 2.5
 * diameters, centres 3, thickness 10 depths) and
 * ASTM E18 (square to the axis); bevels: common practice, no published source.
 */
export function checkPlace(blade: PlacedBlade, place: Place, others: readonly Place[], hrc: number): Caution[] {
  const polygon = outlinePolygon(blade)
  const rules = indentRules(hrc)
  if (!inside(polygon, place)) return [caution('beside-blade', {})]
  const edgeMm = toEdge(polygon, place)
  const nearestMm = Math.min(
    Number.POSITIVE_INFINITY,
    ...others.map(o => Math.hypot(o.xMm - place.xMm, o.yMm - place.yMm)),
  )
  const degrees = wedgeDeg(blade, place)
  const thickMm = thicknessAt(blade, place)
  return [
    ...(onBevel(blade, place) ? [caution('bevel', {})] : []),
    ...(edgeMm < rules.minimumEdgeMm ? [caution('edge', { mm: edgeMm, leastMm: rules.minimumEdgeMm })] : []),
    ...(nearestMm < rules.minimumSpacingMm
      ? [caution('near', { mm: nearestMm, leastMm: rules.minimumSpacingMm })]
      : []),
    ...(degrees > ROCKWELL.squareWithinDeg
      ? [caution('slope', { degrees, withinDegrees: ROCKWELL.squareWithinDeg })]
      : []),
    ...(thickMm < rules.minimumThicknessMm
      ? [caution('thin', { mm: thickMm, leastMm: rules.minimumThicknessMm })]
      : []),
  ]
}

/** Places a handle hides, on the tang's middle line, that the rules allow beside what is there. */
export function hiddenPlaces(blade: PlacedBlade, others: readonly Place[], hrc: number): Place[] {
  const polygon = outlinePolygon(blade)
  const tang = tangOf(blade)
  return HIDDEN_SHARES.map(share => {
    const xMm = share * tang
    const ys = Array.from({ length: 40 }, (_, i) => ((i + 0.5) / 40) * blade.widthMm).filter(yMm =>
      inside(polygon, { xMm, yMm }),
    )
    const yMm = ys.length > 0 ? ((ys[0] as number) + (ys.at(-1) as number)) / 2 : blade.widthMm / 3
    return { xMm, yMm }
  }).filter(place => checkPlace(blade, place, others, hrc).length === 0)
}
