import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type CutPlan, type CutPlanRequest, planCuts } from './cut-plan'
import { spineFoldSheet } from './envelope'
import { foilFor } from './foil-type'

describe('an envelope folded over the spine', () => {
  const rules = { folds: 2, foldMm: 9, endMm: 25, edgeMm: 10 }

  it('is 336 x 139 mm for a 250 x 40 x 3 mm blade: worked by hand from the folded section', () => {
    expect(spineFoldSheet({ lengthMm: 250, widthMm: 40, thicknessMm: 3 }, rules)).toEqual({
      ok: true,
      value: { lengthMm: 336, widthMm: 139 },
    })
  })

  it('is about 230 x 200 mm or less for a folding-knife blade: common practice, no published source', () => {
    const sheet = spineFoldSheet({ lengthMm: 100, widthMm: 28, thicknessMm: 3 }, rules)
    expect(sheet.ok && sheet.value.lengthMm).toBeLessThanOrEqual(230)
    expect(sheet.ok && sheet.value.widthMm).toBeLessThanOrEqual(200)
  })

  it('cannot close where the clearance is under half the thickness', () => {
    const tight = spineFoldSheet({ lengthMm: 250, widthMm: 40, thicknessMm: 6 }, { ...rules, edgeMm: 2 })
    expect(tight.ok ? '' : tight.problems[0]?.path).toBe('envelope.edgeMm')
  })

  it('grows with every dimension', () => {
    const size = fc.record({
      lengthMm: fc.integer({ min: 50, max: 500 }),
      widthMm: fc.integer({ min: 10, max: 90 }),
      thicknessMm: fc.integer({ min: 1, max: 8 }),
    })
    fc.assert(
      fc.property(size, blade => {
        const small = spineFoldSheet(blade, rules)
        const large = spineFoldSheet(
          { lengthMm: blade.lengthMm + 1, widthMm: blade.widthMm + 1, thicknessMm: blade.thicknessMm },
          rules,
        )
        expect(
          small.ok &&
            large.ok &&
            large.value.lengthMm > small.value.lengthMm &&
            large.value.widthMm > small.value.widthMm,
        ).toBe(true)
      }),
    )
  })
})

describe('the type of foil', () => {
  // Type 321 to 2000 °F, type 309 to 2240 °F: common practice, no published source.
  it.each([
    [1066, '321'],
    [1083, '321'],
    [1090, '309'],
    [1210, '309'],
  ])('for %i °C is %s', (hottestC, name) => {
    const foil = foilFor(hottestC)
    expect(foil.ok && foil.value.name).toBe(name)
  })

  it('is refused above every limit', () => {
    expect(foilFor(1225).ok).toBe(false)
  })
})

const plan = (
  rollWidthMm: number,
  pieces: readonly (readonly [number, number, number])[],
  rest: Partial<CutPlanRequest> = {},
) =>
  planCuts({
    rollWidthMm,
    rotate: true,
    longestSectionMm: null,
    pieces: pieces.map(([lengthMm, widthMm, count]) => ({ lengthMm, widthMm, count })),
    ...rest,
  })

const SET = [
  [336, 130, 3],
  [300, 118, 2],
  [450, 150, 2],
  [250, 110, 2],
] as const

describe('the cut plan', () => {
  // Optimal lengths proven by exhaustive dynamic programming; shelves need not reach them, but may not pass them.
  it.each([
    [610, [[336, 142, 1]], {}, 142, 1],
    [305, [[336, 142, 1]], {}, 336, 1],
    [610, [[336, 142, 8]], {}, 672, 1.07],
    [508, SET, {}, 850, 1.12],
    [508, SET, { rotate: false }, 936, 1.12],
    [508, SET, { longestSectionMm: 460 }, 860, 1.12],
    [
      610,
      [
        [386, 152, 4],
        [306, 128, 4],
        [261, 112, 4],
      ],
      {},
      884,
      1.15,
    ],
  ] as const)('on a roll of %i mm for %j %j uses from %i mm on', (width, pieces, rest, optimum, within) => {
    const cut = plan(width, pieces, rest)
    expect(cut.ok && cut.value.usedLengthMm).toBeGreaterThanOrEqual(optimum)
    expect(cut.ok && cut.value.usedLengthMm).toBeLessThanOrEqual(optimum * within)
    expect(cut.ok && cut.value.lowerBoundMm).toBeLessThanOrEqual(optimum)
  })

  it('refuses a sheet wider than the roll, by its place', () => {
    const wide = plan(300, [
      [200, 100, 1],
      [420, 320, 1],
    ])
    expect(wide.ok ? '' : wide.problems[0]).toMatchObject({ code: 'piece-too-wide', path: 'pieces.1' })
  })

  const piece = fc.tuple(
    fc.integer({ min: 60, max: 480 }),
    fc.integer({ min: 40, max: 300 }),
    fc.integer({ min: 1, max: 5 }),
  )
  it('places every sheet inside the roll and its section, none over another', () => {
    fc.assert(
      fc.property(
        fc.array(piece, { minLength: 1, maxLength: 6 }),
        fc.integer({ min: 500, max: 700 }),
        fc.boolean(),
        (pieces, width, rotate) => {
          const cut = plan(width, pieces, { rotate })
          if (!cut.ok) throw new Error(cut.problems[0]?.message)
          checkLayout(cut.value, pieces, width)
        },
      ),
      { numRuns: 30 },
    )
  })
})

function checkLayout(cut: CutPlan, pieces: readonly (readonly [number, number, number])[], width: number) {
  expect(cut.layout).toHaveLength(pieces.reduce((sum, [, , count]) => sum + count, 0))
  expect(cut.usedLengthMm).toBeGreaterThanOrEqual(cut.lowerBoundMm)
  for (const [i, a] of cut.layout.entries()) {
    const [length, wide] = pieces[a.piece] as readonly [number, number, number]
    expect([a.acrossMm, a.alongMm].sort((x, y) => x - y)).toEqual([length, wide].sort((x, y) => x - y))
    expect(a.xMm).toBeGreaterThanOrEqual(0)
    expect(a.xMm + a.acrossMm).toBeLessThanOrEqual(width)
    // Inside one section, so that a straight cut across the roll parts it from the next.
    expect(cut.sections.some(s => a.yMm >= s.yMm && a.yMm + a.alongMm <= s.yMm + s.alongMm)).toBe(true)
    for (const b of cut.layout.slice(i + 1)) {
      const apart =
        a.xMm + a.acrossMm <= b.xMm ||
        b.xMm + b.acrossMm <= a.xMm ||
        a.yMm + a.alongMm <= b.yMm ||
        b.yMm + b.alongMm <= a.yMm
      expect(apart).toBe(true)
    }
  }
}
