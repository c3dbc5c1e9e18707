import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { PROTECTION } from '../../data/protection'
import { pressedAt, runOf, trayOfBlades, withEvents } from '../../testing/run'
import { gradeOf, NOW, trayOf } from '../../testing/tray'
import { withState } from '../batch/blade-state'
import { bladesOf } from '../batch/tray'
import { attendedMin, attendedMinByBatch } from '../run/attended'
import type { Batch } from '../shop/batch'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import type { Workshop } from '../shop/workshop'
import { batchCost } from './batch-cost'
import { foilNeeded } from './foil-needed'
import { foilCostPerBlade, protectionRows } from './protection-cost'
import { lossOf, quoteOf } from './quote'
import { yearCost } from './year-cost'

const shop: Workshop = {
  ...DEFAULT_WORKSHOP,
  prices: { ...PROTECTION.prices, hour: 30, kWh: 0.5, steelPerKg: 40, beltsPerBlade: 2, prepareMin: 6, finishMin: 60 },
  foil: { ...DEFAULT_WORKSHOP.foil, pricePerM: 20 },
}
const four = { ...trayOfBlades(4), foilCutM: 1.5 }
const costOf = (batch: Batch = four, more: { attendedMin?: number | null } = {}) =>
  batchCost({ batch, shop, attendedMin: 60, ...more })

describe('what a batch costs', () => {
  it('is what it is paid for, worked by hand', () => {
    const { costs, hours, total, perGood, good } = costOf()
    // 250 × 40 × 2.5 mm of steel at 7,700 kg/m³ are 0.1925 kg a blade.
    expect(costs.steel).toBeCloseTo(4 * 0.1925 * 40, 1)
    expect(costs.protection).toBeCloseTo(1.5 * 20, 6)
    expect(costs.belts).toBe(8)
    expect([hours.prepare, hours.run, hours.finish]).toEqual([0.4, 1, 4])
    expect(total).toBeCloseTo(
      Object.values(costs).reduce((a, b) => a + b, 0),
      9,
    )
    expect([good, perGood]).toEqual([4, total / 4])
  })

  it('spreads a cracked blade over the good ones, and says how much of each that is', () => {
    const cracked = withState(four, 'A1', { is: 'cracked', at: NOW, why: '' })
    const { perGood, lostShare, good, total } = costOf(cracked)
    expect(good).toBe(3)
    expect(perGood).toBeCloseTo(total / 3, 9)
    expect(lostShare).toBeCloseTo(total / 3 - total / 4, 9)
  })

  it('takes usual hours where nothing was run', () => {
    const { runMeasured, hours } = costOf(four, { attendedMin: null })
    expect(runMeasured).toBe(false)
    expect(hours.run).toBeGreaterThan(0.5)
  })

  it('takes the foil as it was cut, else by the plan that Wrap shows, worked by hand', () => {
    expect([costOf().foil, costOf({ ...four, foilCutM: 2 }).costs.protection]).toEqual(['cut', 40])
    // 250 × 40 × 2.5 mm: sheets of 336 × 139 mm. Four of 139 mm stand beside each other on 610 mm: 336 mm of roll.
    const envelope = { folds: 2, foldMm: 9, endMm: 25, edgeMm: 10 }
    const wrapped = { ...trayOfBlades(4), envelope }
    const { foil, costs, begun } = costOf(wrapped)
    expect([foil, costs.protection]).toEqual(['plan', expect.closeTo(0.336 * 20, 9)])
    const atWrap = foilCostPerBlade(wrapped, shop, foilNeeded(wrapped, shop))
    expect(atWrap.value).toBeCloseTo(costs.protection / begun, 12)
    expect(protectionRows(wrapped, shop, foilNeeded(wrapped, shop)).find(row => row.name === 'foil')?.material).toBe(
      costs.protection,
    )
  })

  it('prices the hotter foil where the heat asks for it, and says when no plan fits the roll', () => {
    const [group] = four.groups
    const hot = { ...four, groups: [{ ...group, route: { ...group?.route, austenitizeC: 1120 } }] } as Batch
    expect(costOf(hot).costs.protection).toBeCloseTo(1.5 * 20 * PROTECTION.hotFoilFactor, 9)
    const narrow = { ...shop, foil: { ...shop.foil, rollWidthMm: 60 } }
    expect(batchCost({ batch: trayOfBlades(4), shop: narrow, attendedMin: 60 }).foil).toBe('area')
  })

  it('pays for each bar what that bar cost', () => {
    const dear = { ...four, groups: four.groups.map(group => ({ ...group, steelPerKg: 90 })) }
    expect(costOf(dear).costs.steel).toBeCloseTo(4 * 0.1925 * 90, 0)
  })

  it('counts hands by the presses of the run: together where they follow, a while for each alone', () => {
    const run = runOf(four)
    // 0, 300, 400 s: 120 + 300 + 100; then one press an hour later: 120.
    expect(attendedMin(withEvents(run, ...pressedAt(run, 1000, 1300, 1400, 5000)))).toBeCloseTo(640 / 60, 6)
    expect(attendedMin({ ...withEvents(run, ...pressedAt(run, 1000)), people: 2 })).toBeCloseTo(4, 6)
    // Of two batches in one run each has half of the hands.
    const both = { ...withEvents(run, ...pressedAt(run, 1000)), batchIds: ['a', 'b'] }
    expect(attendedMinByBatch([both, { ...both, batchIds: ['b'] }])).toEqual({ a: 1, b: 3 })
  })
})

