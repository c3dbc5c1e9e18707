import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { MOST } from './bounds'
import { DEFAULT_WORKSHOP } from './defaults'
import { countedRoll, cutFromRoll, leftOnRollMm } from './foil-roll'
import { workshopSchema } from './workshop'

const FOIL = { ...DEFAULT_WORKSHOP.foil, leftMm: 3000 }
const cut = (id: string, mm: number) => ({ id, mm })

describe('the roll of foil', () => {
  it('is what was counted less what was cut since', () => {
    const foil = cutFromRoll(cutFromRoll(FOIL, cut('a', 400)), cut('b', 350))
    expect(leftOnRollMm(foil)).toBe(2250)
    expect(leftOnRollMm(countedRoll(foil, 7600))).toBe(7600)
    expect(leftOnRollMm(cutFromRoll(FOIL, cut('a', 9000))), 'a roll ends').toBe(0)
  })

  it('that was never counted stays so, whatever is cut', () => {
    const { leftMm: _, ...uncounted } = FOIL
    expect(cutFromRoll(uncounted, cut('a', 400))).toEqual(uncounted)
    expect(leftOnRollMm(uncounted)).toBeUndefined()
  })

  it('counts cuts in when there are more than are stored: nothing comes back, and the workshop still fits', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 9 }), { minLength: MOST.foilCuts, maxLength: MOST.foilCuts + 40 }),
        mms => {
          const foil = mms.reduce((roll, mm, i) => cutFromRoll(roll, cut(`c${i}`, mm)), countedRoll(FOIL, 20_000))
          expect(leftOnRollMm(foil)).toBe(20_000 - mms.reduce((a, b) => a + b, 0))
          expect(workshopSchema.safeParse({ ...DEFAULT_WORKSHOP, foil }).success).toBe(true)
        },
      ),
      { numRuns: 20 },
    )
  })
})
