import { describe, expect, it } from 'vitest'
import { meanDifference, neededEach, rateDifference, shownBy } from './two-means'

describe('two means', () => {
  it('are Student’s sleep data by Welch', () => {
    // Student (1908), Cushny and Peebles' sleep; t −1.8608, df 17.776, p 0.0794, interval −3.365 to 0.205: printed by statistics packages, from memory.
    const first = [0.7, -1.6, -0.2, -1.2, -0.1, 3.4, 3.7, 0.8, 0, 2]
    const second = [1.9, 0.8, 1.1, 0.1, -0.1, 4.4, 5.5, 1.6, 4.6, 3.4]
    const found = meanDifference(first, second)
    expect(found?.difference).toBeCloseTo(1.58, 6)
    expect(found?.from).toBeCloseTo(-0.2055, 3)
    expect(found?.to).toBeCloseTo(3.3655, 3)
    expect(found?.p).toBeCloseTo(0.0794, 4)
  })

  it('are not told apart with one value on a side, or where nothing scatters', () => {
    expect(meanDifference([60], [59, 58])).toBeNull()
    expect(meanDifference([60, 60], [59, 59])).toBeNull()
  })

  // Cohen (1988), table of n at 5 % two-sided and a power of 0.8, from memory.
  it.each([
    [2, 6],
    [1, 17],
    [0.8, 26],
    [0.5, 64],
  ])('a difference of %f standard deviations takes %i on each side', (d, n) => {
    expect(neededEach(d, 1)).toBe(n)
  })

  it('show less the fewer there are', () => {
    expect(shownBy(3, 0.4)).toBeGreaterThan(shownBy(6, 0.4))
    expect(shownBy(1, 0.4)).toBe(Number.POSITIVE_INFINITY)
  })
})

describe('two rates', () => {
  it('are Newcombe’s example', () => {
    // Newcombe (1998), table II, 56/70 against 48/80: 0.2, from 0.0524 to 0.3339, from memory.
    const found = rateDifference({ count: 48, of: 80 }, { count: 56, of: 70 })
    expect(found.difference).toBeCloseTo(0.2, 9)
    expect(found.from).toBeCloseTo(0.0524, 4)
    expect(found.to).toBeCloseTo(0.3339, 4)
  })
})
