import { describe, expect, it } from 'vitest'
import { makeDemoWorkshop } from '../../simulators/demo/make-demo'
import { dayBatchOf } from '../../testing/shop-day'
import { standing } from '../batch/blade-state'
import { bladesOf } from '../batch/tray'
import { firstStretchesOf } from '../bench/batch-figures'
import { foilNeeded } from '../cost/foil-needed'
import { batchDayOf } from '../run-plan/batch-day'
import { withBlades } from '../shop/batch-records'
import type { DayBatch, ShopDay } from './day-batch'
import { mustNotWait, withPulls } from './must-not-wait'
import { planShopDay } from './shop-day'
import { helpsOf, latestStart } from './what-if'

const demo = makeDemoWorkshop(7, new Date('2026-03-02T08:00:00Z'))
const batches = withBlades(demo.batches, demo.blades)
const measured = new Set(demo.readings.map(reading => reading.batchId))
const BATCH = batches.find(batch => batch.blades.length > 4 && !measured.has(batch.id))
if (!BATCH) throw new Error('the demo has no batch to plan')
const VISITS = 100_000

const at = (kind: string, atMin: number, round = 0) =>
  new Map(
    standing(bladesOf(BATCH)).map(blade => [blade.id, { kind, atMin, loadedMin: atMin, round }]),
  ) as DayBatch['progress']
const dayBatch = (change: Partial<DayBatch> = {}): DayBatch => dayBatchOf(BATCH, change)
const day = (change: Partial<ShopDay> = {}): ShopDay => ({
  batches: [dayBatch()],
  shop: demo.shop,
  work: [
    [480, 1080],
    [1920, 2520],
  ],
  helper: [],
  cheap: [],
  nowMin: 450,
  heatsAlone: false,
  ...change,
})
const planned = (of: ShopDay) => {
  const { plan, why } = planShopDay(of, VISITS)
  if (!plan || why) throw new Error(why?.code ?? 'nothing to plan')
  return plan
}
const task = (of: ShopDay, kind: string) => planned(of).tasks.find(one => one.kind === kind)

/** At how many moments two things are done at once. */
const atOnce = ({ tasks }: ReturnType<typeof planned>) =>
  tasks.filter((one, i) => tasks.slice(i + 1).some(other => other.startMin < one.endMin)).length

describe('the day of a workshop with a helper', () => {
  const two = [dayBatch(), dayBatch({ batch: { ...BATCH, id: 'again' } })]
  const helped = day({ batches: two, helper: [[480, 1080]] })

  it('has two things done at once in a helper’s hours alone, and says which are his', () => {
    const alone = planned(day({ batches: two }))
    expect(atOnce(alone)).toBe(0)
    expect(alone.hands?.helperMin).toBe(0)
    const plan = planned(helped)
    expect(plan.finishMin).toBeLessThanOrEqual(alone.finishMin)
    for (const one of plan.tasks.filter(each => each.byHelper))
      expect(one.startMin >= 480 && one.endMin <= 1080).toBe(true)
    expect(plan.hands?.helperMin).toBe(
      plan.tasks.filter(one => one.byHelper).reduce((sum, one) => sum + one.endMin - one.startMin, 0),
    )
  })

  it('does nothing beside a pull that is planned for two', () => {
    const shop = { ...demo.shop, plates: { ...demo.shop.plates, people: 2 as const } }
    const { tasks } = planned({ ...helped, shop })
    for (const pull of tasks.filter(one => one.kind === 'pull'))
      for (const other of tasks)
        expect(other === pull || other.endMin <= pull.startMin || other.startMin >= pull.endMin).toBe(true)
  })
})

