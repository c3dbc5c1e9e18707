import { describe, expect, it } from 'vitest'
import { rateOf } from './rate'

describe('a rate with its interval', () => {
  // Wilson's score interval at 95 %; Agresti and Coull (1998) and standard tables, from memory.
  it.each([
    [0, 10, 0, 0.2775],
    [5, 10, 0.2366, 0.7634],
    [1, 5, 0.0362, 0.6245],
    [10, 10, 0.7225, 1],
  ])('%i of %i lies from %f to %f', (count, of, from, to) => {
    const rate = rateOf(count, of)
    expect(rate.share).toBe(count / of)
    expect(rate.from).toBeCloseTo(from, 3)
    expect(rate.to).toBeCloseTo(to, 3)
  })

  it('is anything where nothing was tried', () => {
    expect(rateOf(0, 0)).toEqual({ share: 0, from: 0, to: 1 })
  })
})
