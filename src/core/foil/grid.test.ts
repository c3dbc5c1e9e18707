import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { expectOk, refusalOf } from '../../testing/tray'
import { checkLayout } from './check-layout'
import { onRule, planOnRule, RULE_STEP_MM } from './grid'
import { planWithStock } from './stock'

const request = (pieces: readonly (readonly [number, number, number])[], rollWidthMm = 610) => ({
  rollWidthMm,
  rotate: true,
  longestSectionMm: null,
  pieces: pieces.map(([lengthMm, widthMm, count]) => ({ lengthMm, widthMm, count })),
})
const sixteenths = (mm: number) => mm / RULE_STEP_MM.imperial
const whole = (value: number) => Math.abs(value - Math.round(value)) < 1e-6

describe('a cut plan on the marks of a rule', () => {
  it('is the plan in mm, where the rule is', () => {
    const asked = request([[336, 142, 8]])
    expect(planOnRule(asked, [], 'metric')).toEqual(planWithStock(asked, []))
    // Reference: a roll of 610 mm, eight sheets of 336 x 142 mm take 672 mm.
    expect(expectOk(planOnRule(asked, [], 'metric')).usedLengthMm).toBe(672)
  })

  it('in inches has every size and every cut in sixteenths, no sheet smaller than asked, and none over the roll (law)', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.integer({ min: 100, max: 450 }),
            fc.integer({ min: 80, max: 250 }),
            fc.integer({ min: 1, max: 3 }),
          ),
          { minLength: 1, maxLength: 3 },
        ),
        pieces => {
          const asked = request(pieces)
          const plan = expectOk(planOnRule(asked, [], 'imperial'))
          expect(whole(sixteenths(plan.usedLengthMm))).toBe(true)
          const check = checkLayout(plan.layout, asked.rollWidthMm)
          expect(check.overlaps).toEqual([])
          expect(check.outside).toEqual([])
          for (const cut of check.cuts ?? []) expect(whole(sixteenths(cut.atMm))).toBe(true)
          for (const place of plan.layout) {
            const piece = asked.pieces[place.piece]
            const sides = [place.acrossMm, place.alongMm].sort((a, b) => a - b)
            const wanted = [piece?.lengthMm ?? 0, piece?.widthMm ?? 0].sort((a, b) => a - b)
            expect(sides[0]).toBeGreaterThanOrEqual((wanted[0] ?? 0) - 1e-6)
            expect((sides[1] ?? 0) - (wanted[1] ?? 0)).toBeLessThan(RULE_STEP_MM.imperial)
          }
        },
      ),
      { numRuns: 25 },
    )
  })

  it('takes from offcuts first, by their own sizes, and says in mm what is too wide', () => {
    const drawer = [{ id: 'o', widthMm: 160, lengthMm: 400 }]
    const plan = expectOk(planOnRule(request([[336, 142, 1]]), drawer, 'imperial'))
    expect(plan.offcuts[0]?.offcut).toEqual(drawer[0])
    expect(plan.usedLengthMm).toBe(0)
    expect(refusalOf(planOnRule(request([[700, 650, 1]]), [], 'imperial'))).toBe(
      refusalOf(planOnRule(request([[700, 650, 1]]), [], 'metric')),
    )
  })

  it('rounds a sheet up to the next mark: 336 mm are 13 1/4 in', () => {
    const sheet = onRule({ lengthMm: 336, widthMm: 25.4 }, 'imperial')
    expect(sheet.lengthMm).toBeCloseTo(336.55, 9)
    expect(sheet.widthMm).toBeCloseTo(25.4, 9)
    expect(onRule({ lengthMm: 336, widthMm: 139 }, 'metric')).toEqual({ lengthMm: 336, widthMm: 139 })
  })
})
