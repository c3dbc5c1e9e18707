import { describe, expect, it } from 'vitest'
import { makeDemoWorkshop } from '../../simulators/demo/make-demo'
import { makeBigShop } from '../../testing/big-shop'
import { answerQuestion } from '../contract/question'
import { logbook, logbookNewest } from '../contract/questions/logbook'
import { withBlades } from '../shop/batch-records'
import { createShopMemory, type ShopLog } from './shop-memory'

const demo = makeDemoWorkshop(7, new Date('2026-03-02T08:00:00Z'))
const log: ShopLog = {
  batches: withBlades(demo.batches, demo.blades),
  readings: demo.readings,
  tester: demo.shop.tester,
}
const [read] = log.batches.filter(batch => log.readings.some(r => r.batchId === batch.id))
if (!read) throw new Error('the demo has readings')
const LEARNT = { lot: '', ovenId: read.ovenId ?? '', exceptBatchId: null }

describe('the shop’s memory', () => {
  it('knows nothing before it was told anything', () => {
    const memory = createShopMemory()
    expect(memory.fitExcept(null)).toBeNull()
    expect(memory.experience(LEARNT)).toBeNull()
    expect(memory.log.batches).toEqual([])
  })

  it('tells of the newest batches by themselves, before and after the whole log is there', () => {
    const memory = createShopMemory()
    const some = { ...log, batches: log.batches.slice(0, 2) }
    memory.holdNewest(some)
    expect([memory.newest, memory.log.batches]).toEqual([some, []])
    memory.hold(log)
    expect(memory.newest).toBe(some)
    expect(memory.fitExcept(null)).toBeNull()
    const rows = (name: 'logbook' | 'logbookNewest') => {
      const answer = answerQuestion(name === 'logbook' ? logbook : logbookNewest, {}, memory)
      return answer.ok ? (answer.value as { batchId: string; key: string }[]) : []
    }
    const ids = new Set(some.batches.map(batch => batch.id))
    expect(rows('logbookNewest')).toEqual(rows('logbook').filter(row => ids.has(row.batchId)))
    expect(rows('logbookNewest').length).toBeGreaterThan(0)
  })

  it('teaches anew only where readings or routes changed: not for a name, a note or a batch without readings', () => {
    const memory = createShopMemory()
    expect(memory.keep(log)).toBe(true)
    expect(memory.keep(log)).toBe(false)
    const renamed = log.batches.map(batch => ({ ...batch, name: 'Other', note: 'told', rev: batch.rev + 1 }))
    expect(memory.keep({ ...log, batches: renamed })).toBe(false)
    const fresh = { ...read, id: 'fresh', blades: [], lines: [] }
    expect(memory.keep({ ...log, batches: [...log.batches, fresh] })).toBe(false)
    const struck = log.readings.map((r, i) => (i === 0 ? { ...r, hrc: r.hrc + 1 } : r))
    expect(memory.keep({ ...log, readings: struck })).toBe(true)
    const rerouted = log.batches.map(batch =>
      batch.id === read.id
        ? { ...batch, groups: batch.groups.map(g => ({ ...g, route: { ...g.route, soakMin: g.route.soakMin + 9 } })) }
        : batch,
    )
    expect(memory.keep({ ...log, batches: rerouted })).toBe(true)
    expect(memory.keep({ ...log, batches: log.batches.filter(batch => batch.id !== read.id) })).toBe(true)
  })

  it('is the same after many small changes as after one reading of the whole log', () => {
    const step = createShopMemory()
    for (let n = 1; n <= log.batches.length; n++) step.keep({ ...log, batches: log.batches.slice(0, n) })
    const whole = createShopMemory()
    whole.keep(log)
    expect(step.fitExcept(null)).toEqual(whole.fitExcept(null))
  })

  it('leaves a batch out of what it is predicted with, as if it had never been', () => {
    const memory = createShopMemory()
    memory.keep(log)
    const without = createShopMemory()
    without.keep({ ...log, batches: log.batches.filter(batch => batch.id !== read.id) })
    expect(memory.fitExcept(read.id)).toEqual(without.fitExcept(null))
    expect(memory.fitExcept(read.id)).not.toEqual(memory.fitExcept(null))
    // A batch that taught nothing leaves nothing out.
    expect(memory.fitExcept('never')).toBe(memory.fitExcept(null))
  })

  it('learns the same from the newest batches that are enough as from the whole log, whichever is left out', () => {
    const big = makeBigShop(170, 3, new Date('2026-03-02T08:00:00Z'))
    const whole: ShopLog = { batches: withBlades(big.batches, big.blades), readings: big.readings, tester: log.tester }
    const newestFirst = [...whole.batches].sort((a, b) => b.createdAt.localeCompare(a.createdAt))
    const memory = createShopMemory()
    const partOf = (n: number): ShopLog => ({ ...whole, batches: newestFirst.slice(0, n) })
    let n = 40
    while (n < newestFirst.length && !memory.isEnough(partOf(n))) n += 40
    expect(n).toBeLessThan(newestFirst.length)
    expect(createShopMemory().isEnough(log)).toBe(false)
    memory.teach(partOf(n))
    const all = createShopMemory()
    all.keep({ ...whole, batches: newestFirst })
    for (const out of [null, newestFirst[4]?.id ?? '', newestFirst[n - 1]?.id ?? '']) {
      expect(memory.fitExcept(out)?.model.rows).toEqual(all.fitExcept(out)?.model.rows)
      expect(memory.fitExcept(out)?.model.alpha).toEqual(all.fitExcept(out)?.model.alpha)
    }
  })
})
