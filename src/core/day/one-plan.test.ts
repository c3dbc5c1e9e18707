import { expect, it } from 'vitest'
import { makeDemoWorkshop } from '../../simulators/demo/make-demo'
import { dayBatchOf } from '../../testing/shop-day'
import { expectOk, NOW } from '../../testing/tray'
import { temperLoadsOf } from '../load/loads'
import { batchDayOf } from '../run-plan/batch-day'
import { withBlades } from '../shop/batch-records'
import { GRID_MIN } from './problem'
import { planShopDay } from './shop-day'

const demo = makeDemoWorkshop(20260, new Date(NOW))
const batches = withBlades(demo.batches, demo.blades)

it.each(['Skerry fillets', 'Bait knives', 'Oyster and bait', 'Thin slicers', 'Net knives'])(
  '%s: with hands at any hour the day has the tempers of its bench, in that order and at that time',
  name => {
    const batch = batches.find(one => one.name.startsWith(name))
    if (!batch) throw new Error(`no batch ${name}`)
    const bench = expectOk(batchDayOf(batch, demo.shop))
    const { plan } = planShopDay(
      {
        batches: [dayBatchOf(batch)],
        shop: demo.shop,
        work: [[0, 2 * 1440]],
        helper: [],
        cheap: [],
        nowMin: 0,
        heatsAlone: true,
      },
      200,
    )
    const tempers = plan?.tasks.filter(({ kind }) => kind === 'temper-in') ?? []
    expect(tempers.map(({ rounds }) => Object.values(rounds ?? {})[0])).toEqual(bench.tempers.map(t => t.load.round))
    expect(tempers).toHaveLength(temperLoadsOf(batch).length)
    // Each closing of an oven is rounded up to the day's grid: the hot run, and every temper before.
    const gridsMin = GRID_MIN * (tempers.length + 1)
    tempers.forEach(({ startMin }, i) => {
      expect(Math.abs(startMin - (bench.tempers[i]?.startMin ?? 0))).toBeLessThanOrEqual(gridsMin)
    })
    expect(Math.abs(Math.max(...(plan?.tasks.map(task => task.endMin) ?? [0])) - bench.totalMin)).toBeLessThanOrEqual(
      gridsMin,
    )
  },
)
