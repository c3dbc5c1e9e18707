import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { hollomonJaffe } from '../steel/tempering'
import type { LogPoint } from './log-points'
import { type AfterTemperRequest, afterTemper } from './logged-temper'
import { temperLagS } from './temper-lag'

/** An oven held steady while a log runs. */
const steady = (c: number, minutes: number): LogPoint[] => Array.from({ length: minutes + 1 }, (_, i) => [i, c])
const base: AfterTemperRequest = {
  points: steady(200, 140),
  trueC: c => c,
  asked: { atC: 200, holdMin: 120 },
  thicknessMm: 3,
  hWPerM2K: 25,
  inMin: null,
  outMin: null,
}

describe('a temper as it was measured', () => {
  it('has the blade arrive as the lumped equation with the walls’ glow has it, in far smaller steps', () => {
    // ρc(t/2)·dT/dt = h·ΔT + εσ·Δ(T⁴), ρ 7700, c 490, h 25, ε 0.3, 3 mm, from 20 to within 5 K of 200 °C, by Euler at 0.05 s.
    let [c, s] = [20, 0]
    while (c < 195) {
      const glow = 0.3 * 5.670374e-8 * (473.15 ** 4 - (c + 273.15) ** 4)
      c += (0.05 * (25 * (200 - c) + glow)) / (7700 * 490 * 0.0015)
      s += 0.05
    }
    expect(Math.abs((afterTemper(base).arrivedMin ?? 0) * 60 - s)).toBeLessThan(32)
    expect(temperLagS(3, 200, 25)).toBeGreaterThan(s)
  })

  it('is worth the hold it had, a little less than the time in the oven', () => {
    const { effectiveMin, overshootK, aboveMin } = afterTemper(base)
    expect(effectiveMin).toBeGreaterThan(140 - 13.5)
    expect(effectiveMin).toBeLessThan(140 - 5)
    expect(overshootK).toBe(0)
    expect(aboveMin).toBe(0)
  })

  it('adds by the tempering parameter: 10 K too hot for two hours is worth over five hours at 200 °C', () => {
    // Hollomon and Jaffe (1945), constant 20, by hand: 483.15·(20 + log10 2)/473.15 − 20 = 0.7301, 10^0.7301 = 5.37 h; at 220 °C 14.43 h.
    const hours = (c: number) =>
      afterTemper({ ...base, points: steady(c, 600), thicknessMm: 0.5, inMin: 0, outMin: 120 }).effectiveMin / 60
    expect(hours(210)).toBeGreaterThan(5.37 * 0.95)
    expect(hours(210)).toBeLessThan(5.37)
    expect(hours(220)).toBeGreaterThan(14.43 * 0.95)
    expect(hours(220)).toBeLessThan(14.43)
  })

  it('keeps the parameter of what happened in the dose it gives back (law)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 150, max: 260 }), { minLength: 4, maxLength: 30 }),
        fc.integer({ min: 1, max: 8 }),
        (temperatures, thicknessMm) => {
          const points = temperatures.map((c, i): LogPoint => [i * 10, c])
          const { dose, effectiveMin } = afterTemper({
            ...base,
            points,
            thicknessMm,
            inMin: 0,
            outMin: temperatures.length * 10,
          })
          expect(hollomonJaffe(dose.atC, dose.holdMin / 60)).toBeCloseTo(hollomonJaffe(200, effectiveMin / 60), 9)
        },
      ),
      { numRuns: 60 },
    )
  })

  it('finds the door and the end, and believes the correction', () => {
    const points: LogPoint[] = [
      [0, 20],
      [18, 201],
      [25, 200],
      [26, 168],
      [32, 200],
      [150, 200],
      [160, 120],
    ]
    expect(afterTemper({ ...base, points })).toMatchObject({ inMin: 25, outMin: 150 })
    const cold = afterTemper({ ...base, points, trueC: c => c - 12 })
    expect(cold.arrivedMin).toBeNull()
    expect(cold.effectiveMin).toBeLessThan(60)
  })

  it('is not taken in by an oven that swings before blades go in', () => {
    const swing = (min: number) => 200 + 14 * Math.cos(min) * Math.exp(-min / 20)
    const points = Array.from({ length: 301 }, (_, i): LogPoint => {
      const min = i / 2
      const door = min > 30 && min < 36 ? -25 * Math.exp(-(min - 30) / 2) : 0
      return [min, min < 10 ? 20 + 18 * min : swing(min - 10) + door]
    })
    expect(Math.abs(afterTemper({ ...base, points }).inMin - 30)).toBeLessThan(1.5)
  })

  it('finds the end of a temper held far below what was asked', () => {
    const points = [...steady(170, 120), [130, 90] as const]
    expect(afterTemper({ ...base, points }).outMin).toBe(120)
  })

  it('of a blade that never got warm is worth nothing', () => {
    expect(afterTemper({ ...base, points: steady(60, 120) })).toMatchObject({ arrivedMin: null, effectiveMin: 0 })
  })
})
