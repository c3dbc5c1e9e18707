import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { BOUNDS } from '../shop/bounds'
import { withEnd } from './target'

const was = { min: 59.5, max: 61 }

describe('a target typed end by end', () => {
  it('64, then 65 over 59.5 to 61 is 64 to 65', () => {
    const first = withEnd(was, { min: 64 }, BOUNDS.hrc)
    expect(first).toEqual({ min: 64, max: 65.5 })
    expect(withEnd(first, { max: 65 }, BOUNDS.hrc)).toEqual({ min: 64, max: 65 })
  })

  it('takes the lower end along when the upper is typed under it', () => {
    expect(withEnd(was, { max: 56 }, BOUNDS.hrc)).toEqual({ min: 54.5, max: 56 })
  })

  it('leaves the other end alone where the two are in order', () => {
    expect(withEnd(was, { min: 60 }, BOUNDS.hrc)).toEqual({ min: 60, max: 61 })
  })

  it('keeps what was typed, always', () => {
    const hrc = fc.double({ min: BOUNDS.hrc.min + 2, max: BOUNDS.hrc.max - 2, noNaN: true })
    fc.assert(
      fc.property(hrc, fc.boolean(), (typed, isMin) => {
        const { min, max } = withEnd(was, isMin ? { min: typed } : { max: typed }, BOUNDS.hrc)
        expect(isMin ? min : max).toBe(typed)
        expect(min).toBeLessThan(max)
      }),
    )
  })
})
