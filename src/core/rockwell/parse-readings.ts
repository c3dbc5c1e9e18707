import { ROCKWELL } from '../../data/rockwell'
import { type Problem, problem } from '../codes/problem'
import { fail, ok, type Result } from '../codes/result'

/** Points and spaces as they are typed: all of them, or left out where a tester shows half points or tenths. */
export type ReadingsTyped = 'in full' | 'half points' | 'tenths'

/**
 * Reads a typed run of Rockwell C readings: '61 60.5 61', '61; 60,5; 61', one a line. Each bad value is said by its place; nothing is
 * guessed. Where points may be left out three digits are a reading, 605 for 60.5, and more digits are readings without spaces,
 * 6056160 for 60.5, 61 and 60, if there is one way alone to read them. Errors: 'no-readings', 'not-a-number', 'implausible-hrc',
 * 'readings-run-together'; the path is the value's index.
 */
export function parseReadings(text: string, typed: ReadingsTyped = 'in full'): Result<number[]> {
  const parts = text
    .trim()
    .split(/[\s;]+|,(?!\d)/)
    .filter(part => part !== '')
  if (parts.length === 0) return fail('no-readings', {})
  const problems: Problem[] = []
  const values = parts.flatMap((part, index): number[] => {
    const path = String(index)
    const ways = typed === 'in full' || !/^\d{4,}$/.test(part) ? [] : waysToRead(part, typed)
    const [only, other] = ways
    if (only && !other) return [...only]
    if (only && other) {
      problems.push(problem('readings-run-together', { text: part, ways: [only, other] }, path))
      return []
    }
    const number = /^[+-]?\d+([.,]\d+)?$/.test(part) ? Number(part.replace(',', '.')) : Number.NaN
    const value = typed !== 'in full' && /^\d{3}$/.test(part) ? number / 10 : number
    const found = Number.isNaN(value) ? notANumber(part, path) : implausible(part, value, path)
    if (found) problems.push(found)
    return [value]
  })
  return problems.length > 0 ? { ok: false, problems } : ok(values)
}

/** Softer steel is not read in this scale: ISO 6508-1, 20 to 70 HRC; from memory. */
const SCALE_FROM_HRC = 20
/** More digits are no one blade's. */
const MOST_DIGITS = 30

/** Returns every way to read digits as readings of two digits, and of three where a point was left out. */
function waysToRead(digits: string, typed: ReadingsTyped): readonly (readonly number[])[] {
  if (digits.length > MOST_DIGITS) return []
  const { max } = ROCKWELL.plausible
  const ways: number[][] = []
  const read = (from: number, values: readonly number[]) => {
    // A second way is enough to ask.
    if (ways.length > 1) return
    if (from === digits.length) return void ways.push([...values])
    for (const length of [2, 3]) {
      const piece = digits.slice(from, from + length)
      const value = length === 2 ? Number(piece) : Number(piece) / 10
      const isWhole = piece.length === length && (length === 2 || typed === 'tenths' || piece.endsWith('5'))
      if (isWhole && value >= SCALE_FROM_HRC && value <= max) read(from + length, [...values, value])
    }
  }
  read(0, [])
  return ways
}

const notANumber = (text: string, path: string): Problem =>
  problem(
    'not-a-number',
    { text, meant: /[oOlI]/.test(text) ? text.replace(/[oO]/g, '0').replace(/[lI]/g, '1') : null },
    path,
  )

function implausible(text: string, value: number, path: string): Problem | null {
  const { min: minHrc, max: maxHrc } = ROCKWELL.plausible
  if (value >= minHrc && value <= maxHrc) return null
  const tenth = value / 10
  const meantHrc = tenth >= minHrc && tenth <= maxHrc && value > 100 ? tenth : null
  return problem('implausible-hrc', { text, minHrc, maxHrc, meantHrc }, path)
}
