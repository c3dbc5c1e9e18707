import { describe, expect, it } from 'vitest'
import { makeDemoWorkshop } from '../../simulators/demo/make-demo'
import { dayBatchOf } from '../../testing/shop-day'
import { gradeOf } from '../../testing/tray'
import { standing } from '../batch/blade-state'
import { heatBeforeOf, isOfHeat, putIntoHeat, takenFromHeat } from '../batch/heat-marks'
import { bladesOf } from '../batch/tray'
import type { Batch } from '../shop/batch'
import { withBlades } from '../shop/batch-records'
import { planFor } from '../steel/grades'
import type { DayBatch } from './day-batch'
import { planShopDay } from './shop-day'

const demo = makeDemoWorkshop(7, new Date('2026-03-02T08:00:00Z'))
const measured = new Set(demo.readings.map(reading => reading.batchId))
const BATCH = withBlades(demo.batches, demo.blades).find(batch => batch.blades.length > 4 && !measured.has(batch.id))
if (!BATCH) throw new Error('the demo has no batch to plan')
const IDS = standing(bladesOf(BATCH)).map(({ id }) => id)
const AT = '2026-03-02T09:00:00.000Z'

const planned = (batches: readonly Batch[], change: Partial<DayBatch> = {}) => {
  const { plan, why } = planShopDay(
    {
      batches: batches.map(batch => dayBatchOf(batch, change)),
      shop: demo.shop,
      work: [[0, 8000]],
      helper: [],
      cheap: [],
      nowMin: 0,
      heatsAlone: true,
    },
    100_000,
  )
  if (!plan || why) throw new Error(why?.code ?? 'nothing to plan')
  return plan
}
const at = (plan: ReturnType<typeof planned>, kind: string) => plan.tasks.filter(task => task.kind === kind)

describe('a stress relief before the load', () => {
  const relieved: Batch = { ...BATCH, stressRelief: true }
  const plan = planned([relieved])

  it('goes up slowly to 650 °C, holds an hour, and its blades cool and are wrapped before they are loaded', () => {
    const [[into], [out], [load]] = [at(plan, 'relieve-in'), at(plan, 'relieve-out'), at(plan, 'load')]
    // 650 °C for an hour, then air (common practice, no published source); no faster than 300 K an hour from 200 °C on.
    expect((out?.startMin ?? 0) - (into?.startMin ?? 0)).toBeGreaterThanOrEqual(60 + ((650 - 200) / 300) * 60)
    expect(load?.startMin).toBeGreaterThanOrEqual((out?.endMin ?? 0) + 60)
    const stay = plan.lanes.flatMap(lane => lane.stays).find(one => one.before === 'relieve')
    expect(stay).toMatchObject({ atC: 650, fromMin: into?.startMin, toMin: out?.endMin, rounds: null })
    const oven = plan.lanes.find(lane => lane.stays.some(one => one.before))
    for (const [i, one] of oven?.stays.entries() ?? [])
      expect(one.fromMin).toBeGreaterThanOrEqual(oven?.stays[i - 1]?.toMin ?? 0)
  })

  it('is planned where it is wanted, and until it is out', () => {
    expect(at(planned([BATCH]), 'relieve-in')).toEqual([])
    const out = takenFromHeat(relieved, { kind: 'relieve', bladeIds: IDS }, AT)
    expect(at(planned([out]), 'relieve-in')).toEqual([])
    expect(planned([out]).finishMin).toBe(planned([BATCH]).finishMin)
  })

  it('comes out when its time is over, once it is in', () => {
    const inside = putIntoHeat(relieved, { kind: 'relieve', bladeIds: IDS }, AT)
    const began = planned([inside], { heatedInMin: new Map(IDS.map(id => [id, -30])) })
    const lasts = (at(plan, 'relieve-out')[0]?.startMin ?? 0) - (at(plan, 'relieve-in')[0]?.startMin ?? 0)
    expect(at(began, 'relieve-out')[0]?.startMin).toBe(lasts - 30)
  })

  it('is one closing for two batches that need the same', () => {
    const two = planned([relieved, { ...relieved, id: 'again' }])
    expect(at(two, 'relieve-in')).toHaveLength(1)
    expect(new Set(at(two, 'relieve-in')[0]?.groups.map(id => id.split('~')[0]))).toEqual(new Set([BATCH.id, 'again']))
  })
})

describe('an anneal before the load', () => {
  const [first] = BATCH.groups
  const again: Batch = {
    ...BATCH,
    stressRelief: true,
    groups: BATCH.groups.filter(group => group === first),
    lines: BATCH.lines.filter(line => line.groupId === first?.id),
    blades: BATCH.blades
      .filter(blade => BATCH.lines.find(line => line.id === blade.lineId)?.groupId === first?.id)
      .map(blade => ({ ...blade, before: { batchId: 'b', bladeId: 'old', hardened: 1 } })),
  }
  it('is a night’s work for blades that were hardened before, and takes the stress relief’s place', () => {
    const plan = planned([again])
    expect(at(plan, 'relieve-in')).toEqual([])
    const [[into], [out]] = [at(plan, 'anneal-in'), at(plan, 'anneal-out')]
    // 900 °C for two hours, then 10 to 15 °C an hour down to 650 °C, then the oven off: more than 18 h. Common practice, no published source.
    expect((out?.startMin ?? 0) - (into?.startMin ?? 0)).toBeGreaterThan(18 * 60)
    expect(at(plan, 'load')[0]?.startMin).toBeGreaterThan(out?.endMin ?? 0)
  })
})

