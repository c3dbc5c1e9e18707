/** How a log's time column is written. */
export type TimeFormat =
  | { readonly kind: 'iso' }
  | { readonly kind: 'date-time'; readonly dayFirst: boolean }
  | { readonly kind: 'clock' }
  | { readonly kind: 'number'; readonly secondsEach: number; readonly name: string }

const ISO = /^\d{4}-\d{1,2}-\d{1,2}[T ]\d{1,2}:\d{2}/
const DATE_TIME = /^(\d{1,4})[./-](\d{1,2})[./-](\d{2,4})[ T,;]+(\d{1,2}):(\d{2})(?::(\d{2}(?:[.,]\d+)?))?\s*([ap]m)?$/i
const CLOCK = /^(\d{1,4}):(\d{2})(?::(\d{2}(?:[.,]\d+)?))?\s*([ap]m)?$/i
/** Spreadsheet days between 1990 and 2080, unix seconds and milliseconds of the same span. */
const DAYS = [32_874, 65_746] as const
const UNIX_S = [631_152_000, 3_471_292_800] as const

const hours = (hour: number, half: string | undefined) =>
  half ? (hour % 12) + (half.toLowerCase() === 'pm' ? 12 : 0) : hour
const seconds = (text: string | undefined) => (text ? Number(text.replace(',', '.')) : 0)

/** Recognises a column of times from a sample of its cells and its heading; null where it is none. */
export function recogniseTimes(cells: readonly string[], heading: string): TimeFormat | null {
  const given = cells.map(cell => cell.trim()).filter(cell => cell !== '')
  if (given.length < 2) return null
  const most = (test: RegExp) => given.filter(cell => test.test(cell)).length > 0.8 * given.length
  if (most(ISO)) return { kind: 'iso' }
  if (most(DATE_TIME)) {
    const parts = given.flatMap(cell => {
      const match = DATE_TIME.exec(cell)
      return match ? [[Number(match[1]), Number(match[2])] as const] : []
    })
    // A number above 12 tells which is the day; where none does, the day is taken to come first.
    return { kind: 'date-time', dayFirst: !parts.some(([, second]) => second > 12) }
  }
  if (most(CLOCK)) return { kind: 'clock' }
  const numbers = given.map(cell => Number(cell.replace(',', '.')))
  if (numbers.some(n => !Number.isFinite(n))) return null
  const rising = numbers.slice(1).filter((n, i) => n >= (numbers[i] as number)).length
  if (rising < 0.9 * (numbers.length - 1)) return null
  const first = numbers[0] as number
  if (first >= UNIX_S[0] * 1000 && first <= UNIX_S[1] * 1000)
    return { kind: 'number', secondsEach: 0.001, name: 'milliseconds since 1970' }
  if (first >= UNIX_S[0] && first <= UNIX_S[1]) return { kind: 'number', secondsEach: 1, name: 'seconds since 1970' }
  if (first >= DAYS[0] && first <= DAYS[1] && numbers.some(n => !Number.isInteger(n)))
    return { kind: 'number', secondsEach: 86_400, name: 'spreadsheet days' }
  const looksLikeTime = /time|elapsed|sec|min|hour|zeit|temps|t\b|h\b/i.test(heading)
  if (!looksLikeTime && !numbers.every((n, i) => i === 0 || n > (numbers[i - 1] as number))) return null
  if (/\bms\b|milli/i.test(heading)) return { kind: 'number', secondsEach: 0.001, name: 'milliseconds' }
  if (/\bmin/i.test(heading)) return { kind: 'number', secondsEach: 60, name: 'minutes' }
  if (/\bh(ours?|rs?)?\b/i.test(heading)) return { kind: 'number', secondsEach: 3600, name: 'hours' }
  return { kind: 'number', secondsEach: 1, name: 'seconds' }
}

/** Seconds of one cell on its own clock; null where it cannot be read. `clock` starts again at midnight. */
export function readTime(cell: string, format: TimeFormat): number | null {
  const text = cell.trim()
  if (format.kind === 'number') {
    const n = Number(text.replace(',', '.'))
    return text !== '' && Number.isFinite(n) ? n * format.secondsEach : null
  }
  if (format.kind === 'iso') {
    // Read as if in UTC: only differences count, and a shift of summer time must not tear the log.
    const plain = text.replace(' ', 'T').replace(/(Z|[+-]\d{2}:?\d{2})$/, '')
    const ms = Date.parse(`${plain.length === 16 ? `${plain}:00` : plain}Z`)
    return Number.isNaN(ms) ? null : ms / 1000
  }
  if (format.kind === 'clock') {
    const match = CLOCK.exec(text)
    return match ? hours(Number(match[1]), match[4]) * 3600 + Number(match[2]) * 60 + seconds(match[3]) : null
  }
  const match = DATE_TIME.exec(text)
  if (!match) return null
  const [a, b, c] = [Number(match[1]), Number(match[2]), Number(match[3])]
  const [year, month, day] = a > 31 ? [a, b, c] : format.dayFirst ? [c, b, a] : [c, a, b]
  const full = year < 100 ? 2000 + year : year
  const ms = Date.UTC(full, month - 1, day, hours(Number(match[4]), match[7]), Number(match[5]))
  return Number.isNaN(ms) || month < 1 || month > 12 ? null : ms / 1000 + seconds(match[6])
}
