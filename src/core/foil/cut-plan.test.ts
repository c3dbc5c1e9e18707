import { describe, expect, it } from 'vitest'
import { expectOk } from '../../testing/tray'
import { createRandom } from '../numeric/random'
import { checkLayout } from './check-layout'
import { type CutPlanRequest, MOST_PIECES, planCuts } from './cut-plan'

type Sheet = readonly [lengthMm: number, widthMm: number, count: number]
const request = (pieces: readonly Sheet[], more: Partial<CutPlanRequest> = {}): CutPlanRequest => ({
  rollWidthMm: 610,
  rotate: true,
  longestSectionMm: null,
  pieces: pieces.map(([lengthMm, widthMm, count]) => ({ lengthMm, widthMm, count })),
  ...more,
})
const planOf = (pieces: readonly Sheet[], more?: Partial<CutPlanRequest>) => expectOk(planCuts(request(pieces, more)))
const problemOf = (pieces: readonly Sheet[], more?: Partial<CutPlanRequest>) => {
  const plan = planCuts(request(pieces, more))
  return plan.ok ? null : plan.problems[0]
}

describe('what is refused', () => {
  it('is more sheets than a plan holds, counted over all kinds', () => {
    const half = MOST_PIECES / 2
    expect(
      problemOf([
        [300, 100, half],
        [200, 100, half + 1],
      ]),
    ).toEqual({
      code: 'too-many-sheets',
      params: { most: MOST_PIECES },
      path: 'pieces',
    })
    expect(
      problemOf([
        [60, 40, half],
        [50, 40, half],
      ]),
    ).toBeNull()
  })

  it('is a sheet that goes neither way across the roll, with its size; turned it may go', () => {
    expect(problemOf([[400, 650, 1]])).toBeNull()
    expect(problemOf([[400, 650, 1]], { rotate: false })).toEqual({
      code: 'sheet-too-wide',
      params: { lengthMm: 400, widthMm: 650, rollWidthMm: 610, turned: false },
      path: 'pieces.0',
    })
    expect(
      problemOf([
        [300, 100, 1],
        [700, 611, 1],
      ]),
    ).toMatchObject({
      params: { lengthMm: 700, widthMm: 611, turned: true },
      path: 'pieces.1',
    })
    // As wide as the roll is not too wide; a fraction of a millimetre of the roll is none.
    expect(problemOf([[700, 610, 1]])).toBeNull()
    expect(problemOf([[700, 610, 1]], { rollWidthMm: 609.9 })).not.toBeNull()
  })

  it('is a sheet longer than a section may be, either way it lies', () => {
    expect(problemOf([[500, 480, 1]], { longestSectionMm: 470 })).toEqual({
      code: 'sheet-too-long',
      params: { lengthMm: 500, widthMm: 480, longestMm: 470 },
      path: 'pieces.0',
    })
    expect(problemOf([[500, 480, 1]], { longestSectionMm: 480 })).toBeNull()
    expect(problemOf([[500, 480, 1]], { longestSectionMm: 480, rotate: false })?.code).toBe('sheet-too-long')
  })
})

describe('how sheets are taken', () => {
  it('in whole millimetres, rounded up, and none where none is asked for', () => {
    const plan = planOf([
      [335.2, 141.1, 1],
      [300, 100, 0],
    ])
    expect(plan.layout).toHaveLength(1)
    expect([plan.layout[0]?.acrossMm, plan.layout[0]?.alongMm].sort()).toEqual([142, 336])
    expect(plan.usedLengthMm).toBe(142)
    // A rounding error in the tenth decimal is no further millimetre.
    expect(planOf([[336.0000000001, 142, 1]]).usedLengthMm).toBe(142)
    // A sheet of which none is cut is not too wide.
    expect(planOf([[900, 800, 0]])).toMatchObject({ usedLengthMm: 0, layout: [] })
    expect(planOf([])).toMatchObject({
      usedLengthMm: 0,
      lowerBoundMm: 0,
      proven: true,
      layout: [],
      sections: [],
      leftovers: [],
    })
  })

  it('equal sheets of two lines are of one kind, turned or not, and each line gets its own', () => {
    const plan = planOf([
      [336, 142, 2],
      [142, 336, 1],
      [336, 142, 1],
    ])
    const of = (piece: number) => plan.layout.filter(place => place.piece === piece).length
    expect([of(0), of(1), of(2)]).toEqual([2, 1, 1])
    // Four of one kind: four beside each other across 610, 336 long, or 142 deep in two rows and a half: 284 is the least.
    expect(plan.usedLengthMm).toBe(336)
  })

  it('not turned where they may not be: the length lies along the roll', () => {
    const plan = planOf([[336, 142, 2]], { rotate: false })
    expect(plan.layout.every(place => !place.rotated && place.alongMm === 336 && place.acrossMm === 142)).toBe(true)
    expect(plan.usedLengthMm).toBe(336)
    expect(planOf([[336, 142, 1]]).layout[0]).toMatchObject({ rotated: true, alongMm: 142, acrossMm: 336 })
  })
})

