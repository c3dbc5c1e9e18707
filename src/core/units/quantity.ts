import { fail, ok, type Result } from '../codes/result'
import { cFromF, fFromC } from './temperature'

/** Quantity of a field. Base units: °C, mm, kg, minutes, W, V. */
export type Dimension = 'temperature' | 'length' | 'mass' | 'duration' | 'power' | 'voltage'
export const SYSTEMS = ['metric', 'imperial'] as const
export type System = (typeof SYSTEMS)[number]

interface Unit {
  readonly label: string
  readonly spellings: readonly string[]
  readonly toBase: (value: number) => number
  readonly fromBase: (base: number) => number
}

const scaled = (label: string, spellings: readonly string[], factor: number): Unit => ({
  label,
  spellings,
  toBase: value => value * factor,
  fromBase: base => base / factor,
})

const CELSIUS: Unit = { label: '°C', spellings: ['°c', 'c', 'degc', 'ºc'], toBase: v => v, fromBase: v => v }
const FAHRENHEIT: Unit = { label: '°F', spellings: ['°f', 'f', 'degf', 'ºf'], toBase: cFromF, fromBase: fFromC }
const MILLIMETRE = scaled('mm', ['mm'], 1)
// The inch and the pound are exact by the international agreement of 1959.
const INCH = scaled('in', ['in', '"', '″', 'inch', 'inches'], 25.4)
const FOOT = scaled('ft', ['ft', 'foot', 'feet', "'", '′'], 304.8)
const KILOGRAM = scaled('kg', ['kg'], 1)
const POUND = scaled('lb', ['lb', 'lbs'], 0.45359237)
const WATT = scaled('W', ['w', 'watt', 'watts'], 1)
const VOLT = scaled('V', ['v', 'volt', 'volts'], 1)
const MINUTE = scaled('min', ['min', 'm', 'mins', 'minutes'], 1)

const UNITS: Readonly<Record<Dimension, readonly Unit[]>> = {
  temperature: [CELSIUS, FAHRENHEIT],
  length: [MILLIMETRE, INCH, scaled('cm', ['cm'], 10), scaled('m', ['m'], 1000), FOOT],
  mass: [KILOGRAM, POUND, scaled('g', ['g'], 0.001), scaled('oz', ['oz'], 0.45359237 / 16)],
  duration: [MINUTE, scaled('h', ['h', 'hr', 'hrs', 'hours', 'hour'], 60), scaled('s', ['s', 'sec'], 1 / 60)],
  power: [WATT, scaled('kW', ['kw'], 1000)],
  voltage: [VOLT],
}

const SHOWN: Readonly<Record<Dimension, Readonly<Record<System, Unit>>>> = {
  temperature: { metric: CELSIUS, imperial: FAHRENHEIT },
  length: { metric: MILLIMETRE, imperial: INCH },
  mass: { metric: KILOGRAM, imperial: POUND },
  duration: { metric: MINUTE, imperial: MINUTE },
  power: { metric: WATT, imperial: WATT },
  voltage: { metric: VOLT, imperial: VOLT },
}

/** Units a field of a dimension reads. */
export const unitsOf = (dimension: Dimension): string[] => UNITS[dimension].map(unit => unit.label)

/** The unit a bare number is taken in, and values are shown in, for a system. */
export const shownUnitLabel = (dimension: Dimension, system: System): string => SHOWN[dimension][system].label

const NUMBER = /^([+\-−]?)(?:(\d+)[ -]+)?(\d+)\/(\d+)|^([+\-−]?(?:\d+(?:[.,]\d*)?|[.,]\d+))/

/** Reads '3', '3,5', '−18', '1/8' and '1 1/2' from the front of a text; null where no number stands. */
function leadingNumber(text: string): { value: number; rest: string } | null {
  const match = NUMBER.exec(text)
  if (!match) return null
  const rest = text.slice(match[0].length).trim()
  if (match[5] !== undefined) return { value: Number(match[5].replace('−', '-').replace(',', '.')), rest }
  const denominator = Number(match[4])
  if (denominator === 0) return null
  const size = Number(match[2] ?? 0) + Number(match[3]) / denominator
  return { value: match[1] === '-' || match[1] === '−' ? -size : size, rest }
}

/**
 * Reads a typed quantity into its base unit (°C, mm, kg or minutes). A bare number is taken in the shown unit;
 * fractions, decimal commas and compound values ('3 lb 4 oz', '1h30', '1:30') are read.
 * Errors: 'empty', 'not-a-quantity', 'several-numbers', 'unknown-unit'.
 * @example parseQuantity('1950F', 'temperature', 'metric') // { ok: true, value: 1065.56 }
 */
