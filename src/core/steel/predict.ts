import type { Composition, Grade } from '../../data/grades'
import { STEEL_MODEL } from '../../data/steel-model'
import { interpolateMonotone } from '../interpolate'
import type { Caution, Estimate, WorkingLine } from '../result'
import { type Austenite, austeniteAfterSoak, solubilityProduct } from './austenite'
import { type Corrosion, corrosionOf } from './corrosion'
import { martensiteStartC, retainedAfterCold, retainedAustenite, untemperedHrc } from './martensite'
import { type Route, referenceRoute } from './route'
import { routeCautions } from './route-cautions'
import { combinedParameter, retainedAfterTemper, temperDropHrc } from './tempering'

/** A shipped grade with its chart, or a bare composition. */
export type Steel = Grade | { readonly composition: Composition }

export const compositionOf = (steel: Steel): Composition => ('nominal' in steel ? steel.nominal : steel.composition)
const chartOf = (steel: Steel) => ('nominal' in steel ? steel.chart : null)

/** Plain hardness through a route, HRC. */
interface HrcPath {
  readonly asQuenched: number
  readonly afterCold: number | null
  readonly afterTempers: readonly number[]
}

export interface Prediction {
  readonly hrc: {
    readonly asQuenched: Estimate
    readonly afterCold: Estimate | null
    readonly afterTempers: readonly Estimate[]
  }
  /** The last of the above: what the finished blade should read. */
  readonly finalHrc: Estimate
  readonly martensiteStartC: number
  readonly retainedAustenite: { readonly asQuenched: number; readonly afterCold: number | null; readonly final: number }
  readonly austenite: Austenite
  readonly carbideFraction: number
  readonly corrosion: Corrosion
  readonly cautions: readonly Caution[]
  readonly working: readonly WorkingLine[]
}

interface Metallurgy {
  readonly austenite: Austenite
  readonly msC: number
  readonly retainedQuenched: number
  readonly retainedCold: number | null
  readonly retainedFinal: number
  readonly path: HrcPath
}

/** The model alone, without a chart. */
function metallurgy(composition: Composition, route: Route): Metallurgy {
  const austenite = austeniteAfterSoak(composition, route.austenitizeC, route.soakMin)
  const msC = martensiteStartC(austenite)
  const retainedQuenched = retainedAustenite(msC, route.quenchedToC)
  const retainedCold = route.cold
    ? retainedAfterCold(msC, route.quenchedToC, route.cold.toC, route.cold.delayMin)
    : null
  const before = retainedCold ?? retainedQuenched
  const untempered = untemperedHrc(austenite, before)
  return {
    austenite,
    msC,
    retainedQuenched,
    retainedCold,
    retainedFinal: route.tempers.reduce(retainedAfterTemper, before),
    path: {
      asQuenched: untemperedHrc(austenite, retainedQuenched),
      afterCold: retainedCold === null ? null : untempered,
      afterTempers: route.tempers.map((_, i) =>
        Math.max(0, untempered - temperDropHrc(combinedParameter(route.tempers.slice(0, i + 1)), austenite)),
      ),
    },
  }
}

/** HRC of a grade's chart at a tempering parameter of its own reference route. */
function chartHrc(chart: NonNullable<Grade['chart']>, parameter: number): number {
  const rows = chart.points.map(
    ([temperC, hrc]) => [combinedParameter(referenceRoute(chart, temperC).tempers) ?? 0, hrc] as const,
  )
  return interpolateMonotone(rows, parameter)
}

/**
 * The model moved onto the grade's chart: chart(P) + model(route) − model(reference at the same P).
 * Before the first temper the shift is that of the chart's mildest temper.
 */
function onChart(steel: Steel, model: HrcPath, route: Route): HrcPath {
  const chart = chartOf(steel)
  const mildest = chart?.points[0]
  const hottest = chart?.points[chart.points.length - 1]
  if (!chart || !mildest || !hottest) return model
  const composition = compositionOf(steel)
  const reference = metallurgy(composition, referenceRoute(chart, null))
  const shiftAt = (parameter: number) => {
    const low = combinedParameter(referenceRoute(chart, mildest[0]).tempers) ?? 0
    const high = combinedParameter(referenceRoute(chart, hottest[0]).tempers) ?? 0
    const at = Math.min(high, Math.max(low, parameter))
    return chartHrc(chart, at) - (reference.path.asQuenched - temperDropHrc(at, reference.austenite))
  }
  const shiftBefore = shiftAt(0)
  return {
    asQuenched: model.asQuenched + shiftBefore,
    afterCold: model.afterCold === null ? null : model.afterCold + shiftBefore,
    afterTempers: model.afterTempers.map((hrc, i) =>
      Math.max(0, hrc + shiftAt(combinedParameter(route.tempers.slice(0, i + 1)) ?? 0)),
    ),
  }
}

