import type { Composition, Element } from '../../data/grades'
import { STEEL_MODEL } from '../../data/steel-model'
import type { Route } from './route'
import { compositionOf, isGrade, type Steel } from './steel'

/** Range of one element in a heat of steel, wt%. */
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

/**
 * Standard deviation about the nominal of a mill's deliveries: a triangle to either side of it, half of the heats in
 * each, so that the nominal stays the middle however lopsided the range.
 */
export const spreadSd = ({ least: a, nominal: c, most: b }: ElementSpread): number =>
  Math.sqrt(((c - a) ** 2 + (b - c) ** 2) / 12)

/** The delivery at a cumulative probability, 0..1. */
export const spreadAt = ({ least: a, nominal: c, most: b }: ElementSpread, p: number): number =>
  p < 0.5 ? a + (c - a) * Math.sqrt(2 * p) : b - (b - c) * Math.sqrt(2 * (1 - p))

/** A composition with one element set, wt%. */
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