export function parseQuantity(text: string, dimension: Dimension, system: System): Result<number> {
  const trimmed = text.trim().toLowerCase()
  if (trimmed === '') return fail('empty', { field: dimension })
  const clock = dimension === 'duration' ? /^(\d+):([0-5]\d)$/.exec(trimmed) : null
  if (clock) return ok(Number(clock[1]) * 60 + Number(clock[2]))

  let rest = trimmed
  let base: number | null = null
  let lastUnit = null as Unit | null
  while (rest !== '') {
    const number = leadingNumber(rest)
    if (!number) return fail('not-a-quantity', { text: text.trim(), field: dimension })
    const spelled = /^[^\d\s+.,−/-]+/.exec(number.rest)?.[0] ?? ''
    const unit: Unit | undefined =
      spelled === ''
        ? lastUnit?.label === 'h'
          ? MINUTE
          : SHOWN[dimension][system]
        : UNITS[dimension].find(candidate => candidate.spellings.includes(spelled))
    if (!unit) return fail('unknown-unit', { unit: spelled, field: dimension })
    const compound: boolean = base !== null
    if (compound && (dimension === 'temperature' || spelled === '') && lastUnit?.label !== 'h')
      return fail('several-numbers', { text: text.trim() })
    base = (base ?? 0) + unit.toBase(number.value)
    lastUnit = unit
    rest = number.rest.slice(spelled.length).trim()
  }
  return base === null || !Number.isFinite(base)
    ? fail('not-a-quantity', { text: text.trim(), field: dimension })
    : ok(base)
}

const decimals = (value: number, places: number): string => Number(value.toFixed(places)).toString().replace('-', '−')

/** A base-unit value as the number a person sees in the shown unit, without the unit. */
export function formatNumber(base: number, dimension: Dimension, system: System): string {
  const value = SHOWN[dimension][system].fromBase(base)
  if (dimension === 'temperature' || dimension === 'power' || dimension === 'voltage') return decimals(value, 0)
  if (dimension === 'duration') return decimals(value, 1)
  if (dimension === 'mass') return decimals(value, 2)
  // Gauges and foil are told apart by hundredths, blades are not.
  if (system === 'metric') return decimals(value, Math.abs(value) < 1 ? 2 : 1)
  // A caliper's thousandths, always: a fraction beside a decimal cannot be compared. Fractions are read where they are typed.
  return decimals(value, 3)
}

/** A length as gauges and calipers give it, without its unit: hundredths of a millimetre, ten-thousandths of an inch. */
export const formatFine = (mm: number, system: System): string =>
  system === 'metric' ? mm.toFixed(2) : (mm / 25.4).toFixed(4)

/** A base-unit value with its unit: '1066 °C', '0.125 in', '2.02 kg'; durations from 60 min on as '2 h 05'. */
export function formatQuantity(base: number, dimension: Dimension, system: System): string {
  if (dimension === 'duration' && base >= 60) return formatHours(base)
  return `${formatNumber(base, dimension, system)} ${shownUnitLabel(dimension, system)}`
}

function formatHours(minutes: number): string {
  const whole = Math.round(minutes)
  const rest = whole % 60
  const hours = Math.floor(whole / 60)
  return rest === 0 ? `${hours} h` : `${hours} h ${String(rest).padStart(2, '0')}`
}

/** Returns a temperature in the scale a shop is shown. */
export const formatTemperature = (celsius: number, system: System): string =>
  formatQuantity(celsius, 'temperature', system)

/**
 * Returns a temperature in both scales, the shown one first: where an oven is keyed, or a printed sheet is read.
 * @example bothScales(1065.6, 'metric') // '1066 °C (1950 °F)'
 */
export function bothScales(celsius: number, system: System): string {
  const c = formatQuantity(celsius, 'temperature', 'metric')
  const f = formatQuantity(celsius, 'temperature', 'imperial')
  return system === 'metric' ? `${c} (${f})` : `${f} (${c})`
}

/**
 * A difference of temperatures in the shown degrees, with its sign.
 * @example formatDifference(-11, 'imperial') // '−20 °F'
 */
export function formatDifference(kelvin: number, system: System): string {
  const value = system === 'metric' ? kelvin : kelvin * 1.8
  const shown = decimals(value, Math.abs(value) < 9.95 ? 1 : 0)
  return `${value > 0 && shown !== '0' ? '+' : ''}${shown} ${SHOWN.temperature[system].label}`
}

/** Another reading of an out-of-range value, offered as 'did you mean'. */
export interface OtherReading {
  readonly base: number
  readonly text: string
}

/**
 * For a bare number that is out of range as typed: the same number in another unit of the dimension, if that
 * is in range. 1950 typed where °C is shown gives 1950 °F.
 */
export function otherReading(
  text: string,
  dimension: Dimension,
  system: System,
  range: { readonly min: number; readonly max: number },
): OtherReading | null {
  const number = leadingNumber(text.trim())
  if (!number) return null
  const shown = SHOWN[dimension][system]
  for (const unit of UNITS[dimension]) {
    const base = unit.toBase(number.value)
    if (unit !== shown && base >= range.min && base <= range.max && number.rest === '')
      return { base, text: `${decimals(number.value, 3)} ${unit.label}` }
  }
  return null
}

/** Returns millimetres in metres. */
export const metresOf = (mm: number): number => mm / 1000
