import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { ago, clock, day, format, setClock } from './dates'

beforeEach(() => {
  vi.useFakeTimers({ now: new Date(2031, 2, 3, 14, 6) })
})
afterEach(() => void vi.useRealTimers())

const before = (seconds: number) => new Date(Date.now() - seconds * 1000).toISOString()

test('a clock has the hours a workshop set, noon and midnight among them, and else those of the language', () => {
  const times = [new Date(2031, 2, 3, 0, 5), new Date(2031, 2, 3, 12, 0), new Date(2031, 2, 3, 14, 6)]
  setClock('12')
  expect(times.map(clock)).toEqual(['12:05 am', '12:00 pm', '2:06 pm'])
  setClock('24')
  expect(times.map(clock)).toEqual(['00:05', '12:00', '14:06'])
  setClock(undefined)
  expect(times.map(clock)[2]).toMatch(/^(14:06|2:06 pm)$/)
})

test('an instant of this year has its time, another its year', () => {
  setClock('24')
  expect(format(before(0))).toBe('3 Mar, 14:06')
  expect(format(new Date(2030, 11, 31, 9, 5).toISOString())).toBe('31 Dec 2030')
  expect(day(new Date(2031, 8, 9).toISOString())).toBe('9 Sep')
})

test.each([
  [0, '0 seconds ago'],
  [59, '59 seconds ago'],
  [60, '1 minute ago'],
  [59.4 * 60, '59 minutes ago'],
  [59.6 * 60, '1 hour ago'],
  [23.6 * 3600, '1 day ago'],
  [14 * 86_400, '14 days ago'],
  [29.7 * 86_400, '1 month ago'],
  [364 * 86_400, '1 year ago'],
  [3 * 365.25 * 86_400, '3 years ago'],
])('%d s ago is said as %s', (seconds, said) => {
  expect(ago(before(seconds))).toBe(said)
})

test('a clock that was put back is no time in the future', () => {
  expect(ago(before(-30))).toBe('0 seconds ago')
})
