import { describe, expect, it } from 'vitest'
import { PROTECTION } from '../../data/protection'
import { pressedAt, runOf, trayOfBlades, withEvents } from '../../testing/run'
import { NOW } from '../../testing/tray'
import { attendedMin } from '../run/attended'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import type { Workshop } from '../shop/workshop'
import { batchCost } from './batch-cost'
import { withState } from './blade-state'
import { lossOf, quoteOf } from './quote'
import { bladesOf } from './tray'

const shop: Workshop = {
  ...DEFAULT_WORKSHOP,
  prices: { ...PROTECTION.prices, hour: 30, kWh: 0.5, steelPerKg: 40, beltsPerBlade: 2, prepareMin: 6, finishMin: 60 },
  foil: { ...DEFAULT_WORKSHOP.foil, pricePerM: 20 },
}
const four = trayOfBlades(4)
const costOf = (batch = four, more: { foilM?: number | null; attendedMin?: number | null } = {}) =>
  batchCost({ batch, shop, foilM: 1.5, attendedMin: 60, ...more })

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

  it('knows no foil before there is a plan, and takes usual hours where nothing was run', () => {
    const { costs, runMeasured, hours } = costOf(four, { foilM: null, attendedMin: null })
    expect([costs.protection, runMeasured]).toEqual([0, false])
    expect(hours.run).toBeGreaterThan(0.5)
  })

  it('counts hands by the presses of the run: together where they follow, a while for each alone', () => {
    const run = runOf(four)
    // 0, 300, 400 s: 120 + 300 + 100; then one press an hour later: 120.
    expect(attendedMin(withEvents(run, ...pressedAt(run, 1000, 1300, 1400, 5000)))).toBeCloseTo(640 / 60, 6)
    expect(attendedMin({ ...withEvents(run, ...pressedAt(run, 1000)), people: 2 })).toBeCloseTo(4, 6)
  })
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
