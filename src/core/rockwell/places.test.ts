import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { indentRules } from './indent'
import { checkPlace, hiddenPlaces, onBevel, thicknessAt, wedgeDeg } from './places'

const blade = { lengthMm: 250, widthMm: 40, thicknessMm: 2.5, bevels: 'pre-ground' as const }
const codes = (xMm: number, yMm: number, others: { xMm: number; yMm: number }[] = [], more = {}) =>
  checkPlace({ ...blade, ...more }, { xMm, yMm }, others, 60).map(t => t.code)

describe('where a reading may be taken', () => {
  it('is on a flat, away from edges and other indents', () => {
    expect(codes(40, 10)).toEqual([])
    expect(codes(40, 1.8)).toContain('edge')
    expect(codes(40, 10, [{ xMm: 40.8, yMm: 10 }])).toEqual(['near'])
    expect(codes(150, 32)).toContain('bevel')
    expect(codes(150, 32, [], { bevels: 'full' })).not.toContain('bevel')
    expect(codes(249, 1)).toEqual(['beside-blade'])
  })

  it('is not where a tapered tang is thinner than ten depths: 0.8 mm at 60 HRC (ISO 6508-1)', () => {
    const tapered = { ...blade, tangThicknessMm: 0.5 }
    expect(thicknessAt(tapered, { xMm: 0, yMm: 10 })).toBe(0.5)
    expect(thicknessAt(tapered, { xMm: 200, yMm: 10 })).toBe(2.5)
    expect(checkPlace(tapered, { xMm: 6, yMm: 10 }, [], 60).map(t => t.code)).toContain('thin')
    expect(codes(70, 10, [], { tangThicknessMm: 0.5 })).not.toContain('thin')
  })

  it('is square to the cone: a tang that tapers by more than 2° is to be shimmed (ASTM E18, from memory)', () => {
    // By hand: a tang of 83 mm, atan((4 − 0.9)/83) = 2.139°, atan((2.5 − 0.9)/83) = 1.104°.
    expect(wedgeDeg({ ...blade, thicknessMm: 4, tangThicknessMm: 0.9 }, { xMm: 40, yMm: 10 })).toBeCloseTo(2.139, 3)
    expect(codes(70, 10, [], { thicknessMm: 4, tangThicknessMm: 0.9 })).toEqual(['slope'])
    expect(codes(70, 10, [], { tangThicknessMm: 0.9 })).toEqual([])
    expect(codes(120, 10, [], { thicknessMm: 4, tangThicknessMm: 0.9 })).toEqual([])
  })

  it('offers hidden places that its own rules allow, and fewer once they are used', () => {
    const free = hiddenPlaces(blade, [], 60)
    expect(free).toHaveLength(3)
    for (const place of free) {
      expect(checkPlace(blade, place, [], 60)).toEqual([])
      expect(onBevel(blade, place)).toBe(false)
    }
    expect(hiddenPlaces(blade, free.slice(0, 1), 60)).toHaveLength(2)
  })

  it('allows nothing nearer than three diameters, wherever it is (law)', () => {
    const { minimumSpacingMm } = indentRules(60)
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 6.28, noNaN: true }),
        fc.double({ min: 0.05, max: 0.98, noNaN: true }),
        (angle, share) => {
          const other = {
            xMm: 40 + share * minimumSpacingMm * Math.cos(angle),
            yMm: 12 + share * minimumSpacingMm * Math.sin(angle),
          }
          expect(codes(40, 12, [other])).toContain('near')
        },
      ),
    )
  })
})
