import type { System } from '../../units/quantity'
import { cFromF } from '../../units/temperature'

export interface ChartRow {
  readonly temperC: number
  readonly hrc: number
}

/** A line that could not be used, by its number from 1, and why. */
export type SkippedLine = { readonly line: number; readonly text: string } & (
  | { readonly why: 'no-temper' | 'no-hardness' }
  | { readonly why: 'not-a-hardness'; readonly hrc: number }
  | { readonly why: 'not-a-temper'; readonly atC: number }
)

export interface ChartText {
  readonly rows: readonly ChartRow[]
  readonly scale: 'C' | 'F'
  /** Lines that could not be used, by their number from 1, and why. */
  readonly skipped: readonly SkippedLine[]
}

// The C of HRC is no unit: a scale stands alone, or behind a degree sign or a number.
const FAHRENHEIT = /(?<![a-z])°?\s*f\b|fahrenheit/i
const CELSIUS = /(?<![a-z])°?\s*c\b|celsius/i
/** A number with either decimal mark, and whatever unit stands behind it. */
const NUMBER = /[+−-]?\d+(?:[.,]\d+)?/g
/** No sheet tempers hotter than this in °C: such a column is in °F. */
const HOTTEST_C = 760

const numberOf = (text: string) => Number(text.replace('−', '-').replace(',', '.'))

/** Cells of a line: a tab, semicolon, bar or spaces part them; a comma only where nothing else does. */
function cellsOf(line: string): string[] {
  const clear = line
    .split(/\t|;|\||\s{2,}/)
    .map(cell => cell.trim())
    .filter(Boolean)
  if (clear.length >= 2) return clear
  const spaced = line.trim().split(/\s+/)
  if (spaced.filter(cell => /\d/.test(cell)).length >= 2) return spaced
  return line.split(',').map(cell => cell.trim())
}

/**
 * Reads a tempering chart as it is typed, or pasted from a table or CSV: one row a line, temper then hardness, decimal
 * comma or point, °C or °F (named in a header or a cell, or evident from its size; else in `units`). Ranges such as '60-61' give
 * their middle. What cannot be used is said line by line; nothing is guessed.
 */
export function parseChartText(text: string, units: System = 'metric'): ChartText {
  const lines = text.split(/\r?\n/)
  const skipped: SkippedLine[] = []
  const read: { temper: number; hrc: number; line: number }[] = []
  const names = (scale: RegExp, other: RegExp) => lines.some(line => scale.test(line) && !other.test(line))
  const [namesF, namesC] = [names(FAHRENHEIT, CELSIUS), names(CELSIUS, FAHRENHEIT)]
  lines.forEach((line, i) => {
    if (line.trim() === '') return
    const [first = '', ...others] = cellsOf(line)
    const temper = first.match(NUMBER)
    const hardness = others.map(cell => cell.match(/\d+(?:[.,]\d+)?/g)).find(found => found !== null)
    const at = { line: i + 1, text: line.trim() }
    if (!temper) {
      if (/\d/.test(line)) skipped.push({ ...at, why: 'no-temper' })
      // A line of words alone is a heading.
      return
    }
    if (!hardness) {
      skipped.push({ ...at, why: 'no-hardness' })
      return
    }
    const values = hardness.map(numberOf)
    const hrc = values.length === 2 ? ((values[0] ?? 0) + (values[1] ?? 0)) / 2 : (values[0] ?? 0)
    if (hrc < 20 || hrc > 70) skipped.push({ ...at, why: 'not-a-hardness', hrc })
    else read.push({ temper: numberOf(temper[0]), hrc, line: i + 1 })
  })
  const isF = namesF || read.some(row => row.temper > HOTTEST_C) || (!namesC && units === 'imperial')
  const scale = isF ? 'F' : 'C'
  const rows = read.flatMap(({ temper, hrc, line }) => {
    const temperC = scale === 'F' ? Math.round(10 * cFromF(temper)) / 10 : temper
    if (temperC >= 50 && temperC <= 750) return [{ temperC, hrc }]
    skipped.push({
      line,
      text: lines[line - 1]?.trim() ?? '',
      why: 'not-a-temper',
      atC: temperC,
    })
    return []
  })
  return { rows, scale, skipped: skipped.sort((a, b) => a.line - b.line) }
}

/** Rows in which the temper does not rise: the chart doubles back there. Row numbers from 1. */
export const doublesBack = (rows: readonly ChartRow[]): number[] =>
  rows.flatMap((row, i) => (i > 0 && row.temperC <= (rows[i - 1]?.temperC ?? 0) ? [i + 1] : []))