describe('what each blade costs', () => {
  const grade = gradeOf('X65Cr13')
  const mixed = trayOf(grade, [
    { mark: 'A', lengthMm: 300, widthMm: 50, thicknessMm: 4 },
    { mark: 'B', count: 3, lengthMm: 150, widthMm: 25, thicknessMm: 2 },
  ])

  it('is more for a larger blade: eight times the steel and power, more foil, the same hours', () => {
    const { blades, costs } = costOf(mixed)
    const [large, small] = blades
    if (!large || !small) throw new Error('blades')
    // 60,000 mm³ and 7,500 mm³: eight to one, whatever the density. What is left of the difference is foil.
    const kg = costs.steel / (8 + 3)
    const power = costs.power / (8 + 3)
    const foil = large.own - small.own - 7 * kg - 7 * power - (costs.coolant / 11) * 7
    expect(foil).toBeGreaterThan(0)
    expect(foil).toBeLessThan(costs.protection)
  })

  it('comes to the cost of the batch together, whatever was lost', () => {
    fc.assert(
      fc.property(fc.subarray(['A', 'B1', 'B2', 'B3'], { maxLength: 3 }), lost => {
        const batch = lost.reduce((all, id) => withState(all, id, { is: 'scrapped', at: NOW, why: '' }), mixed)
        const { blades, total } = costOf(batch)
        expect(blades).toHaveLength(4 - lost.length)
        expect(blades.reduce((sum, { own, ofLost }) => sum + own + ofLost, 0)).toBeCloseTo(total, 6)
      }),
    )
  })
})

it('a year is its batches added up; one without blades is none', () => {
  const empty = { ...four, id: 'empty', lines: [], blades: [] }
  const other = { ...four, id: 'other' }
  const year = yearCost([four, empty, other], shop, { [four.id]: 60 })
  const [one, two] = [costOf(four), costOf(four, { attendedMin: null })]
  expect(year.batches.map(batch => batch.batchId)).toEqual([four.id, 'other'])
  expect(year.total).toBeCloseTo(one.total + two.total, 9)
  expect(year.costs.work).toBeCloseTo(one.costs.work + two.costs.work, 9)
  expect([year.begun, year.good]).toEqual([8, 8])
})

describe('a quote', () => {
  it('begins with as many more as the shop loses, and its band holds the price', () => {
    const cost = costOf()
    const quote = quoteOf(cost, 10, { lost: 5, tried: 50 })
    expect(quote.begin).toBe(12)
    expect(quote.from).toBeLessThan(quote.perBlade)
    expect(quote.to).toBeGreaterThan(quote.perBlade)
    // Nothing lost and one heat: the batch itself.
    const same = quoteOf(cost, 4, { lost: 0, tried: 0 })
    expect([same.begin, same.perBlade]).toEqual([4, cost.perGood])
  })

  it('counts what came to nothing', () => {
    const lost = withState(withState(four, 'A1', { is: 'lost', at: NOW, why: '' }), 'A2', {
      is: 'sold',
      at: NOW,
      why: '',
    })
    expect(lossOf(bladesOf(lost))).toEqual({ lost: 1, tried: 4 })
  })
})
