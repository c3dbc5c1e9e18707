import { fail, ok, type Result } from '../../codes/result'
import { isBreakText, readNumberCell, unitOfCell, unitOfHeading } from './cells'
import { recogniseTimes, type TimeFormat } from './time-cells'

/** How a log is written: what was recognised, and what the reader may set right. */
export interface LogLayout {
  /** Rows before the first of values. */
  readonly headRows: number
  readonly headings: readonly string[]
  readonly decimal: '.' | ','
  /** Column of the date where it stands apart from the time; null: one column holds both, or there is no date. */
  readonly dateColumn: number | null
  readonly timeColumn: number
  readonly time: TimeFormat
  readonly temperatureColumn: number
  readonly setColumn: number | null
  readonly unit: 'C' | 'F'
  /** Where the unit comes from: the heading, the values, or a guess. */
  readonly unitFrom: 'heading' | 'values' | 'guess'
  /** Columns that hold numbers and might be the temperature. */
  readonly candidates: readonly number[]
}

/** Rows looked at to recognise a log. */
export const SAMPLE_ROWS = 400
const LEAST_ROWS = 5
const DATE_ONLY = /^\d{1,4}[./-]\d{1,2}[./-]\d{2,4}$/
const SET_HEADING = /\b(set|sp|soll|target|consigne)/i
const TEMPERATURE_HEADING = /temp|pv\b|process|actual|chamber|oven|kiln|tc\s?\d?|thermo|ist\b|°|probe|channel|ch\s?\d/i

/**
 * Recognises columns, decimal sign, time and unit from the first rows. Errors: 'empty', 'no-temperature', 'no-time'.
 */
export function recogniseLog(rows: readonly (readonly string[])[]): Result<LogLayout> {
  const filled = rows.filter(row => row.some(cell => cell.trim() !== ''))
  if (filled.length < LEAST_ROWS) return fail('log-too-few-rows', {})
  const width = mostCommonWidth(filled)
  const decimal = decimalOf(filled)
  const isValue = (cell: string) => readNumberCell(cell, decimal) !== null || isBreakText(cell)
  const headRows = rows.findIndex(
    row => row.length >= width && row.filter(isValue).length > 0 && row.filter(cell => /\d/.test(cell)).length >= 2,
  )
  if (headRows < 0 || width < 2) return fail('log-no-rows', {})
  const body = rows.slice(headRows).filter(row => row.length >= width)
  const headings = Array.from({ length: width }, (_, i) => (rows[headRows - 1]?.[i] ?? '').trim() || `column ${i + 1}`)
  const column = (i: number) => body.map(row => row[i] ?? '')
  const times = headings.map((heading, i) => recogniseTimes(column(i), heading))
  const timeColumn = bestTime(times, headings)
  const time = times[timeColumn]
  if (timeColumn < 0 || !time) return fail('log-no-time', {})
  const dateColumn =
    time.kind === 'clock'
      ? headings.findIndex((_, i) => column(i).filter(cell => DATE_ONLY.test(cell.trim())).length > 0.8 * body.length)
      : -1
  const joined = body.map(row => `${row[dateColumn]?.trim()} ${row[timeColumn]?.trim()}`)
  const candidates = headings.flatMap((_, i) =>
    i !== timeColumn && i !== dateColumn && column(i).filter(isValue).length > 0.5 * body.length ? [i] : [],
  )
  const setColumn = candidates.find(i => SET_HEADING.test(headings[i] ?? '')) ?? null
  const measured = candidates.filter(i => i !== setColumn)
  const temperatureColumn = hottest(measured, headings, column, decimal)
  if (temperatureColumn === null) return fail('log-no-temperature', {})
  return ok({
    headRows,
    headings,
    decimal,
    dateColumn: dateColumn < 0 ? null : dateColumn,
    timeColumn,
    time: (dateColumn < 0 ? null : recogniseTimes(joined, '')) ?? time,
    temperatureColumn,
    setColumn,
    candidates,
    ...unitOf(headings[temperatureColumn] ?? '', rows.slice(0, headRows), column(temperatureColumn), decimal),
  })
}

function mostCommonWidth(rows: readonly (readonly string[])[]): number {
  const counts = new Map<number, number>()
  for (const row of rows) counts.set(row.length, (counts.get(row.length) ?? 0) + 1)
  return [...counts].reduce((best, entry) => (entry[1] > best[1] ? entry : best), [0, 0])[0]
}

/** Comma decimals show as 23,5 in cells; a point elsewhere then parts thousands. */
const decimalOf = (rows: readonly (readonly string[])[]): '.' | ',' => {
  const cells = rows.flat().map(cell => cell.trim())
  const comma = cells.filter(cell => /^-?\d+,\d+\s*(°?[CF])?$/i.test(cell) && !/^-?\d{1,3},\d{3}$/.test(cell)).length
  const point = cells.filter(cell => /^-?\d+\.\d+\s*(°?[CF])?$/i.test(cell)).length
  return comma > point ? ',' : '.'
}

/** A full date or clock beats a rising number; a heading that says time beats one that does not. */
function bestTime(times: readonly (TimeFormat | null)[], headings: readonly string[]): number {
  const rank = (i: number) => {
    const format = times[i]
    if (!format) return -1
    const kind = { iso: 6, 'date-time': 6, clock: 4, number: 1 }[format.kind]
    return kind + (/time|elapsed|zeit|date|sec|min/i.test(headings[i] ?? '') ? 2 : 0)
  }
  return times.reduce((best, _, i) => (rank(i) > (best < 0 ? -1 : rank(best)) ? i : best), -1)
}

/** The column whose heading speaks of temperature, else the one that gets hottest. */
function hottest(
  columns: readonly number[],
  headings: readonly string[],
  column: (i: number) => string[],
  decimal: '.' | ',',
): number | null {
  const peak = (i: number) => Math.max(...column(i).map(cell => readNumberCell(cell, decimal) ?? -1))
  const named = columns.filter(i => TEMPERATURE_HEADING.test(headings[i] ?? ''))
  const from = named.length > 0 ? named : columns
  return from.length === 0 ? null : from.reduce((best, i) => (peak(i) > peak(best) ? i : best))
}

function unitOf(
  heading: string,
  head: readonly (readonly string[])[],
  cells: readonly string[],
  decimal: '.' | ',',
): Pick<LogLayout, 'unit' | 'unitFrom'> {
  const named = unitOfHeading(heading)
  if (named) return { unit: named, unitFrom: 'heading' }
  const written = cells.map(unitOfCell).filter(unit => unit !== null)
  if (written.length > 0)
    return { unit: written.filter(u => u === 'F').length * 2 > written.length ? 'F' : 'C', unitFrom: 'values' }
  const preamble = head
    .flat()
    .map(unitOfHeading)
    .find(unit => unit !== null)
  if (preamble) return { unit: preamble, unitFrom: 'heading' }
  const values = cells.map(cell => readNumberCell(cell, decimal) ?? 0).filter(c => c < 2500)
  // No bench oven passes 1300 °C: what is hotter was written in °F.
  return { unit: Math.max(...values) > 1300 ? 'F' : 'C', unitFrom: 'guess' }
}
