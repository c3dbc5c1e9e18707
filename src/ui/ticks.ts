import type { System } from '../core/units/quantity'
import { cFromF, fFromC } from '../core/units/temperature'

const DEGREE_STEPS = [10, 20, 25, 50, 100, 200, 500] as const
const MINUTE_STEPS = [1, 2, 5, 10, 15, 30, 60, 120, 240, 480, 1440] as const

const stepFor = (steps: readonly number[], span: number, most: number): number =>
  steps.find(step => span / step <= most) ?? Math.ceil(span / most)

/** Round temperatures of the shown scale from one °C to another, at most so many, with where they lie in °C. */
export function temperatureTicks(fromC: number, toC: number, most: number, system: System) {
  const [shown, back] = system === 'metric' ? [(c: number) => c, (v: number) => v] : [fFromC, cFromF]
  const [low, high] = [shown(fromC), shown(toC)]
  const step = stepFor(DEGREE_STEPS, high - low, most)
  const first = Math.ceil(low / step) * step
  return Array.from({ length: Math.max(0, Math.floor((high - first) / step) + 1) }, (_, i) => {
    const value = first + i * step
    return { value, c: back(value) }
  })
}

/** Round minutes from 0, at most so many, written as hours where all of them are. */
export function minuteTicks(longestMin: number, most: number): { readonly min: number; readonly label: string }[] {
  const step = stepFor(MINUTE_STEPS, longestMin, most)
  return Array.from({ length: Math.floor(longestMin / step) + 1 }, (_, i) => {
    const min = i * step
    return { min, label: step % 60 === 0 ? `${min / 60} h` : `${min} min` }
  })
}

const MOST_DECIMALS = 6

/** The fewest decimals that write each of some figures in full. */
export function decimalsOf(values: readonly number[]): number {
  let decimals = 0
  while (decimals < MOST_DECIMALS && values.some(value => Math.abs(value - Number(value.toFixed(decimals))) > 1e-9))
    decimals++
  return decimals
}