describe('what the day needs', () => {
  const open = day({ work: [[0, 6000]], nowMin: 0 })

  it('is coolant for the whole time from the first blade in to the last one held', () => {
    const plan = planned(open)
    const into = plan.tasks.filter(one => one.kind === 'cold-in')
    const { coolant } = plan
    expect(coolant?.byMin).toBe(into[0]?.startMin)
    expect(coolant?.lastsMin).toBeGreaterThan(into.at(-1)?.startMin ?? 0)
    const longer = planned({ ...open, batches: [dayBatch(), dayBatch({ batch: { ...BATCH, id: 'again' } })] })
    const spread = (of: typeof plan) => (of.coolant?.lastsMin ?? 0) - (of.coolant?.byMin ?? 0)
    const chillOf = (of: typeof plan) => (of.coolant?.amount ?? 0) - ((of.coolant?.lostPerHour ?? 0) * spread(of)) / 60
    // Bath and vessel are chilled once, the steel of both.
    expect(chillOf(longer)).toBeGreaterThan(chillOf(plan))
    expect(chillOf(longer)).toBeLessThan(2 * chillOf(plan))
    expect(longer.coolant?.lostPerHour).toBeCloseTo(coolant?.lostPerHour ?? 0, 6)
  })

  it('is the shop’s own time to look a load over: the same more in the plan, on the batch’s page and in its Heat Line', () => {
    const slow = { ...demo.shop, inspectMin: 50 }
    const lineMin = (shop: typeof demo.shop) => firstStretchesOf(BATCH, shop).at(-1)?.endMin ?? 0
    // 20 min is what is usual.
    expect(planned({ ...open, shop: slow }).finishMin - planned(open).finishMin).toBe(30)
    const goesInMin = (shop: typeof demo.shop) => {
      const alone = batchDayOf(BATCH, shop)
      return alone.ok ? Math.min(...alone.value.tempers.map(({ startMin }) => startMin)) : Number.NaN
    }
    // It goes into the cold as soon as it was looked over, there as here; its tempers follow, in an oven that has cooled a little further.
    expect(Math.abs(goesInMin(slow) - goesInMin(demo.shop) - 30)).toBeLessThan(1)
    expect(lineMin(slow) - lineMin(demo.shop)).toBeCloseTo(30, 6)
  })

  it('is bought anew for another day: a box is not kept cold over a night for it', () => {
    const later = dayBatch({ batch: { ...BATCH, id: 'later' }, notBeforeMin: 2000 })
    const [both, alone] = [planned({ ...open, batches: [dayBatch(), later] }), planned(open)]
    expect(both.tasks.filter(one => one.kind === 'cold-in').length).toBe(2)
    expect(both.coolant).toEqual(alone.coolant)
  })

  it('is foil for what is still to be wrapped: none once it was cut, or the blades are in', () => {
    const needed = (of: ShopDay) => planned(of).foil
    const metres = foilNeeded(BATCH, demo.shop).metres
    expect(needed(open)?.neededM).toBeCloseTo(metres, 9)
    const onRoll = (leftMm: number) => needed({ ...open, shop: { ...demo.shop, foil: { ...demo.shop.foil, leftMm } } })
    expect(onRoll(400)?.leftM).toBe(0.4)
    expect(onRoll(400)?.shortM).toBeCloseTo(metres - 0.4, 9)
    expect(onRoll(20_000)?.shortM).toBe(0)
    expect(needed({ ...open, batches: [dayBatch({ batch: { ...BATCH, foilCutM: 1.2 } })] })).toBeNull()
    expect(needed({ ...open, nowMin: 700, batches: [dayBatch({ progress: at('quenched', 695) })] })).toBeNull()
  })
})

describe('the day of a workshop', () => {
  it('takes as long as the batch’s own page says, where hands are there day and night', () => {
    const alone = batchDayOf(BATCH, demo.shop)
    if (!alone.ok) throw new Error('no day of its own')
    const plan = planned(day({ work: [[0, 6000]], nowMin: 0 }))
    const onMin = plan.lanes[0]?.onMin ?? 0
    // Every wait and every act is rounded to five minutes, and hands chill two steels one after the other.
    expect(Math.abs(plan.finishMin - onMin - alone.value.totalMin)).toBeLessThan(45)
  })

  it('heats the oven once hands are there, or before where it may heat by itself', () => {
    const [attended, alone] = [task(day(), 'load'), task(day({ heatsAlone: true }), 'load')]
    const onMin = planned(day()).lanes[0]?.onMin ?? 0
    expect(onMin).toBeGreaterThanOrEqual(480)
    expect(attended?.startMin).toBeGreaterThan(alone?.startMin ?? 0)
    expect(alone?.startMin).toBeGreaterThanOrEqual(480)
  })

  it('leaves hands and blades within their limits', () => {
    const plan = planned(day())
    for (const wait of plan.waits) expect(wait.toMin - wait.fromMin).toBeLessThanOrEqual(wait.limitMin + 60)
    const ordered = [...plan.tasks].sort((a, b) => a.startMin - b.startMin)
    ordered.slice(1).forEach((one, i) => {
      expect(one.startMin).toBeGreaterThanOrEqual(ordered[i]?.endMin ?? 0)
    })
  })

  it('begins when the maker says, and says so where it cannot be done by then', () => {
    const pinned = day({ batches: [dayBatch({ notBeforeMin: 700, notAfterMin: 700 })] })
    expect(task(pinned, 'load')?.startMin).toBe(700)
    const answer = planShopDay(day({ batches: [dayBatch({ deadlineMin: 900 })] }), VISITS)
    expect(answer.why?.code).toBe('deadline')
    expect(answer.plan?.finishMin).toBeGreaterThan(900)
    const tooLate = planShopDay(day({ batches: [dayBatch({ notBeforeMin: 300, notAfterMin: 300 })] }), VISITS)
    expect(tooLate.why?.code).toBe('start-set')
  })

  it('goes on from where a run stands: tempers that are left, one that is in', () => {
    const left = planned(day({ batches: [dayBatch({ progress: at('tempered', 400, 1) })], nowMin: 500 }))
    expect(left.tasks.some(one => one.kind === 'load')).toBe(false)
    expect(left.tasks.every(one => Object.values(one.rounds ?? {}).every(round => round === 2))).toBe(true)
    const inside = planned(day({ batches: [dayBatch({ progress: at('in-temper', 460, 1) })], nowMin: 500 }))
    expect(inside.tasks.find(one => one.kind === 'temper-out')?.startMin).toBeGreaterThanOrEqual(460 + 120)
    const done = planShopDay(day({ batches: [dayBatch({ progress: at('tempered', 400, 9) })], nowMin: 500 }), VISITS)
    expect(done).toMatchObject({ plan: null, why: null })
  })

  it('follows a run that is late', () => {
    const loaded = (nowMin: number) =>
      planned(day({ batches: [dayBatch({ progress: at('in-oven', 480) })], nowMin })).finishMin
    expect(loaded(900)).toBeGreaterThan(loaded(500))
  })
})

