import type { Figure } from '../core/codes/figure'
import type { WorkingUnit } from '../core/codes/working'
import { hrcText, type Speaker } from './speaker'
import { workingValue, workingWords } from './working'

/** Units whose value is read to fewer decimals than a line of working gives. */
const SHORT: Partial<Readonly<Record<WorkingUnit, (value: number) => string>>> = {
  HRC: value => `${hrcText(value)} HRC`,
  A: value => `${value.toFixed(1)} A`,
  kWh: value => `${value.toFixed(1)} kWh`,
}

/** Returns a figure's name, its number and its unit with the interval, in the shop's units. */
export function figureWords(
  figure: Figure,
  say: Speaker,
): { readonly name: string; readonly value: string; readonly unit: string } {
  const text = (value: number) => SHORT[figure.unit]?.(value) ?? workingValue({ ...figure, value }, say)
  const [number = '—', ...unit] = (figure.value === null ? '—' : text(figure.value)).split(/ (?=[^\d ]+$)/)
  const between = figure.interval && `${bare(text(figure.interval.low))} to ${bare(text(figure.interval.high))}`
  return { name: workingWords(figure, say).name, value: number, unit: [...unit, between].filter(Boolean).join(' ') }
}

const bare = (text: string): string => text.replace(/ [^\d ]+$/, '')