describe('how a plan is laid', () => {
  const sheets: readonly Sheet[] = [
    [450, 300, 1],
    [336, 142, 3],
    [250, 90, 2],
  ]

  it('is one section behind another, the longest first, without a gap', () => {
    const { sections, usedLengthMm } = planOf(sheets, { longestSectionMm: 460 })
    let at = 0
    for (const { yMm, alongMm } of sections) {
      expect(yMm).toBe(at)
      at += alongMm
    }
    expect(at).toBe(usedLengthMm)
    const lengths = sections.map(section => section.alongMm)
    expect(lengths).toEqual([...lengths].sort((a, b) => b - a))
    expect(Math.max(...lengths)).toBeLessThanOrEqual(460)
  })

  it('has for leftovers what no sheet covers, largest first, without clippings', () => {
    // One sheet of 300 x 200 on a roll of 610: 310 x 200 or 410 x 300 beside it; by hand.
    const [only] = planOf([[300, 200, 1]]).leftovers
    expect(only).toEqual({ xMm: 300, yMm: 0, acrossMm: 310, alongMm: 200 })
    const { leftovers, layout } = planOf(sheets)
    const areas = leftovers.map(r => r.acrossMm * r.alongMm)
    expect(areas).toEqual([...areas].sort((a, b) => b - a))
    for (const r of leftovers) expect(Math.min(r.acrossMm, r.alongMm)).toBeGreaterThanOrEqual(30)
    for (const r of leftovers)
      for (const p of layout)
        expect(
          r.xMm + r.acrossMm <= p.xMm ||
            p.xMm + p.acrossMm <= r.xMm ||
            r.yMm + r.alongMm <= p.yMm ||
            p.yMm + p.alongMm <= r.yMm,
        ).toBe(true)
    // 610 − 600 = 10 mm beside it are a clipping.
    expect(planOf([[600, 200, 1]]).leftovers).toEqual([])
    expect(planOf([[580, 200, 1]]).leftovers).toHaveLength(1)
  })

  it('says what it knows: proven, the bound is the length; else it is under it', () => {
    const proven = planOf([
      [386, 152, 4],
      [306, 128, 4],
      [261, 112, 4],
    ])
    expect([proven.proven, proven.lowerBoundMm]).toEqual([true, proven.usedLengthMm])
    // More kinds than can be solved exactly.
    const many = planOf(
      [
        [412, 131, 5],
        [377, 149, 4],
        [298, 117, 6],
        [341, 163, 3],
        [259, 104, 7],
      ],
      { longestSectionMm: 500 },
    )
    expect(many.lowerBoundMm).toBeLessThanOrEqual(many.usedLengthMm)
    expect(many.usedLengthMm).toBeLessThan(1.06 * many.lowerBoundMm)
    expect(checkLayout(many.layout, 610).cuts).not.toBeNull()
    expect(many.layout).toHaveLength(25)
    expect(Math.max(...many.sections.map(section => section.alongMm))).toBeLessThanOrEqual(500)
  })

  it('is the same plan for the same request', () => {
    const forty: readonly Sheet[] = [
      [336, 142, 12],
      [291, 116, 10],
      [421, 150, 10],
      [241, 108, 8],
    ]
    expect(planOf(forty)).toEqual(planOf(forty))
  })
})