describe('a run between two of its loads', () => {
  const blades = standing(bladesOf(BATCH))
  const firstSteel = blades.filter(
    blade => blade.group.route.austenitizeC < Math.max(...blades.map(one => one.group.route.austenitizeC)),
  )
  const pulled = new Map(
    firstSteel.map(blade => [blade.id, { kind: 'quenched', atMin: 580, loadedMin: 500, round: 0 } as const]),
  )
  const between = (nowMin: number) => planned(day({ batches: [dayBatch({ progress: pulled, running: true })], nowMin }))

  it('goes on with the next load in the hot oven, and chills all together after it', () => {
    const plan = between(590)
    const loads = plan.tasks.filter(one => one.kind === 'load' && one.endMin > one.startMin)
    expect(loads).toHaveLength(1)
    expect(loads[0]?.startMin).toBeGreaterThanOrEqual(585)
    expect(loads[0]?.startMin).toBeLessThanOrEqual(600)
    expect(plan.tasks.filter(one => one.kind === 'cold-in')).toHaveLength(1)
    expect(plan.tasks.find(one => one.kind === 'cold-in')?.startMin).toBeGreaterThan(loads[0]?.endMin ?? 0)
  })

  it('is late by as much as the load is', () => {
    const loadAt = (nowMin: number) => between(nowMin).tasks.findLast(one => one.kind === 'load')?.startMin ?? 0
    expect(loadAt(650)).toBe(650)
  })
})

describe('what would help', () => {
  it('is planned: hands that stay longer save the night', () => {
    const longer = helpsOf(day(), VISITS).find(help => help.code === 'longer-hours')
    const untilMin = longer?.untilMin ?? 0
    expect(untilMin).toBeGreaterThan(1080)
    const really = planned(
      day({
        work: [
          [480, untilMin],
          [1920, 2520],
        ],
      }),
    ).finishMin
    expect(longer?.finishMin).toBe(really)
    expect(longer?.savedMin).toBe(planned(day()).finishMin - really)
    expect(really).toBeLessThanOrEqual(untilMin)
  })
})

describe('the latest start', () => {
  const long: ShopDay = day({ work: [[480, 1380]], nowMin: 450 })
  it('is the last that still ends within the hours: five minutes later does not', () => {
    const latest = latestStart(long, VISITS)
    const startMin = latest?.startMin ?? 0
    expect(latest?.byMin).toBe(1380)
    const from = (notBeforeMin: number) => planShopDay({ ...long, batches: [dayBatch({ notBeforeMin })] }, VISITS)
    expect(from(startMin).plan?.finishMin).toBeLessThanOrEqual(1380)
    expect(from(startMin).why).toBeNull()
    expect(from(startMin + 15).why).not.toBeNull()
  })

  it('is none where the day does not suffice', () => {
    expect(latestStart(day(), VISITS)).toBeNull()
  })
})

describe('what must not wait', () => {
  it('is what is lost the soonest first, then what only takes time', () => {
    const urgent = mustNotWait([
      dayBatch({ progress: at('in-temper', 300, 1) }),
      dayBatch({ progress: at('thawed', 400) }),
      dayBatch({ progress: at('quenched', 350) }),
    ])
    expect(urgent.map(one => one.loses)).toEqual(
      [...urgent.map(one => one.loses)].sort((a, b) => Number(b) - Number(a)),
    )
    expect(urgent[0]?.code).toBe('to-cold')
    expect(urgent.at(-1)?.code).toBe('in-temper')
    expect(mustNotWait([dayBatch()])).toEqual([])
  })

  it('is a pull at the plan’s own time', () => {
    const inside = day({ batches: [dayBatch({ progress: at('in-oven', 480) })], nowMin: 500 })
    const { plan, groups } = planShopDay(inside, VISITS)
    const urgent = withPulls(mustNotWait(inside.batches), plan?.tasks ?? [], groups)
    const pull = plan?.tasks.find(one => one.kind === 'pull')
    expect(urgent[0]).toMatchObject({ code: 'in-oven', dueMin: pull?.startMin })
    expect(urgent[0]?.dueMin).toBeGreaterThan(500)
    expect(withPulls(mustNotWait(inside.batches), [], groups)[0]?.dueMin).toBe(480)
  })
})
