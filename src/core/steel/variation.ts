import type { Composition, Element } from '../../data/grades'
import { STEEL_MODEL } from '../../data/steel-model'
import type { Route } from './route'
import { compositionOf, isGrade, type Steel } from './steel'

/** What a heat of steel may hold of one element, wt%. */
export interface ElementSpread {
  readonly element: Element
  readonly least: number
  readonly nominal: number
  readonly most: number
}

/** The elements that may differ from the nominal: a mill's range, or what an analysis is good for. */
export function elementSpreads(steel: Steel): ElementSpread[] {
  const nominal = compositionOf(steel)
  if (!isGrade(steel)) {
    const { relative, absolute } = STEEL_MODEL.analysis
    return (Object.entries(nominal) as [Element, number | undefined][]).flatMap(([element, value]) => {
      if (!value) return []
      const half = Math.sqrt(6) * (relative * value + absolute)
      return [{ element, least: Math.max(0, value - half), nominal: value, most: value + half }]
    })
  }
  return (Object.entries(steel.range) as [Element, readonly [number, number] | undefined][]).flatMap(
    ([element, range]) => {
      if (!range || range[1] <= range[0]) return []
      const at = Math.min(range[1], Math.max(range[0], nominal[element] ?? 0))
      return [{ element, least: range[0], nominal: at, most: range[1] }]
    },
  )
}

/** Standard deviation of a triangle from least over nominal to most. */
export const triangleSd = ({ least: a, nominal: c, most: b }: ElementSpread): number =>
  Math.sqrt((a * a + b * b + c * c - a * b - a * c - b * c) / 18)

/** Value of the triangle at a cumulative probability, 0..1. */
export function triangleAt({ least: a, nominal: c, most: b }: ElementSpread, p: number): number {
  const knee = (c - a) / (b - a)
  return p < knee ? a + Math.sqrt(p * (b - a) * (c - a)) : b - Math.sqrt((1 - p) * (b - a) * (b - c))
}

export const withElement = (composition: Composition, element: Element, value: number): Composition => ({
  ...composition,
  [element]: value,
})

/** The route as an oven off by so much makes it. */
export const shiftRoute = (route: Route, austenitizeK: number, temperK: number, soakMin = 0): Route => ({
  ...route,
  austenitizeC: route.austenitizeC + austenitizeK,
  soakMin: Math.max(0.1, route.soakMin + soakMin),
  tempers: temperK === 0 ? route.tempers : route.tempers.map(temper => ({ ...temper, atC: temper.atC + temperK })),
})
