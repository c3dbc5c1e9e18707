import { LEARNING } from '../../data/learning'
import { STEEL_MODEL } from '../../data/steel-model'
import { type Caution, caution } from '../codes/caution'
import type { Estimate } from '../codes/result'
import type { BandPart, WorkingLine } from '../codes/working'
import type { Austenite } from './austenite'
import { type Corrosion, corrosionOf } from './corrosion'
import { grainPinning } from './grain'
import { finalHrc, hrcPath } from './hrc-path'
import { type HrcPath, metallurgy, retainedFinal } from './metallurgy'
import { type ModelError, modelErrorOn } from './model-error'
import { narrowingsOf } from './narrowing'
import type { Route } from './route'
import { routeCautions } from './route-cautions'
import { correctedVariance, type ShopModel, type Standing, shopCorrection } from './shop-model'
import { chartShiftOf, compositionOf, isGrade, lastHrc, modelSteelOf, onChart, type Steel } from './steel'
import { elementSpreads, shiftRoute, spreadSd, withElement } from './variation'
import { workingOf } from './working'

/** Correction of the chart by the shop's own readings. */
export interface ShopExperience {
  readonly model: ShopModel
  readonly lot: string
  readonly ovenId: string
}

export interface Prediction {
  readonly hrc: {
    readonly asQuenched: Estimate
    readonly afterCold: Estimate | null
    readonly afterTempers: readonly Estimate[]
  }
  /** The last of the above: what the finished blade should read. */
  readonly finalHrc: Estimate
  /** The same without the shop's own readings. */
  readonly chartHrc: Estimate
  /** Shift by the shop's readings, HRC, and the number of readings of this grade; null if they do not help. */
  readonly shop: { readonly shiftHrc: number; readonly readings: number } | null
  /** Basis without the shop's readings. */
  readonly restsOn: ModelError
  /** Sources of the finished hardness's uncertainty. */
  readonly band: readonly BandPart[]
  readonly martensiteStartC: number
  readonly retainedAustenite: {
    readonly asQuenched: number
    readonly afterCold: number | null
    readonly afterTempers: readonly number[]
    readonly final: number
  }
  readonly austenite: Austenite
  readonly carbideFraction: number
  readonly corrosion: Corrosion
  /** Undissolved carbide over what it takes to hold the grain; below 1 it coarsens. */
  readonly grainPinning: number
  readonly cautions: readonly Caution[]
  readonly working: readonly WorkingLine[]
}

/** A path beside the one expected, and the part of the band it makes. */
interface Moved extends Omit<BandPart, 'sd'> {
  readonly path: HrcPath
}

/** Paths one standard deviation away in everything that varies from run to run, and in what a mill may deliver. */
function movedPaths(steel: Steel, route: Route): { lot: Moved[]; run: Moved[] } {
  const composition = compositionOf(steel)
  return {
    lot: elementSpreads(steel).map(spread => ({
      part: 'lot',
      element: spread.element,
      path: hrcPath(
        steel,
        route,
        withElement(composition, spread.element, (composition[spread.element] ?? 0) + spreadSd(spread)),
      ),
    })),
    run: runPaths(steel, route),
  }
}

/** Paths one standard deviation away in what an oven and a hand do differently from run to run. */
function runPaths(steel: Steel, route: Route): Moved[] {
  const { austenitizeSdC, temperSdC, soakSdMin } = STEEL_MODEL.shopTemperature
  return [
    { part: 'soak-temperature', path: hrcPath(steel, shiftRoute(route, austenitizeSdC, 0)) },
    { part: 'soak-time', path: hrcPath(steel, shiftRoute(route, 0, 0, soakSdMin)) },
    { part: 'temper-temperature', path: hrcPath(steel, shiftRoute(route, 0, temperSdC)) },
  ]
}

/** Returns the run-to-run scatter of the finished hardness by oven and operator: one standard deviation, HRC. */
export function runSdOf(steel: Steel, route: Route): number {
  const mean = finalHrc(steel, route)
  return Math.hypot(...runPaths(steel, route).map(({ path }) => lastHrc(path) - mean))
}