const hrcPath = (steel: Steel, route: Route): HrcPath =>
  onChart(steel, metallurgy(compositionOf(steel), route).path, route)

/** The finished blade's mean hardness alone, for solving and drawing: HRC. */
export function finalHrc(steel: Steel, route: Route): number {
  const path = hrcPath(steel, route)
  return path.afterTempers[path.afterTempers.length - 1] ?? path.afterCold ?? path.asQuenched
}

const shiftRoute = (route: Route, austenitizeC: number, temperC: number): Route => ({
  ...route,
  austenitizeC: route.austenitizeC + austenitizeC,
  tempers: route.tempers.map(temper => ({ ...temper, atC: temper.atC + temperC })),
})

/**
 * Hardness and condition of a steel through a route. Bands are one sigma: model error and what a small shop's oven
 * temperatures do, added in quadrature.
 * Range: martensitic knife and tool steels, 0.3 to 2.3 % C, 3 to 20 % Cr.
 */
export function predict(steel: Steel, route: Route): Prediction {
  const m = metallurgy(compositionOf(steel), route)
  const path = onChart(steel, m.path, route)
  const { austenitizeSdC, temperSdC } = STEEL_MODEL.shopTemperature
  const hotter = hrcPath(steel, shiftRoute(route, austenitizeSdC, 0))
  const warmer = hrcPath(steel, shiftRoute(route, 0, temperSdC))
  const modelSd = chartOf(steel) ? STEEL_MODEL.error.charted : STEEL_MODEL.error.compositionOnly
  const estimate = (mean: number, ...moved: number[]): Estimate => ({
    mean,
    sd: Math.hypot(modelSd, ...moved.map(value => value - mean)),
  })
  const asQuenched = estimate(path.asQuenched, hotter.asQuenched)
  const afterCold = path.afterCold === null ? null : estimate(path.afterCold, hotter.afterCold ?? path.afterCold)
  const afterTempers = path.afterTempers.map((hrc, i) =>
    estimate(hrc, hotter.afterTempers[i] ?? hrc, warmer.afterTempers[i] ?? hrc),
  )
  return {
    hrc: { asQuenched, afterCold, afterTempers },
    finalHrc: afterTempers[afterTempers.length - 1] ?? afterCold ?? asQuenched,
    martensiteStartC: m.msC,
    retainedAustenite: { asQuenched: m.retainedQuenched, afterCold: m.retainedCold, final: m.retainedFinal },
    austenite: m.austenite,
    carbideFraction: m.austenite.carbideFraction,
    corrosion: corrosionOf(m.austenite, route.tempers),
    cautions: routeCautions(steel, route, m.msC, m.retainedFinal),
    working: workingOf(steel, route, m),
  }
}

function workingOf(steel: Steel, route: Route, m: Metallurgy): WorkingLine[] {
  const s = STEEL_MODEL
  const a = m.austenite
  const chart = chartOf(steel)
  const parameter = combinedParameter(route.tempers)
  const line = (name: string, value: number, unit: string, equation: string, source: string): WorkingLine => ({
    name,
    value,
    unit,
    equation,
    source,
  })
  return [
    line(
      'Solubility product',
      solubilityProduct(route.austenitizeC),
      'wt%²',
      '[C]·[Cr]ⁿ = k·exp(q(1/1353 − 1/T))',
      s.solubility.source,
    ),
    line('Dissolved by the soak', a.dissolved, '', '1 − exp(−(t/τ)^0.8)', s.kinetics.source),
    line('Carbon in austenite', a.C, 'wt%', 'mass balance of the chromium carbide', s.carbide.source),
    line('Chromium in austenite', a.Cr, 'wt%', 'mass balance of the chromium carbide', s.carbide.source),
    line(
      'Martensite start',
      m.msC,
      '°C',
      '539 − 423(C+N) − 30.4Mn − 17.7Ni − 12.1Cr − 7.5Mo + 6',
      s.martensiteStart.source,
    ),
    line('Retained austenite as quenched', m.retainedQuenched, '', 'exp(−0.011(Ms − T))', s.retained.source),
    ...(m.retainedCold === null
      ? []
      : [
          line(
            'Retained austenite after cold',
            m.retainedCold,
            '',
            'stable part + rest·exp(−0.011(Ms − T))',
            s.stabilisation.source,
          ),
        ]),
    line(
      'Untempered hardness, model',
      m.path.afterCold ?? m.path.asQuenched,
      'HRC',
      'HV of martensite, austenite and carbide, to HRC by ASTM E140',
      s.martensite.source,
    ),
    ...(parameter === null
      ? []
      : [line('Tempering parameter', parameter, '', 'P = T(20 + log10 t)/1000', s.temper.source)]),
    ...(chart
      ? [
          {
            name: 'Tempering chart',
            value: 'used',
            unit: '',
            equation: 'chart(P) + model(route) − model(reference)',
            source: chart.source,
          },
        ]
      : []),
  ]
}
