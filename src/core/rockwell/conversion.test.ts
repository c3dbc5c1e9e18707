import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { hrcFromHv, hvFromHrc, modelHrcFromHv } from './conversion'

describe('Rockwell C and Vickers', () => {
  // ASTM E140, Table 1 (non-austenitic steels), from memory.
  it.each([
    [68, 940],
    [65, 832],
    [60, 697],
    [55, 595],
    [50, 513],
    [40, 392],
    [20, 238],
  ])('%i HRC is %i HV', (hrc, hv) => {
    expect(hvFromHrc(hrc)).toBeCloseTo(hv, 6)
    expect(hrcFromHv(hv)).toBeCloseTo(hrc, 6)
  })

  it('has no conversion outside the table', () => {
    for (const hrc of [19.9, 68.1, Number.NaN]) expect(hvFromHrc(hrc)).toBeNull()
    for (const hv of [237, 941]) expect(hrcFromHv(hv)).toBeNull()
  })

  it('rises throughout, in the table and past it', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1200, noNaN: true }),
        fc.double({ min: 0.1, max: 50, noNaN: true }),
        (hv, more) => {
          expect(modelHrcFromHv(hv + more)).toBeGreaterThanOrEqual(modelHrcFromHv(hv))
        },
      ),
    )
  })

  it('comes back within a twentieth of a point', () => {
    fc.assert(
      fc.property(fc.double({ min: 20, max: 68, noNaN: true }), hrc => {
        expect(Math.abs((hrcFromHv(hvFromHrc(hrc) as number) as number) - hrc)).toBeLessThan(0.05)
      }),
    )
  })
})
