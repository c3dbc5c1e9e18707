import { describe, expect, it } from 'vitest'
import { makeDemoWorkshop } from '../../simulators/demo/make-demo'
import { dayBatchOf } from '../../testing/shop-day'
import { setCount } from '../batch/tray-edit'
import { batchCost } from '../cost/batch-cost'
import { withBlades } from '../shop/batch-records'
import { addedToDay } from './added'
import type { ShopDay } from './day-batch'
import { planShopDay } from './shop-day'

const demo = makeDemoWorkshop(7, new Date('2026-03-02T08:00:00Z'))
const measured = new Set(demo.readings.map(reading => reading.batchId))
const BATCH = withBlades(demo.batches, demo.blades).find(batch => batch.blades.length > 4 && !measured.has(batch.id))
const LINE = BATCH?.lines[0]
if (!BATCH || !LINE) throw new Error('the demo has no batch to plan')
const VISITS = 60_000
const day = (change: Partial<ShopDay> = {}): ShopDay => ({
  batches: [dayBatchOf(BATCH)],
  shop: demo.shop,
  work: [[0, 2880]],
  helper: [],
  cheap: [],
  nowMin: 0,
  heatsAlone: false,
  ...change,
})
const on = (count: number) => {
  const present = BATCH.blades.filter(blade => blade.lineId === LINE.id && blade.removedAt === null).length
  let next = 0
  return setCount(BATCH, LINE.id, present + count, () => `new-${next++}`, '2026-03-02T08:00:00Z')
}
const added = (count: number, of = day()) => addedToDay(of, { batchId: BATCH.id, lineId: LINE.id, count }, VISITS)

describe('more blades on a day', () => {
  it('end when a batch that really has them does, and cost what it costs more', () => {
    const answer = added(3)
    const [first] = day().batches
    const really = planShopDay(day({ batches: [{ ...(first as ShopDay['batches'][number]), batch: on(3) }] }), VISITS)
    expect(answer.finishMin).toBe(really.plan?.finishMin)
    expect(answer.laterMin).toBe((really.plan?.finishMin ?? 0) - (planShopDay(day(), VISITS).plan?.finishMin ?? 0))
    expect(answer.laterMin).toBeGreaterThan(0)
    const total = (batch: typeof BATCH) => batchCost({ batch, shop: demo.shop, attendedMin: null }).total
    expect(answer.cost).toBeCloseTo(total(on(3)) - total(BATCH), 6)
  })

  it('says why where the hours do not suffice, and no end', () => {
    const answer = added(3, day({ work: [[480, 700]] }))
    expect(answer).toMatchObject({ finishMin: null, laterMin: null, why: { code: 'hours-too-short' } })
  })

  it('leaves the day as it is where the batch is not in it', () => {
    const answer = addedToDay(day(), { batchId: 'gone', lineId: LINE.id, count: 3 }, VISITS)
    expect(answer).toMatchObject({ laterMin: 0, cost: 0 })
  })
})
