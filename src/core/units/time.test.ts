import { differenceInMinutes } from 'date-fns'
import { describe, expect, it } from 'vitest'
import { outward, rounded, roundTo } from '../numeric/round'
import { dayOfMinute, dayStartMin, fullHours, minutesBetween } from './time'

describe('time in minutes of a plan', () => {
  it('agrees with a library of dates', () => {
    const [from, to] = [new Date('2026-03-02T08:00:00Z'), new Date('2026-03-03T17:25:00Z')]
    expect(minutesBetween(from.getTime(), to.getTime())).toBe(differenceInMinutes(to, from))
  })

  it('puts midnight into the day that begins', () => {
    expect([1439, 1440, 2879].map(dayOfMinute)).toEqual([0, 1, 1])
    expect(dayStartMin(2)).toBe(2880)
  })

  it('names each full hour, every second one over a long day', () => {
    expect(fullHours(480, 660)).toEqual([480, 540, 600, 660])
    expect(fullHours(0, 1440)).toHaveLength(13)
  })
})

describe('rounding', () => {
  it('goes to a step, to decimals, and outward', () => {
    expect([roundTo(1149, 100), rounded(60.25, 1), rounded(-0.04, 1)]).toEqual([1100, 60.3, -0])
    expect(outward({ min: 961, max: 1101 }, 20)).toEqual({ min: 960, max: 1120 })
  })
})
