import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { onFace, roundFaceCorrection } from './round-face'

const added = (hrc: number, mm: number) => {
  const result = roundFaceCorrection(hrc, mm)
  return result.ok ? result.value : result.problems[0]?.code
}

describe('a reading on a round face', () => {
  it('gets what ASTM E18 adds on a convex cylinder (from memory): 1/4 and 1/2 in at 60 and 40 HRC', () => {
    expect(added(60, 6.35)).toBe(1.5)
    expect(added(60, 12.7)).toBe(1)
    expect(added(40, 12.7)).toBe(2)
    expect(added(30, 25.4)).toBe(1)
  })

  it('gets nothing where it is nearly flat', () => {
    expect(added(60, 38.1)).toBe(0)
    expect(added(45, 200)).toBe(0)
  })

  it('is refused where no table goes, or more than 3 HRC would be added', () => {
    expect(added(60, 5)).toBe('too-round')
    expect(added(25, 6.35)).toBe('too-much-added')
    expect(added(15, 20)).toBe('too-soft-for-round')
  })

  it('is recorded with what was shown; one that cannot be corrected records none of them', () => {
    const read = onFace([58.5, 59], 12.7)
    expect(read.ok && read.value).toEqual([
      { hrc: 59.5, roundFace: { diameterMm: 12.7, shownHrc: 58.5 } },
      { hrc: 60, roundFace: { diameterMm: 12.7, shownHrc: 59 } },
    ])
    expect(onFace([60, 22], 8).ok).toBe(false)
    expect(onFace([60], null)).toEqual({ ok: true, value: [{ hrc: 60 }] })
  })

  it('is never less for a rounder or a softer face, and never leaves the table’s range (law)', () => {
    const hrc = fc.double({ min: 45, max: 70, noNaN: true })
    const mm = fc.double({ min: 6.35, max: 60, noNaN: true })
    fc.assert(
      fc.property(hrc, mm, fc.double({ min: 0, max: 10, noNaN: true }), (h, d, more) => {
        const here = Number(added(h, d))
        expect(here).toBeGreaterThanOrEqual(0)
        expect(here).toBeLessThanOrEqual(3)
        expect(Number(added(h, d + more))).toBeLessThanOrEqual(here + 1e-9)
        expect(Number(added(h + more, d))).toBeLessThanOrEqual(here + 1e-9)
      }),
    )
  })
})
