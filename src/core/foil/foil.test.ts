import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { refusalOf } from '../../testing/tray'
import { checkLayout } from './check-layout'
import { type CutPlan, type CutPlanRequest, planCuts } from './cut-plan'
import { type EnvelopeRules, envelopeCautions, envelopeOf, seamLayers } from './envelope'
import { foilFor } from './foil-type'
import { compareProtection, decarburisedMm } from './protection'
import { planWithStock } from './stock'
import { foldTemplate, templateSvg } from './template'

const RULES: EnvelopeRules = { folds: 2, foldMm: 9, endMm: 25, edgeMm: 10 }
const BLADE = { lengthMm: 250, widthMm: 40, thicknessMm: 3 }
const sheet = (rules: Partial<EnvelopeRules>, blade = BLADE) => {
  const made = envelopeOf(blade, { ...RULES, ...rules })
  return made.ok
    ? [made.value.lengthMm, made.value.widthMm, made.value.sheets, made.value.holds]
    : made.problems[0]?.path
}

describe('an envelope', () => {
  // Worked by hand from the folded sections, 250 x 40 x 3 mm.
  it.each([
    ['over the spine', {}, [336, 139, 1, 1]],
    ['over the tip', { way: 'tip' }, [589, 99, 1, 1]],
    ['of two sheets', { way: 'two-sheets' }, [336, 99, 2, 1]],
    ['for three side by side, 4 mm apart', { beside: 3, gapMm: 4 }, [336, 315, 1, 3]],
    ['for two end to end, 5 mm apart', { endToEnd: 2, gapMm: 5 }, [591, 139, 1, 2]],
  ] as const)('%s', (_, rules, size) => {
    expect(sheet(rules)).toEqual(size)
  })

  it('is about 230 x 200 mm or less for a folding-knife blade: common practice, no published source', () => {
    const [length, width] = sheet({}, { lengthMm: 100, widthMm: 28, thicknessMm: 3 }) as number[]
    expect(length).toBeLessThanOrEqual(230)
    expect(width).toBeLessThanOrEqual(200)
  })

  it('cannot close where a clearance is under half the thickness', () => {
    expect(sheet({ edgeMm: 2 }, { ...BLADE, thicknessMm: 6 })).toBe('envelope.edgeMm')
    expect(sheet({ endMm: 1 }, { ...BLADE, thicknessMm: 6 })).toBe('envelope.endMm')
  })

  it('a seam of two folds is 6 layers, 18 where an end fold crosses it: counted on folded paper', () => {
    expect(seamLayers(2)).toEqual({ seam: 6, crossing: 18 })
    expect(envelopeCautions(BLADE, { ...RULES, endMm: 5, folds: 1 }, 0.05).map(c => c.code)).toEqual([
      'tight-end',
      'one-fold',
    ])
    expect(envelopeCautions({ ...BLADE, thicknessMm: 0.8 }, RULES, 0.05).map(c => c.code)).toContain('thick-corner')
  })

  it('grows with every dimension', () => {
    const size = fc.record({
      lengthMm: fc.integer({ min: 50, max: 500 }),
      widthMm: fc.integer({ min: 10, max: 90 }),
      thicknessMm: fc.integer({ min: 1, max: 8 }),
    })
    fc.assert(
      fc.property(size, fc.constantFrom('spine', 'tip', 'two-sheets'), (blade, way) => {
        const [l, w] = sheet({ way }, blade) as number[]
        const [l2, w2] = sheet(
          { way },
          { ...blade, lengthMm: blade.lengthMm + 1, widthMm: blade.widthMm + 1 },
        ) as number[]
        expect(l2).toBeGreaterThan(l as number)
        expect(w2).toBeGreaterThan(w as number)
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
  // Optimal lengths proven by an independent exhaustive dynamic programme over multisets.
  it.each([
    [610, [[336, 142, 1]], {}, 142],
    [305, [[336, 142, 1]], {}, 336],
    [610, [[336, 142, 8]], {}, 672],
    [508, SET, {}, 850],
    [508, SET, { rotate: false }, 936],
    [508, SET, { longestSectionMm: 460 }, 860],
    [
      610,
      [
        [386, 152, 4],
        [306, 128, 4],
        [261, 112, 4],
      ],
      {},
      884,
    ],
  ] as const)('on a roll of %i mm for %j %j is %i mm, and proven', (width, pieces, rest, optimum) => {
    const cut = plan(width, pieces, rest)
    expect(cut.ok && [cut.value.usedLengthMm, cut.value.lowerBoundMm, cut.value.proven]).toEqual([
      optimum,
      optimum,
      true,
    ])
  })

  it('comes within 1 % of the best that is known for forty sheets, and knows the bound of 2900 mm', () => {
    const cut = plan(610, [
      [336, 142, 12],
      [291, 116, 10],
      [421, 150, 10],
      [241, 108, 8],
    ])
    expect(cut.ok && cut.value.lowerBoundMm).toBe(2900)
    expect(cut.ok && cut.value.usedLengthMm).toBeLessThanOrEqual(2968 * 1.01)
    // Not proven: the bound is what no plan can use less than.
    expect(cut.ok && cut.value.proven).toBe(false)
  })

  it('refuses a sheet wider than the roll, by its place', () => {
    const wide = plan(300, [
      [200, 100, 1],
      [420, 320, 1],
    ])
    expect(wide.ok ? '' : wide.problems[0]).toMatchObject({ code: 'sheet-too-wide', path: 'pieces.1' })
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
          if (!cut.ok) throw new Error(refusalOf(cut))
          expectSound(cut.value, pieces, width)
        },
      ),
      { numRuns: 30 },
    )
  })

  it('what it calls proven is the best of every way to join the sheets by straight cuts', () => {
    const one = fc.tuple(fc.integer({ min: 60, max: 400 }), fc.integer({ min: 40, max: 300 }))
    fc.assert(
      fc.property(fc.array(one, { minLength: 1, maxLength: 5 }), fc.boolean(), (sizes, rotate) => {
        const cut = plan(
          610,
          sizes.map(([l, w]) => [l, w, 1] as const),
          { rotate },
        )
        if (!cut.ok) throw new Error(refusalOf(cut))
        const best = shortestByJoining(sizes, 610, rotate)
        expect(cut.value.lowerBoundMm).toBeLessThanOrEqual(best)
        expect([cut.value.proven, cut.value.usedLengthMm]).toEqual([true, best])
      }),
      { numRuns: 60 },
    )
  })
})

/** Shortest length of roll for one of each sheet: every set of sheets, parted in two every way, lying beside or behind each other. */
function shortestByJoining(sizes: readonly (readonly [number, number])[], width: number, rotate: boolean): number {
  const boxes: (readonly [across: number, along: number])[][] = [[]]
  for (let set = 1; set < 1 << sizes.length; set++) {
    const found: (readonly [number, number])[] = []
    const alone = sizes.findIndex((_, i) => set === 1 << i)
    const [length, wide] = sizes[alone] ?? [0, 0]
    // Unturned, a sheet lies with its length along the roll.
    if (alone >= 0) found.push([wide, length], ...(rotate ? [[length, wide] as const] : []))
    for (let part = (set - 1) & set; part > set - part; part = (part - 1) & set)
      for (const [ax, ay] of boxes[part] ?? [])
        for (const [bx, by] of boxes[set - part] ?? [])
          found.push([ax + bx, Math.max(ay, by)], [Math.max(ax, bx), ay + by])
    const fit = found.filter(([x]) => x <= width)
    boxes.push(fit.filter(([x, y], i) => !fit.some(([u, v], j) => u <= x && v <= y && (u < x || v < y || j < i))))
  }
  return Math.min(...(boxes.at(-1) ?? []).map(([, y]) => y))
}

function expectSound(cut: CutPlan, pieces: readonly (readonly [number, number, number])[], width: number) {
  expect(cut.layout).toHaveLength(pieces.reduce((sum, [, , count]) => sum + count, 0))
  expect(cut.usedLengthMm).toBeGreaterThanOrEqual(cut.lowerBoundMm)
  const sheared = checkLayout(cut.layout, width)
  expect(sheared.cuts, 'a shear can part them').not.toBeNull()
  expect(sheared.usedLengthMm).toBe(cut.usedLengthMm)
  const area = cut.layout.reduce((sum, p) => sum + p.acrossMm * p.alongMm, 0)
  const left = cut.leftovers.reduce((sum, r) => sum + r.acrossMm * r.alongMm, 0)
  expect(area + left).toBeLessThanOrEqual(width * cut.usedLengthMm)
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

describe('a layout made by hand', () => {
  const at = (xMm: number, yMm: number, acrossMm: number, alongMm: number) => ({ xMm, yMm, acrossMm, alongMm })

  it('gives the cuts in order, from the free end', () => {
    const { cuts } = checkLayout([at(0, 0, 300, 100), at(300, 0, 300, 100), at(0, 100, 610, 50)], 610)
    expect(cuts?.[0]).toEqual({ kind: 'across', atMm: 100, fromMm: 0, toMm: 610 })
    expect(cuts?.[1]).toMatchObject({ kind: 'along', atMm: 300 })
  })

  it('a pinwheel cannot be sheared; overlap and overhang are named', () => {
    const pinwheel = [at(0, 0, 200, 100), at(200, 0, 100, 200), at(100, 200, 200, 100), at(0, 100, 100, 200)]
    expect(checkLayout(pinwheel, 300)).toMatchObject({ overlaps: [], outside: [], cuts: null })
    expect(checkLayout([at(0, 0, 200, 100), at(150, 50, 200, 100)], 300)).toMatchObject({
      overlaps: [[0, 1]],
      outside: [1],
    })
  })
})

describe('offcuts', () => {
  const pieces = [{ lengthMm: 336, widthMm: 139, count: 3 }]
  const stock = (offcuts: readonly [id: string, widthMm: number, lengthMm: number][]) => {
    const made = planWithStock(
      { rollWidthMm: 610, rotate: true, longestSectionMm: null, pieces },
      offcuts.map(([id, widthMm, lengthMm]) => ({ id, widthMm, lengthMm })),
    )
    if (!made.ok) throw new Error('refused')
    return made.value
  }

  it('are used first, the smallest that takes a sheet; the rest comes off the roll', () => {
    const used = stock([
      ['large', 400, 500],
      ['small', 150, 340],
      ['useless', 100, 100],
    ])
    expect(used.offcuts.map(o => [o.offcut.id, o.layout.length])).toEqual([
      ['small', 1],
      ['large', 2],
    ])
    expect(used.usedLengthMm).toBe(0)
    expect(stock([]).usedLengthMm).toBeGreaterThan(0)
  })

  it('hold what is cut from them', () => {
    for (const { offcut, layout } of stock([['a', 300, 360]]).offcuts) {
      const check = checkLayout(layout, offcut.widthMm)
      expect(check.usedLengthMm).toBeLessThanOrEqual(offcut.lengthMm)
      expect(check.cuts).not.toBeNull()
    }
  })
})

describe('a fold template', () => {
  it('parsed back from SVG is the sheet in millimetres, with the blade inside its clearances', () => {
    const template = foldTemplate(BLADE, RULES)
    if (!template.ok) throw new Error('refused')
    const svg = templateSvg(template.value, note => note.code)
    expect(svg).toMatch(/width="336mm" height="139mm" viewBox="0 0 336 139"/)
    const lines = [...svg.matchAll(/x1="([\d.]+)" y1="([\d.]+)" x2="([\d.]+)" y2="([\d.]+)"[^>]*class="(\w+)"/g)].map(
      m => ({
        x: [Number(m[1]), Number(m[3])],
        y: [Number(m[2]), Number(m[4])],
        kind: m[5],
      }),
    )
    const span = (kind: string, axis: 'x' | 'y') => {
      const values = lines.filter(l => l.kind === kind).flatMap(l => l[axis])
      return [Math.min(...values), Math.max(...values)]
    }
    expect([span('cut', 'x'), span('cut', 'y')]).toEqual([
      [0, 336],
      [0, 139],
    ])
    expect(span('blade', 'x')).toEqual([43, 293])
    expect(span('fold', 'y')).toEqual([69.5, 69.5])
    // The blade keeps off the innermost turn of the seam by the edge clearance.
    expect(139 - 18 - (span('blade', 'y')[1] as number)).toBeCloseTo(10, 6)
  })
})

describe('other ways to keep air out', () => {
  const ways = (more: Partial<Parameters<typeof compareProtection>[0]> = {}) =>
    compareProtection({
      blades: 6,
      steelAreaM2: 0.12,
      hottestC: 1066,
      soakMin: 15,
      foilCost: 0.7 * 30,
      prices: {
        coatPerM2: 12,
        argonPerPacket: 0.6,
        argonPerM3: 18,
        vacuumPerBlade: 14,
        abrasivesPerBareBlade: 3,
        hour: 25,
      },
      ...more,
    })

  it('a coat is far cheaper than foil in material, bare costs about 2 h more sanding a blade (common practice)', () => {
    const of = (name: string) => ways().find(w => w.name === name) as ReturnType<typeof ways>[number]
    expect(of('coat').material).toBeLessThan(of('foil').material / 4)
    expect((of('bare').hours - of('coat').hours) / 6).toBeGreaterThan(1.8)
    expect(ways().map(w => w.total)).toEqual(
      ways()
        .map(w => w.total)
        .sort((a, b) => a - b),
    )
  })

  it('argon through the oven is paid by the heat, not the blade: 8 L/min for 90 min is 0.72 m³ (by hand)', () => {
    const argon = (blades: number) => ways({ blades }).find(w => w.name === 'argon-oven')?.material
    expect(argon(6)).toBeCloseTo(0.72 * 18, 9)
    expect(argon(12)).toBe(argon(6))
  })

  it('refuses foil above its limit, last in the list', () => {
    const refused = ways({ hottestC: 1240 }).filter(w => w.refused !== null)
    expect(refused.map(w => w.name)).toEqual(['foil', 'argon'])
    expect(ways({ hottestC: 1240 }).at(-1)?.refused).toMatchObject({
      problem: { code: 'too-hot-for-foil', params: { atC: 1240 } },
    })
  })

  it('bare, carbon is lost to about 0.2 mm in 20 min at 1065 °C: √(Dt) by hand', () => {
    // D = 2.3e-5·exp(−148000/(8.314·1338.15)) = 3.84e-11 m²/s; √(3.84e-11·1200) = 0.215 mm.
    expect(decarburisedMm(1065, 20)).toBeCloseTo(0.215, 2)
  })
})
