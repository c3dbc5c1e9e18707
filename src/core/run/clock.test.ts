import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { RunClock } from '../shop/run'
import { jumpBetween, mendedClock, realMsAt, runSecondsAt, type Tick, withLeg } from './clock'

const MINUTE = 60_000
const START_MS = Date.parse('2026-03-29T00:30:00.000Z')
const begun: RunClock = [{ realMs: START_MS, runS: 0, speed: 1 }]

/** Event of a computer's clocks: it is set, or it sleeps and its steady clock stands still. */
interface Happening {
  readonly atMin: number
  readonly kind: 'set' | 'sleep'
  /** By how much it is set, or how long it sleeps, min. */
  readonly min: number
}

/** A run watched through a morning at four ticks a second: what its clock says against what really passed, s. */
function drive(
  happenings: readonly Happening[],
  untilMin: number,
): { readonly worstS: number; readonly asked: number } {
  let clock = begun
  let [trueMs, wallMs, steadyMs] = [0, START_MS, 5000]
  let before: Tick = { wallMs, steadyMs }
  let [worstS, asked] = [0, 0]
  const left = [...happenings]
  while (trueMs < untilMin * MINUTE) {
    const next = left[0]
    if (next && trueMs >= next.atMin * MINUTE) {
      left.shift()
      wallMs += next.min * MINUTE
      if (next.kind === 'sleep') trueMs += next.min * MINUTE
    }
    trueMs += 250
    wallMs += 250
    steadyMs += 250
    const now = { wallMs, steadyMs }
    const jump = jumpBetween(before, now)
    if (jump.kind === 'set-back') clock = mendedClock(clock, before, now)
    if (jump.kind === 'ahead') {
      asked++
      // Only the person knows: they say whether it slept or was set.
      if (next?.kind === 'set') clock = mendedClock(clock, before, now)
    }
    before = now
    worstS = Math.max(worstS, Math.abs(runSecondsAt(clock, wallMs) - trueMs / 1000))
  }
  return { worstS, asked }
}

describe('the clock of a run', () => {
  it('goes right through an hour back, three hours forward and 40 minutes of sleep', () => {
    const { worstS, asked } = drive(
      [
        { atMin: 5, kind: 'set', min: -60 },
        { atMin: 20, kind: 'set', min: 180 },
        { atMin: 30, kind: 'sleep', min: 40 },
      ],
      120,
    )
    expect(worstS).toBeLessThan(1)
    expect(asked).toBe(2)
  })

  it('does not know of summer time: instants are counted, not hours of the day', () => {
    // 01:00 UTC on 2026-03-29 is when clocks in Europe go from 2 to 3 (EU directive 2000/84/EC).
    expect(drive([], 60)).toEqual({ worstS: expect.closeTo(0, 3), asked: 0 })
  })

  it('goes right whatever is set and however often (law)', () => {
    const happening = fc.record({
      atMin: fc.integer({ min: 1, max: 50 }),
      kind: fc.constantFrom('set' as const, 'sleep' as const),
      min: fc.integer({ min: 1, max: 300 }),
    })
    fc.assert(
      fc.property(fc.array(happening, { maxLength: 4 }), fc.boolean(), (happenings, back) => {
        const signed = happenings
          .map(one => (one.kind === 'set' && back ? { ...one, min: -one.min } : one))
          .sort((a, b) => a.atMin - b.atMin)
        return drive(signed, 60).worstS < 1
      }),
      { numRuns: 25 },
    )
  })

  it('takes a slow page for what it is', () => {
    const at = (wallMs: number, steadyMs: number): Tick => ({ wallMs, steadyMs })
    expect(jumpBetween(at(0, 0), at(9000, 9000)).kind).toBe('even')
    expect(jumpBetween(at(0, 0), at(9000, 1000)).kind).toBe('even')
    expect(jumpBetween(at(0, 0), at(-2000, 250))).toEqual({ kind: 'set-back', byS: 2.25 })
    expect(jumpBetween(at(0, 0), at(90_250, 250))).toEqual({ kind: 'ahead', byS: 90 })
  })

  it('keeps time through changes of speed, and tells the instant of any second', () => {
    const fast = withLeg(withLeg([{ realMs: 0, runS: 0, speed: 1 }], 10_000, 10, 600), 11_000, 610, 1)
    expect(runSecondsAt(fast, 12_000)).toBe(611)
    expect([5, 310, 610, 611].map(s => realMsAt(fast, s))).toEqual([5000, 10_500, 11_000, 12_000])
    // Set back under a closed page: the newest leg counts, and nothing runs backward.
    expect(runSecondsAt(fast, 3000)).toBe(610)
  })
})
