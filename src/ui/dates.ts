import { once } from '../core/numeric/once'
import type { Workshop } from '../core/shop/workshop'

// Made with the first date that is shown: making one takes a slow tablet tens of milliseconds.
const month = once(() => new Intl.DateTimeFormat('en', { month: 'short' }))
const weekday = once(() => new Intl.DateTimeFormat('en-GB', { weekday: 'long', day: 'numeric', month: 'long' }))
const agoIn = once(() => new Intl.RelativeTimeFormat('en'))

type Hours = NonNullable<Workshop['clock']>
let set: Hours | undefined
const ofLanguage = once(
  (): Hours => (new Intl.DateTimeFormat(undefined, { hour: 'numeric' }).resolvedOptions().hour12 ? '12' : '24'),
)

/** Takes the hours a workshop set; undefined: those of the browser's language. */
export const setClock = (hours: Hours | undefined): void => {
  set = hours
}

/** The wall's clock: '14:06', or '2:06 pm'. */
export function clock(date: Date): string {
  const [h, m] = [date.getHours(), String(date.getMinutes()).padStart(2, '0')]
  return (set ?? ofLanguage()) === '24'
    ? `${String(h).padStart(2, '0')}:${m}`
    : `${h % 12 === 0 ? 12 : h % 12}:${m} ${h < 12 ? 'am' : 'pm'}`
}

/** An instant as a day and time: '3 Mar, 14:06'; with the year when it is not this one. */
export function format(instant: string): string {
  const date = new Date(instant)
  return date.getFullYear() === new Date().getFullYear()
    ? `${day(instant)}, ${clock(date)}`
    : `${day(instant)} ${date.getFullYear()}`
}

/** Today, in full: 'Saturday, 28 November'. */
export const today = (): string => weekday().format(new Date())

/** The day alone, short: '3 Mar'. */
export function day(instant: string): string {
  const date = new Date(instant)
  return `${date.getDate()} ${month().format(date)}`
}

/** Units of time with how many seconds each has, and up to how many of it are counted before the next is. */
const UNITS = [
  ['second', 1, 60],
  ['minute', 60, 60],
  ['hour', 3600, 24],
  ['day', 86_400, 30],
  ['month', 2_629_746, 12],
] as const
const YEAR_S = 31_556_952

/** How long ago: '3 days ago'. */
export function ago(instant: string): string {
  const seconds = Math.max(0, (Date.now() - Date.parse(instant)) / 1000)
  const unit = UNITS.find(([, each, most]) => Math.round(seconds / each) < most)
  return unit
    ? agoIn().format(-Math.round(seconds / unit[1]), unit[0])
    : agoIn().format(-Math.round(seconds / YEAR_S), 'year')
}
