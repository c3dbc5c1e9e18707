import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { CHANGE_SD } from '../../data/change-error'
import { narrowingsOf } from './narrowing'

const estimate = (mean: number, sd: number) => ({ mean, sd })

describe('readings that would narrow a prediction', () => {
  it('combine two independent normal estimates, worked by hand', () => {
    // Tester 0.5 and one reading 0.5; a change of 3 HRC is known to 0.75, and to 0.25 at the least: u = 1.061, with s = 1.1: 0.7636.
    const [one] = narrowingsOf(estimate(63, 1.2), estimate(60, 1.1))
    expect(one?.by).toBe('one-reading')
    const u = Math.hypot(0.5, 0.5, CHANGE_SD.floor, 3 * CHANGE_SD.share)
    expect(one?.sd).toBeCloseTo((1.1 * u) / Math.hypot(1.1, u), 12)
    expect(one?.sd).toBeCloseTo(0.7636, 3)
  })

  it('never widen it, more readings narrow it more, and what hardly helps is not offered', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 8, noNaN: true }),
        (sd, drop) => {
          const ways = narrowingsOf(estimate(60 + drop, sd), estimate(60, sd))
          const sds = ways.map(way => way.sd)
          expect([...sds].sort((a, b) => b - a)).toEqual(sds)
          for (const narrowed of sds) expect(narrowed).toBeLessThan(0.9 * sd)
        },
      ),
    )
    expect(narrowingsOf(estimate(61, 0.2), estimate(60, 0.2))).toEqual([])
  })
})
