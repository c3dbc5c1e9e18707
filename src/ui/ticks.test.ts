import fc from 'fast-check'
import { expect, it } from 'vitest'
import { decimalsOf, minuteTicks, temperatureTicks } from './ticks'

it('gives round hours over a long log and round minutes over a short one', () => {
  expect(minuteTicks(173, 3).map(t => t.label)).toEqual(['0 h', '1 h', '2 h'])
  expect(minuteTicks(38, 8).map(t => t.label)).toEqual([0, 5, 10, 15, 20, 25, 30, 35].map(m => `${m} min`))
})

it('is round in the scale that is shown, and lies where it says', () => {
  expect(temperatureTicks(20, 1100, 6, 'metric').map(t => t.value)).toEqual([200, 400, 600, 800, 1000])
  for (const { value, c } of temperatureTicks(20, 1100, 6, 'imperial')) {
    expect(value % 100).toBe(0)
    expect(c * 1.8 + 32).toBeCloseTo(value, 9)
  }
})

it('is never more than asked by one, in order, and inside (law)', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -200, max: 900, noNaN: true }),
      fc.double({ min: 20, max: 1300, noNaN: true }),
      fc.integer({ min: 2, max: 10 }),
      fc.constantFrom('metric' as const, 'imperial' as const),
      (fromC, spanC, most, system) => {
        const ticks = temperatureTicks(fromC, fromC + spanC, most, system)
        expect(ticks.length).toBeLessThanOrEqual(most + 1)
        ticks.forEach(({ c }, i) => {
          expect(c).toBeGreaterThanOrEqual(fromC - 1e-6)
          expect(c).toBeLessThanOrEqual(fromC + spanC + 1e-6)
          if (i > 0) expect(c).toBeGreaterThan(ticks[i - 1]?.c ?? 0)
        })
      },
    ),
  )
})

it('writes the figures of an axis in full and alike', () => {
  expect(decimalsOf([0, 200, 400])).toBe(0)
  expect(decimalsOf([58, 58.5, 59])).toBe(1)
  expect(decimalsOf([0, 2.5, 5])).toBe(1)
  // As a computer adds: a third figure of 0.1 is 0.30000000000000004.
  expect(decimalsOf([0.1, 0.2, 0.1 + 0.2])).toBe(1)
  expect(decimalsOf([7])).toBe(0)
  expect(decimalsOf([])).toBe(0)
})
