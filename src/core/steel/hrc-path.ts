import { type HrcPath, hardened, metallurgy, tempered } from './metallurgy'
import type { Route } from './route'
import { chartShiftOf, compositionOf, lastHrc, modelSteelOf, onChart, type Steel } from './steel'
import { temperSteps } from './tempering'

/** Plain hardness of a steel through a route, HRC, on its chart where it has one. */
export const hrcPath = (steel: Steel, route: Route, composition = compositionOf(steel)): HrcPath =>
  onChart(chartShiftOf(steel), metallurgy(composition, modelSteelOf(steel), route))

/** The finished blade's mean hardness alone, for solving and drawing: HRC. */
export const finalHrc = (steel: Steel, route: Route): number => lastHrc(hrcPath(steel, route))

/** The same for one hardening and many ways to temper it, which are quick once it is worked out. */
export function finalHrcByTempers(steel: Steel, route: Omit<Route, 'tempers'>): (tempers: Route['tempers']) => number {
  const hard = hardened(compositionOf(steel), modelSteelOf(steel), route)
  const shift = chartShiftOf(steel)
  return tempers => lastHrc(onChart(shift, tempered(hard, temperSteps(tempers))))
}
