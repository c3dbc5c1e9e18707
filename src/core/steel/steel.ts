import type { Composition, Grade, TemperingChart } from '../../data/grades'
import { monotoneOf } from '../numeric/interpolate'
import { type HrcPath, hardened, type Metallurgy, type ModelSteel, temperedLast } from './metallurgy'
import { referenceRoute } from './route'
import { temperSteps } from './tempering'

/** A grade with its chart, or a bare composition. */
export type Steel = Grade | { readonly composition: Composition; readonly made?: 'ingot' | 'powder' | undefined }

/** Whether a steel is a grade, with its chart and windows, not a bare composition. */
export const isGrade = (steel: Steel): steel is Grade => 'nominal' in steel
/** Nominal composition, wt%. */
export const compositionOf = (steel: Steel): Composition => (isGrade(steel) ? steel.nominal : steel.composition)
/** The grade’s tempering chart; null where there is none. */
export const chartOf = (steel: Steel): TemperingChart | null => (isGrade(steel) ? steel.chart : null)

/** A steel as the model takes it: composition, wt%, how it is made, and its slowest quench, s; null where it is not known. */
export const modelSteelOf = (steel: Steel): ModelSteel => ({
  made: steel.made ?? 'ingot',
  slowest800to500S: isGrade(steel) ? steel.quench.slowest800to500S : null,
})

/** How far a chart stands from what the model says of the very tempers it was measured with, HRC, by tempering parameter. */
export type ChartShift = (parameter: number) => number

const shifts = new WeakMap<TemperingChart, ChartShift>()

/** The steel's chart less the model; null without one. Kept per chart: a map asks for it thousands of times. */
export function chartShiftOf(steel: Steel): ChartShift | null {
  const chart = chartOf(steel)
  if (!chart || chart.points.length === 0) return null
  const known = shifts.get(chart)
  if (known) return known
  const hard = hardened(compositionOf(steel), modelSteelOf(steel), referenceRoute(chart, null))
  const rows = chart.points.map(([temperC, hrc]) => {
    const steps = temperSteps(referenceRoute(chart, temperC).tempers)
    return [steps.parameters.at(-1) ?? 0, hrc - temperedLast(hard, steps).hrc] as const
  })
  const made = monotoneOf(rows)
  shifts.set(chart, made)
  return made
}

/** Chart less model at a tempering parameter, HRC; beyond the chart's ends, as at its end. */
export const shiftAt = (shift: ChartShift, parameter: number): number => shift(parameter)

/**
 * The model moved onto the grade's chart: chart(P) + model(route) − model(reference at the same P).
 * Before the first temper the shift is that of the chart's mildest temper.
 */
export function onChart(shift: ChartShift | null, m: Metallurgy): HrcPath {
  if (!shift) return m.path
  const before = shiftAt(shift, 0)
  return {
    asQuenched: m.path.asQuenched + before,
    afterCold: m.path.afterCold === null ? null : m.path.afterCold + before,
    afterTempers: m.path.afterTempers.map((hrc, i) => Math.max(0, hrc + shiftAt(shift, m.parameters[i] ?? 0))),
  }
}

/** Hardness at the end of a path, HRC. */
export const lastHrc = (path: HrcPath): number => path.afterTempers.at(-1) ?? path.afterCold ?? path.asQuenched
