import { describe, expect, it } from 'vitest'
import { calendarOf } from './calendar'

describe('hands at work', () => {
  const calendar = calendarOf([
    [480, 720],
    [780, 1020],
    [1920, 2460],
  ])
  it.each([
    [0, 5, 480],
    [481, 5, 485],
    [700, 30, 780],
    [1000, 20, 1000],
    [1005, 20, 1920],
    [2445, 15, 2445],
    [2450, 15, Number.POSITIVE_INFINITY],
  ])('from minute %i a task of %i min starts at %i', (from, length, start) => {
    expect(calendar.nextStart(from, length)).toBe(start)
  })

  it('gives an oven time to heat after a night, but not after lunch', () => {
    expect(calendar.nextStart(0, 5, 40)).toBe(520)
    expect(calendar.nextStart(730, 5, 40)).toBe(780)
    expect(calendar.nextStart(1020, 5, 40)).toBe(1960)
  })

  it('joins windows that overlap, and knows none that is empty', () => {
    const odd = calendarOf([
      [600, 500],
      [480, 700],
      [690, 800],
    ])
    expect(odd.nextStart(690, 60)).toBe(690)
    expect(odd.endMin).toBe(800)
    expect(calendarOf([]).nextStart(0, 5)).toBe(Number.POSITIVE_INFINITY)
  })

  it('lets what was done before now stand whenever it was done', () => {
    const late = calendarOf([[480, 1020]], 300)
    expect(late.nextStart(100, 0)).toBe(100)
    expect(late.nextStart(300, 5)).toBe(480)
  })
})