describe('steels of one batch that are annealed each in its own way', () => {
  const [one, other] = BATCH.groups
  const cycles: Batch = {
    ...BATCH,
    // Of one temper, one cold and one limit, so that they go on together after the quench.
    groups: BATCH.groups.map(group => ({
      ...group,
      ...planFor(gradeOf(group === other ? '100Cr6' : 'C75S')),
      route: { ...group.route, tempers: one?.route.tempers ?? [], cold: one?.route.cold ?? null },
    })),
    blades: BATCH.blades.map(blade => ({ ...blade, before: { batchId: 'b', bladeId: 'old', hardened: 1 } })),
  }
  it('are two closings, each with its own length and blades', () => {
    const stays = planned([cycles])
      .lanes.flatMap(lane => lane.stays)
      .filter(stay => stay.before === 'anneal')
    expect(stays).toHaveLength(2)
    expect(new Set(stays.map(stay => stay.atC)).size).toBe(2)
    expect(new Set(stays.flatMap(stay => stay.groups)).size).toBe(stays.flatMap(stay => stay.groups).length)
  })
})

describe('blades found bent', () => {
  const bent = new Set(IDS.slice(0, 2))
  const seen = { bentAt: null, cracked: false, colour: null, skates: null, bites: null, hrc: null }
  const batch: Batch = {
    ...BATCH,
    blades: BATCH.blades.map(blade => (bent.has(blade.id) ? { ...blade, inspection: { ...seen, bowMm: 4 } } : blade)),
  }
  const quenched = new Map(IDS.map(id => [id, { kind: 'quenched', atMin: 0, loadedMin: 0, round: 0 } as const]))

  it('are straightened warm, as they come out of their first temper and of no other', () => {
    const plan = planned([batch], { progress: quenched })
    const straighten = at(plan, 'straighten')
    expect(straighten.reduce((sum, task) => sum + task.endMin - task.startMin, 0)).toBe(2 * 5)
    for (const task of straighten) {
      const out = at(plan, 'temper-out').find(one => one.rounds?.[task.groups[0] ?? ''] === 1)
      expect(task.startMin - (out?.endMin ?? 0)).toBeGreaterThanOrEqual(0)
      expect(task.startMin - (out?.endMin ?? 0)).toBeLessThanOrEqual(5)
    }
    expect(at(planned([BATCH], { progress: quenched }), 'straighten')).toEqual([])
    const after = new Map(IDS.map(id => [id, { kind: 'tempered', atMin: 0, loadedMin: 0, round: 1 } as const]))
    expect(at(planned([batch], { progress: after }), 'straighten')).toEqual([])
  })

  it('are left as they are within what a blade may keep', () => {
    const little = { ...batch, blades: batch.blades.map(blade => ({ ...blade, inspection: { ...seen, bowMm: 0.2 } })) }
    expect(at(planned([little], { progress: quenched }), 'straighten')).toEqual([])
  })
})

describe('what is known of a heat before the hardening', () => {
  const [a = '', b = ''] = IDS
  it('is told for each blade, the newest of it', () => {
    const one = putIntoHeat(BATCH, { kind: 'relieve', bladeIds: [a] }, AT)
    expect(heatBeforeOf(one, 'relieve', a)).toMatchObject({ inAt: AT, outAt: null })
    expect(heatBeforeOf(one, 'relieve', b)).toBeNull()
    expect(heatBeforeOf(one, 'anneal', a)).toBeNull()
    // What came out without a word of going in is out as well.
    const both = takenFromHeat(one, { kind: 'relieve', bladeIds: [a, b] }, '2026-03-02T12:00:00.000Z')
    expect(heatBeforeOf(both, 'relieve', a)).toMatchObject({ inAt: AT, outAt: '2026-03-02T12:00:00.000Z' })
    expect(heatBeforeOf(both, 'relieve', b)?.outAt).toBe('2026-03-02T12:00:00.000Z')
  })

  it('leaves the anneal to blades hardened before, the relief to the others', () => {
    const [blade] = bladesOf(BATCH)
    if (!blade) throw new Error('no blade')
    const before = { ...blade.record, before: { batchId: 'b', bladeId: 'o', hardened: 1 } }
    expect([isOfHeat(blade, 'relieve'), isOfHeat(blade, 'anneal')]).toEqual([true, false])
    expect([isOfHeat({ record: before }, 'relieve'), isOfHeat({ record: before }, 'anneal')]).toEqual([false, true])
  })
})
