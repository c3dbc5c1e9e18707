import { describe, expect, it } from 'vitest'
import { PROTECTION } from '../../data/protection'
import { makeDemoWorkshop } from '../../simulators/demo/make-demo'
import { dayBatchOf } from '../../testing/shop-day'
import { withBlades } from '../shop/batch-records'
import { dayPower } from './day-power'
import type { Window } from './problem'
import { planShopDay } from './shop-day'

const demo = makeDemoWorkshop(7, new Date('2026-03-02T08:00:00Z'))
const measured = new Set(demo.readings.map(reading => reading.batchId))
const BATCH = withBlades(demo.batches, demo.blades).find(batch => batch.blades.length > 4 && !measured.has(batch.id))
if (!BATCH) throw new Error('the demo has no batch to plan')
const CHEAP = { fromMin: 540, toMin: 900, kWh: 0.1 }
const shopWith = (cheap?: typeof CHEAP) => ({
  ...demo.shop,
  prices: { ...PROTECTION.prices, kWh: 0.4, ...(cheap ? { cheap } : {}) },
})
const TWO_DAYS: readonly Window[] = [
  [480, 1400],
  [1920, 2860],
]
/** One batch today, and the same again tomorrow, which decides when all is done: today’s has hours to spare. */
const planned = (cheap: readonly Window[], work: readonly Window[] = TWO_DAYS) => {
  const { plan, why } = planShopDay(
    {
      batches: [0, 1920].map(notBeforeMin =>
        dayBatchOf(
          { ...BATCH, id: `${notBeforeMin}` },
          { notBeforeMin, deadlineMin: notBeforeMin === 0 ? 1400 : null },
        ),
      ),
      shop: shopWith(cheap.length > 0 ? CHEAP : undefined),
      work,
      helper: [],
      cheap,
      nowMin: 450,
      heatsAlone: true,
    },
    100_000,
  )
  if (!plan || why) throw new Error(why?.code ?? 'nothing to plan')
  return plan
}
const WINDOWS: Window[] = [
  [540, 900],
  [1980, 2340],
]
const gapsOf = ({ tasks }: ReturnType<typeof planned>) => {
  const at = (kind: string) => tasks.find(task => task.kind === kind)?.startMin ?? Number.NaN
  return [at('cold-in') - at('load'), at('temper-in') - at('load')]
}

describe('electricity of a day', () => {
  const [usual, tied] = [planned([]), planned(WINDOWS)]
  const inWindows = (plan: typeof usual) => dayPower(plan.lanes, shopWith(CHEAP), { cheap: WINDOWS, fromMin: 450 })

  it('is what its ovens take, and its price by the hour', () => {
    const { kWh, cheapKWh, cost } = inWindows(usual)
    // A heat of a bench oven is 4 to 7 kWh with what its load takes, a temper 1 to 2 (common practice, no published source).
    expect(kWh).toBeGreaterThan(6)
    expect(kWh).toBeLessThan(20)
    expect(cheapKWh).toBeGreaterThan(0)
    expect(cost).toBeCloseTo((kWh - cheapKWh) * 0.4 + cheapKWh * 0.1, 9)
    expect(usual.power.cost).toBeCloseTo(usual.power.kWh * 0.4, 9)
    expect(dayPower(usual.lanes, { ...demo.shop, prices: undefined }, { cheap: [], fromMin: 450 }).cost).toBeNull()
    expect(dayPower(usual.lanes, shopWith(), { cheap: [], fromMin: 1e6 })).toEqual({ kWh: 0, cheapKWh: 0, cost: 0 })
  })

  it('decides between plans that end at once: the dear hours are left where they can be', () => {
    expect(tied.finishMin).toBe(usual.finishMin)
    expect(tied.power.cost ?? 1e9).toBeLessThan((inWindows(usual).cost ?? 0) * 0.95)
    expect(tied.tasks.find(task => task.kind === 'load')?.startMin).toBeGreaterThan(
      usual.tasks.find(task => task.kind === 'load')?.startMin ?? 0,
    )
  })

  it('has no blade wait longer for its cold or its first temper', () => {
    for (const cheapFrom of [600, 700, 800, 900, 1000])
      for (const [i, gap] of gapsOf(planned([[cheapFrom, 1400]])).entries())
        expect(gap).toBeLessThanOrEqual(gapsOf(usual)[i] ?? 0)
  })

  it('does not put off the end', () => {
    const all: Window[] = [[0, 3000]]
    expect(planned(WINDOWS, all).finishMin).toBe(planned([], all).finishMin)
  })
})