/** A rectangle of roll sheared into so many sheets by straight cuts, edge to edge, their sides as they come: [along, across] each. */
function sheared(random: ReturnType<typeof createRandom>, across: number, along: number, count: number): Sheet[] {
  if (count <= 1 || Math.min(across, along) < 60) return [[along, across, 1]]
  const part = 0.25 + 0.5 * random.uniform()
  const first = Math.max(1, Math.min(count - 1, Math.round(count * part)))
  if (across > along) {
    const at = Math.round(across * part)
    return [...sheared(random, at, along, first), ...sheared(random, across - at, along, count - first)]
  }
  const at = Math.round(along * part)
  return [...sheared(random, across, at, first), ...sheared(random, across, along - at, count - first)]
}

// Sheets that were cut from a piece of roll without waste fit on it again, and by their area on nothing shorter: no planner is asked.
describe('sheets that were sheared from one piece', () => {
  const each = (seeds: number, check: (random: ReturnType<typeof createRandom>) => void) => {
    for (let seed = 0; seed < seeds; seed++) check(createRandom(31 * seed + 8))
  }

  it.each([5, 8])('%i of them are put together again without waste, and known to be', count => {
    each(16, random => {
      const along = 300 + Math.floor(random.uniform() * 500)
      const plan = planOf(sheared(random, 610, along, count))
      expect(plan).toMatchObject({ usedLengthMm: along, lowerBoundMm: along, proven: true, leftovers: [] })
      expect(checkLayout(plan.layout, 610).cuts).not.toBeNull()
    })
  })

  it('are put together again section by section, where no section may be longer than the longest of them', () => {
    each(10, random => {
      const lengths = Array.from({ length: 3 }, () => 150 + Math.floor(random.uniform() * 150))
      const sheets = lengths.flatMap(along => sheared(random, 610, along, 3))
      const plan = planOf(sheets, { longestSectionMm: Math.max(...lengths) })
      expect(plan.usedLengthMm).toBe(lengths.reduce((sum, length) => sum + length, 0))
      const laid = plan.sections.map(section => section.alongMm)
      expect(laid).toEqual([...laid].sort((a, b) => b - a))
      expect(Math.max(...plan.sections.map(section => section.alongMm))).toBeLessThanOrEqual(Math.max(...lengths))
    })
  })

  it('eight of them are put together again where a section may be just as long as all of them, and not longer than it may be', () => {
    each(8, random => {
      const lengths = [150, 150].map(least => least + Math.floor(random.uniform() * 150))
      const [first, second] = lengths as [number, number]
      const whole = planOf(sheared(random, 610, first + second, 8), { longestSectionMm: first + second })
      expect(whole).toMatchObject({ usedLengthMm: first + second, proven: true })
      const two = planOf([...sheared(random, 610, first, 4), ...sheared(random, 610, second, 4)], {
        longestSectionMm: Math.max(...lengths),
      })
      expect(two.usedLengthMm).toBe(first + second)
      expect(Math.max(...two.sections.map(section => section.alongMm))).toBeLessThanOrEqual(Math.max(...lengths))
    })
  })

  it('one more than fits makes it longer, and the bound is never above what was used', () => {
    each(8, random => {
      const along = 300 + Math.floor(random.uniform() * 300)
      const plan = planOf([...sheared(random, 610, along, 6), [90, 70, 1]])
      expect(plan.usedLengthMm).toBeGreaterThan(along)
      // Laid by itself behind the others it needs its shorter side.
      expect(plan.usedLengthMm).toBeLessThanOrEqual(along + 70)
      expect(plan.lowerBoundMm).toBeLessThanOrEqual(plan.usedLengthMm)
    })
  })

  it('twelve of them, too many to go through, come to a few percent more at the most', () => {
    let over = 0
    each(6, random => {
      const along = 700 + Math.floor(random.uniform() * 500)
      const { usedLengthMm, lowerBoundMm, proven, leftovers } = planOf(sheared(random, 610, along, 12))
      over += usedLengthMm / along - 1
      // Whatever was found, along is the least: a longer plan is not called proven.
      expect(proven).toBe(usedLengthMm === along)
      expect(lowerBoundMm).toBeLessThanOrEqual(along)
      const areas = leftovers.map(r => r.acrossMm * r.alongMm)
      expect(areas).toEqual([...areas].sort((a, b) => b - a))
    })
    expect(over / 6).toBeLessThan(0.03)
  })
})
