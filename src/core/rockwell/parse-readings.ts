import { ROCKWELL } from '../../data/rockwell'
import { type Problem, problem } from '../codes/problem'
import { fail, ok, type Result } from '../codes/result'

/**
 * Reads a typed run of Rockwell C readings: '61 60.5 61', '61; 60,5; 61', one a line. Each bad value is said by its
 * place; nothing is guessed. `points`: whether three digits may be a reading whose point was left out, 605 for 60.5.
 * Errors: 'empty', 'not-a-number', 'implausible'; the path is the value's index.
 */
export function parseReadings(text: string, points: 'typed' | 'omissible' = 'typed'): Result<number[]> {
  const parts = text
    .trim()
    .split(/[\s;]+|,(?!\d)/)
    .filter(part => part !== '')
  if (parts.length === 0) return fail('no-readings', {})
  const problems: Problem[] = []
  const values = parts.map((part, index) => {
    const typed = /^[+-]?\d+([.,]\d+)?$/.test(part) ? Number(part.replace(',', '.')) : Number.NaN
    const value = points === 'omissible' && /^\d{3}$/.test(part) ? typed / 10 : typed
    const path = String(index)
    const found = Number.isNaN(value) ? notANumber(part, path) : implausible(part, value, path)
    if (found) problems.push(found)
    return value
  })
  return problems.length > 0 ? { ok: false, problems } : ok(values)
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
