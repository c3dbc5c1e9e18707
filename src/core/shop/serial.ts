import type { SerialBlock } from './serial-block'

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

const serialParts = (pattern: string, year: number): Parts =>
  partsOf(isSerialPattern(pattern) ? pattern : USUAL_SERIALS, year)

/** Returns the prefix of a year's serials, by which those in use are found. */
export const serialPrefix = (pattern: string, year: number): string => partsOf(pattern, year).before

/** Numbers in a block: what some trays need, so that few of them are ever missing from a year. */
const BLOCK = 50

/** Returns a block of the numbers after all that are in use and all that were given to a screen before. */
export function nextBlock(pattern: string, year: number, used: Iterable<string>, givenTo: number): SerialBlock {
  const parts = serialParts(pattern, year)
  const from = Math.max(highestOf(used, parts), givenTo) + 1
  return { prefix: parts.before, from, to: from + BLOCK - 1 }
}

/** Returns the numbers of blocks that are left: in each those after the highest in use. */
export function leftInBlocks(
  pattern: string,
  year: number,
  used: Iterable<string>,
  blocks: readonly SerialBlock[],
): number[] {
  const parts = serialParts(pattern, year)
  const numbers = [...numbersOf(used, parts)]
  return blocks
    .filter(block => block.prefix === parts.before)
    .flatMap(({ from, to }) => {
      const first = Math.max(from, ...numbers.filter(n => n >= from && n <= to).map(n => n + 1))
      return Array.from({ length: Math.max(0, to + 1 - first) }, (_, i) => first + i)
    })
}

/**
 * The next serials of a year: of the blocks that are this screen’s own, then after the highest of those in use. A number that outgrows
 * its digits grows longer.
 * @param used serials in use; those of other years and patterns do not count
 * @example nextSerials('YY-NNN', 2026, ['26-013', '25-200'], 2) // ['26-014', '26-015']
 */
export function nextSerials(
  pattern: string,
  year: number,
  used: Iterable<string>,
  count: number,
  blocks: readonly SerialBlock[] = [],
): string[] {
  const parts = serialParts(pattern, year)
  const all = [...used]
  const own = leftInBlocks(pattern, year, all, blocks).slice(0, count)
  const after = Math.max(highestOf(all, parts), ...own)
  return [...own, ...Array.from({ length: count - own.length }, (_, i) => after + 1 + i)].map(n => written(parts, n))
}

/**
 * Gives one serial after another, each after the highest of its year: for thousands of blades of many years, whose serials in use
 * are gone through once a year.
 */
export function serialGiver(pattern: string, used: readonly string[]): (year: number) => string {
  const given = new Map<string, number>()
  return year => {
    const parts = serialParts(pattern, year)
    // Of a pattern without a year all years are one.
    const key = `${parts.before}\n${parts.after}`
    const number = (given.get(key) ?? highestOf(used, parts)) + 1
    given.set(key, number)
    return written(parts, number)
  }
}

const written = ({ before, digits, after }: Parts, number: number): string =>
  `${before}${String(number).padStart(digits, '0')}${after}`

function* numbersOf(used: Iterable<string>, { before, after }: Parts): Generator<number> {
  for (const serial of used) {
    if (!serial.startsWith(before) || !serial.endsWith(after)) continue
    const middle = serial.slice(before.length, serial.length - after.length)
    if (/^\d+$/.test(middle)) yield Number(middle)
  }
}

function highestOf(used: Iterable<string>, parts: Parts): number {
  let highest = 0
  for (const number of numbersOf(used, parts)) highest = Math.max(highest, number)
  return highest
}