/**
 * Hardness and condition of a steel through a route. Bands are one standard deviation: the model's error, what a mill's range and a
 * small shop's oven do, in quadrature (first order; `bandOf` draws them). Where the shop's readings help, they move the
 * mean and take the place of the model's and the mill's part of the band.
 * Range: martensitic knife and tool steels, 0.28 to 2.3 % C, up to 20 % Cr.
 */
export function predict(steel: Steel, route: Route, shop: ShopExperience | null = null): Prediction {
  const m = metallurgy(compositionOf(steel), modelSteelOf(steel), route)
  const path = onChart(chartShiftOf(steel), m)
  const moved = movedPaths(steel, route)
  const errorOn = modelErrorOn(steel)

  const stage = (pick: (path: HrcPath) => number, parameter: number | null, cold: boolean) => {
    const mean = pick(path)
    const away = (paths: readonly Moved[]) =>
      paths.map(({ part, element, path: moved }): BandPart => ({ part, element, sd: Math.abs(pick(moved) - mean) }))
    const error = errorOn(route.austenitizeC, parameter)
    const known: BandPart[] = [{ part: 'model', sd: error.sdHrc }, ...away(moved.lot)]
    const run = away(moved.run)
    const chart = { mean, sd: total([...known, ...run]) }
    const correction =
      shop && isGrade(steel) ? shopCorrection(shop.model, standingOf(steel.id, route, shop, parameter, cold)) : null
    if (!correction) return { chart, estimate: chart, correction, error, parts: [...known, ...run] }
    const left = correctedVariance(correction, total(known) ** 2, total(run) ** 2)
    const learnt: BandPart[] = [
      { part: 'readings', sd: Math.sqrt(left.readings) },
      ...run,
      { part: 'batch', sd: Math.sqrt(left.batch) },
    ]
    const estimate = { mean: Math.max(0, mean + correction.mean), sd: total(learnt) }
    return { chart, estimate, correction, error, parts: learnt }
  }
  const asQuenched = stage(p => p.asQuenched, null, false)
  const afterCold = path.afterCold === null ? null : stage(p => p.afterCold ?? 0, null, true)
  const afterTempers = path.afterTempers.map((_, i) =>
    stage(p => p.afterTempers[i] ?? 0, m.parameters[i] ?? null, true),
  )
  const last = afterTempers.at(-1) ?? afterCold ?? asQuenched
  const { correction } = last
  const pinning = grainPinning(m.austenite, route.austenitizeC)
  return {
    hrc: {
      asQuenched: asQuenched.estimate,
      afterCold: afterCold?.estimate ?? null,
      afterTempers: afterTempers.map(s => s.estimate),
    },
    finalHrc: last.estimate,
    chartHrc: last.chart,
    shop: correction && { shiftHrc: correction.mean, readings: correction.readings },
    restsOn: last.error,
    band: last.parts.filter(part => part.sd >= 0.005),
    martensiteStartC: m.msC,
    retainedAustenite: {
      asQuenched: m.retainedQuenched,
      afterCold: m.retainedCold,
      afterTempers: m.retainedTempered,
      final: retainedFinal(m),
    },
    austenite: m.austenite,
    carbideFraction: m.austenite.carbideFraction,
    corrosion: corrosionOf(m.austenite, route.tempers, route.seconds800to500),
    grainPinning: pinning,
    cautions: [
      ...routeCautions(steel, route, m, pinning),
      ...(correction && Math.abs(correction.mean) > LEARNING.strangeShiftHrc
        ? [caution('far-from-chart', { shiftHrc: correction.mean })]
        : []),
    ],
    working: workingOf(
      steel,
      route,
      m,
      last,
      last === asQuenched ? [] : narrowingsOf(asQuenched.estimate, last.estimate),
    ),
  }
}

const total = (parts: readonly BandPart[]) => Math.hypot(...parts.map(part => part.sd))

/** Where a stage of a route stands in a shop's record. */
export const standingOf = (
  gradeId: string,
  route: Route,
  shop: ShopExperience,
  parameter: number | null,
  cold: boolean,
): Standing => ({
  gradeId,
  lot: shop.lot,
  ovenId: shop.ovenId,
  day: shop.model.lastDay,
  austenitizeC: route.austenitizeC,
  coldC: (cold ? route.cold?.toC : null) ?? route.quenchedToC,
  parameter,
})
