import { ROCKWELL } from '../../data/rockwell'
import { fail, ok, type Problem, type Result } from '../result'

/**
 * Reads a typed run of Rockwell C readings: '61 60.5 61', '61; 60,5; 61', one a line. Each bad value is said by its
 * place; nothing is guessed. Errors: 'empty', 'not-a-number', 'implausible'; the path is the value's index.
 */
export function parseReadings(text: string): Result<number[]> {
  const parts = text
    .trim()
    .split(/[\s;]+|,(?!\d)/)
    .filter(part => part !== '')
  if (parts.length === 0) return fail('empty', 'Type one or more readings, such as 61 60.5 61.')
  const problems: Problem[] = []
  const values = parts.map((part, index) => {
    const value = /^[+-]?\d+([.,]\d+)?$/.test(part) ? Number(part.replace(',', '.')) : Number.NaN
    const problem = Number.isNaN(value) ? notANumber(part) : implausible(part, value)
    if (problem) problems.push({ ...problem, path: String(index) })
    return value
  })
  return problems.length > 0 ? { ok: false, problems } : ok(values)
}

const notANumber = (part: string): Omit<Problem, 'path'> => ({
  code: 'not-a-number',
  message: /[oOlI]/.test(part)
    ? `“${part}” has a letter among the digits: type ${part.replace(/[oO]/g, '0').replace(/[lI]/g, '1')}?`
    : `“${part}” is not a number.`,
})

function implausible(part: string, value: number): Omit<Problem, 'path'> | null {
  const { min, max } = ROCKWELL.plausible
  if (value >= min && value <= max) return null
  const tenth = value / 10
  const meant = tenth >= min && tenth <= max && value > 100 ? ` Did you mean ${tenth}?` : ''
  return { code: 'implausible', message: `${part} HRC cannot be: hardened steel reads ${min} to ${max} HRC.${meant}` }
}
