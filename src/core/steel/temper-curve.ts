import { predict, type ShopExperience } from './predict'
import type { Route } from './route'
import type { Steel } from './steel'
import { CURVE_RANGE_C, withTemperC } from './usual'

export interface CurvePoint {
  readonly atC: number
  readonly mean: number
  readonly sd: number
}

/** The curve is drawn through points this far apart, °C. */
const STEP_C = 10

/** Finished hardness against the temperature of all tempers of a route, with its one-sigma band. */
export function temperCurve(steel: Steel, route: Route, shop: ShopExperience | null = null): CurvePoint[] {
  const tempered = route.tempers.length > 0 ? route : { ...route, tempers: [{ atC: 200, holdMin: 120 }] }
  const points: CurvePoint[] = []
  for (let atC = CURVE_RANGE_C.min; atC <= CURVE_RANGE_C.max; atC += STEP_C) {
    const { mean, sd } = predict(steel, withTemperC(tempered, atC), shop).finalHrc
    points.push({ atC, mean, sd })
  }
  return points
}
