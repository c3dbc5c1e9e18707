/** How serials are written where nothing else was set: the year in two digits, then a number in at least three. */
export const USUAL_SERIALS = 'YY-NNN'

const NUMBER = /N+/

/** Whether a pattern can number blades: it has one run of N. */
export const isSerialPattern = (pattern: string): boolean => pattern.split(NUMBER).length === 2

interface Parts {
  readonly before: string
  readonly digits: number
  readonly after: string
}

/** A pattern with its year written in, parted at the number. */
function partsOf(pattern: string, year: number): Parts {
  const dated = pattern.replace('YYYY', String(year)).replace('YY', String(year % 100).padStart(2, '0'))
  const digits = NUMBER.exec(dated)?.[0].length ?? 1
  const [before = '', after = ''] = dated.split(NUMBER)
  return { before, digits, after }
}

/** Returns the prefix of a year's serials, by which those in use are found. */
export const serialPrefix = (pattern: string, year: number): string => partsOf(pattern, year).before

/**
 * The next serials of a year, after the highest of those in use. A number that outgrows its digits grows longer.
 * @param used serials in use; those of other years and patterns do not count
 * @example nextSerials('YY-NNN', 2026, ['26-013', '25-200'], 2) // ['26-014', '26-015']
 */
export function nextSerials(pattern: string, year: number, used: Iterable<string>, count: number): string[] {
  const parts = partsOf(isSerialPattern(pattern) ? pattern : USUAL_SERIALS, year)
  const highest = highestOf(used, parts)
  return Array.from({ length: count }, (_, i) => written(parts, highest + 1 + i))
}

/**
 * Gives one serial after another, each after the highest of its year: for thousands of blades of many years, whose serials in use
 * are gone through once a year.
 */
export function serialGiver(pattern: string, used: readonly string[]): (year: number) => string {
  const given = new Map<string, number>()
  return year => {
    const parts = partsOf(isSerialPattern(pattern) ? pattern : USUAL_SERIALS, year)
    // Of a pattern without a year all years are one.
    const key = `${parts.before}\n${parts.after}`
    const number = (given.get(key) ?? highestOf(used, parts)) + 1
    given.set(key, number)
    return written(parts, number)
  }
}

const written = ({ before, digits, after }: Parts, number: number): string =>
  `${before}${String(number).padStart(digits, '0')}${after}`

function highestOf(used: Iterable<string>, { before, after }: Parts): number {
  let highest = 0
  for (const serial of used) {
    if (!serial.startsWith(before) || !serial.endsWith(after)) continue
    const middle = serial.slice(before.length, serial.length - after.length)
    if (/^\d+$/.test(middle)) highest = Math.max(highest, Number(middle))
  }
  return highest
}
