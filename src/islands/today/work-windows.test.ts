import { afterAll, beforeAll, expect, it } from 'vitest'
import { USUAL_HOURS } from '../../core/shop/hours'
import { workWindows } from './work-windows'

const zone = process.env.TZ
beforeAll(() => {
  process.env.TZ = 'Europe/Berlin'
})
afterAll(() => {
  process.env.TZ = zone
})

it('takes each day’s own hours, and those set for one date before them', () => {
  const hours = { ...USUAL_HOURS, days: { '2026-03-03': [[600, 1500] as const] } }
  // A Saturday, a Sunday of rest, Monday, and a Tuesday that goes on past midnight.
  expect(workWindows(hours, new Date(2026, 1, 28, 13), 4)).toEqual([
    [480, 1080],
    [2 * 1440 + 480, 2 * 1440 + 1080],
    [3 * 1440 + 600, 3 * 1440 + 1500],
  ])
})

it('goes by the clock on the wall when it is put forward and back', () => {
  const daily = { ...USUAL_HOURS, week: Array.from({ length: 7 }, () => [[480, 1080] as const]) }
  // Summer time of the EU began on 29 March 2026 and ended on 25 October: a day of 23 hours, one of 25.
  expect(workWindows(daily, new Date(2026, 2, 28), 2)[1]).toEqual([1440 + 420, 1440 + 1020])
  expect(workWindows(daily, new Date(2026, 9, 24), 2)[1]).toEqual([1440 + 540, 1440 + 1140])
})
