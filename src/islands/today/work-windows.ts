import { addDays } from 'date-fns/addDays'
import { format } from 'date-fns/format'
import { startOfDay } from 'date-fns/startOfDay'
import { hoursOn, type Presence } from '../../core/shop/hours'
import { minutesBetween } from '../../core/units/time'

/** A day is told by its date: '2026-03-02'. */
export const dateOf = (date: Date): string => format(date, 'yyyy-MM-dd')

/** Monday 0 to Sunday 6. */
export const weekdayOf = (date: Date): number => (date.getDay() + 6) % 7

/**
 * When hands are at work on some days from a midnight on, min from it. Hours are those of the clock on the wall: a day on which
 * it is put forward or back is an hour shorter or longer.
 */
export function workWindows(hours: Presence, from: Date, days: number): [fromMin: number, toMin: number][] {
  const origin = startOfDay(from)
  return Array.from({ length: days }, (_, i) => addDays(origin, i)).flatMap(day =>
    hoursOn(hours, dateOf(day), weekdayOf(day)).map(([start, end]): [number, number] => [
      minutesTo(origin, onWall(day, start)),
      minutesTo(origin, onWall(day, end)),
    ]),
  )
}

/** The instant at which the wall's clock shows so many minutes of a day. */
const onWall = (day: Date, minutes: number): Date =>
  new Date(day.getFullYear(), day.getMonth(), day.getDate(), 0, minutes)

const minutesTo = (origin: Date, instant: Date): number => minutesBetween(origin.getTime(), instant.getTime())
