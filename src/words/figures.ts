import type { Figure, FigureCode } from '../core/codes/figure'
import type { WorkingCodes, WorkingLine, WorkingUnit } from '../core/codes/working'
import { hrcText, type Speaker } from './speaker'

/** Name of each figure. Equation and source stand in `WORKING_WORDS`, which a page fetches with the working. */
export const FIGURE_NAMES: { readonly [C in FigureCode]: (params: WorkingCodes[C]) => string } = {
  'chance-in-target': p => `Chance of ${p.min} to ${p.max} HRC`,
  'foil-cost-per-blade': _ => 'Cost of foil per blade',
  'mains-current': _ => 'Current from the mains',
}

const significant = (value: number): string => {
  const size = Math.abs(value)
  return size !== 0 && size < 0.01
    ? value.toExponential(2)
    : Number(value.toFixed(size >= 100 ? 0 : size >= 10 ? 1 : 3)).toString()
}

/** The value of a line in the shop's units; a line without one says that it was used, or that nothing came of it. */
export function workingValue({ value, unit }: WorkingLine, say: Speaker): string {
  if (value === null) return unit === '' ? 'used' : '—'
  if (!Number.isFinite(value)) return '—'
  const plain = (label: string) => `${significant(value)} ${label}`
  const units: { readonly [U in WorkingUnit]: () => string } = {
    '': () => significant(value),
    HRC: () => `${value.toFixed(2)} HRC`,
    C: () => say.t(value),
    K: () => say.signed(value),
    'wt%': () => plain('wt%'),
    'wt%²': () => plain('wt%²'),
    '%': () => plain('%'),
    ppm: () => plain('ppm'),
    kJ: () => say.heat(value),
    'kJ/kg': () => say.heatPerMass(value),
    'W/m²K': () => say.transfer(value),
    'K/s': () => say.perSecond(value),
    'K/h': () => say.perHour(value),
    mm: () => say.length(value),
    m: () => say.metres(value),
    kg: () => say.mass(value),
    s: () => say.seconds(value),
    min: () => say.minutes(value),
    h: () => plain('h'),
    A: () => plain('A'),
    kWh: () => plain('kWh'),
    money: () => say.money(value),
    share: () => say.percent(value),
  }
  return units[unit]()
}

/** Units whose value is read to fewer decimals than a line of working gives. */
const SHORT: Partial<Readonly<Record<WorkingUnit, (value: number) => string>>> = {
  HRC: value => `${hrcText(value)} HRC`,
  A: value => `${value.toFixed(1)} A`,
  kWh: value => `${value.toFixed(1)} kWh`,
}

const nameOf = <C extends FigureCode>({
  code,
  params,
}: {
  readonly code: C
  readonly params: WorkingCodes[C]
}): string => FIGURE_NAMES[code](params)

/** Returns a figure's name, its number and its unit with the interval, in the shop's units. */
export function figureWords(
  figure: Figure,
  say: Speaker,
): { readonly name: string; readonly value: string; readonly unit: string } {
  const text = (value: number) => SHORT[figure.unit]?.(value) ?? workingValue({ ...figure, value }, say)
  const [number = '—', ...unit] = (figure.value === null ? '—' : text(figure.value)).split(/ (?=[^\d ]+$)/)
  const between = figure.interval && `${bare(text(figure.interval.low))} to ${bare(text(figure.interval.high))}`
  return { name: nameOf(figure), value: number, unit: [...unit, between].filter(Boolean).join(' ') }
}

const bare = (text: string): string => text.replace(/ [^\d ]+$/, '')
