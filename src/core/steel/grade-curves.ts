import type { Element, Grade } from '../../data/grades'
import { finalHrc } from './hrc-path'
import { predict } from './predict'
import { type Route, usualCold } from './route'
import { elementSpreads, withElement } from './variation'

/** Hardness as quenched against austenitize temperature, for each way to cool. */
export interface SoakPoint {
  readonly atC: number
  readonly noCold: number
  readonly dryIce: number
  readonly nitrogen: number
  readonly retained: number
}

const BEYOND_WINDOW_C = 60
const STEP_C = 5

/** Untempered hardness over the austenitize temperature, with and without cold: it rises, peaks, and falls as austenite stays. */
export function soakCurve(grade: Grade, soakMin: number): SoakPoint[] {
  const points: SoakPoint[] = []
  const { minC, maxC } = grade.austenitize
  for (let atC = Math.max(720, minC - BEYOND_WINDOW_C); atC <= Math.min(1290, maxC + BEYOND_WINDOW_C); atC += STEP_C) {
    const at = (toC: number | null): Route => ({
      austenitizeC: atC,
      soakMin,
      quenchedToC: 25,
      cold: toC === null ? null : usualCold(toC),
      tempers: [],
    })
    const plain = predict(grade, at(null))
    points.push({
      atC,
      noCold: plain.finalHrc.mean,
      dryIce: finalHrc(grade, at(-75)),
      nitrogen: finalHrc(grade, at(-196)),
      retained: plain.retainedAustenite.final,
    })
  }
  return points
}

/** Effect of a mill's range of one element on the finished hardness, the others at their nominal. */
export interface ElementEffect {
  readonly element: Element
  readonly least: number
  readonly nominal: number
  readonly most: number
  readonly hrcAtLeast: number
  readonly hrcAtMost: number
}

/** Effects of the composition's range, largest first. */
export function rangeEffects(grade: Grade, route: Route): ElementEffect[] {
  // A chart is of one heat: only the model can say what another heat would do.
  const shift = finalHrc(grade, route) - finalHrc({ composition: grade.nominal, made: grade.made }, route)
  const at = (element: Element, value: number) =>
    shift + finalHrc({ composition: withElement(grade.nominal, element, value), made: grade.made }, route)
  return elementSpreads(grade)
    .map(({ element, least, nominal, most }) => ({
      element,
      least,
      nominal,
      most,
      hrcAtLeast: at(element, least),
      hrcAtMost: at(element, most),
    }))
    .sort((a, b) => Math.abs(b.hrcAtMost - b.hrcAtLeast) - Math.abs(a.hrcAtMost - a.hrcAtLeast))
}
