import { describe, expect, it } from 'vitest'
import { ovenHoursOf } from './oven-time'
import type { Phase, Stretch } from './timeline'

/** A plan of stretches one after another, by what they are and how long they last, min. */
const planOf = (...parts: readonly (readonly [Phase, number])[]): Stretch[] => {
  let startMin = 0
  return parts.map(([phase, minutes]) => {
    const stretch: Stretch = { phase, station: 'heat', startMin, endMin: startMin + minutes, points: [], note: null }
    startMin += minutes
    return stretch
  })
}

describe('the time a plan takes the oven', () => {
  it('is its climb, the soak and every temper, and nothing that is done outside', () => {
    const heat = planOf(
      ['room', 0],
      ['ramp', 70],
      ['equalise', 10],
      ['soak', 20],
      ['quench', 6],
      ['chill', 20],
      ['cold', 60],
    )
    expect(ovenHoursOf(heat)).toBeCloseTo(100 / 60)
    const tempers = planOf(
      ['temper-ramp', 20],
      ['temper', 120],
      ['cool', 40],
      ['temper-ramp', 20],
      ['temper', 120],
      ['cool', 40],
    )
    expect(ovenHoursOf(tempers)).toBeCloseTo(280 / 60)
    expect(ovenHoursOf([...heat, ...tempers])).toBeCloseTo(380 / 60)
    expect(ovenHoursOf([])).toBe(0)
  })
})
