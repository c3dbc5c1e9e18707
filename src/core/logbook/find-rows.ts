import type { LogRow } from './logbook'

/** A range of hardness as it is typed: '58..60', '60', in HRC. */
const HARDNESS = /^(\d{2}(?:[.,]\d)?)(?:\.\.(\d{2}(?:[.,]\d)?))?$/

const plainText = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

/**
 * Rows of which every typed word is noted somewhere; a number alone is a hardness, which a reading rounds to, and two with dots
 * between them are a range of it; a date is the beginning of one, '2026-05'.
 */
export function findRows(rows: readonly LogRow[], text: string): LogRow[] {
  const words = plainText(text.trim()).split(/\s+/).filter(Boolean)
  if (words.length === 0) return [...rows]
  const tests = words.map(word => {
    const [, from, to] = HARDNESS.exec(word) ?? []
    const number = (of: string) => Number(of.replace(',', '.'))
    if (from && to) return (row: LogRow) => row.hrc >= number(from) - 0.05 && row.hrc <= number(to) + 0.05
    if (from) {
      const half = /[.,]/.test(from) ? 0.05 : 0.5
      return (row: LogRow, said: string) => Math.abs(row.hrc - number(from)) < half || said.includes(word)
    }
    return (_row: LogRow, said: string) => said.includes(word)
  })
  return rows.filter(row => {
    const { at, batch, mark, serial, gradeName, inTarget, about } = row
    const said = plainText(
      [at.slice(0, 10), batch, mark, serial, gradeName, inTarget ? 'in' : 'out', ...about].join(' '),
    )
    return tests.every(test => test(row, said))
  })
}
