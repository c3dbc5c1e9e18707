import { describe, expect, it } from 'vitest'
import { expectOk, gradeOf, groupOf, refusalOf, trayOf, withTray } from '../../testing/tray'
import { newGroup } from '../new-batch/new-batch'
import { DEFAULT_WORKSHOP, newOven } from '../shop/defaults'
import type { Workshop } from '../shop/workshop'
import { batchDayOf } from './batch-day'
import { buildRunSteps } from './run-steps'

const two: Workshop = {
  ...DEFAULT_WORKSHOP,
  cold: { ...DEFAULT_WORKSHOP.cold, medium: 'none' },
  ovens: [newOven('oven-1', 'Hardening', 'medium'), newOven('oven-2', 'Tempering', 'small', 'tempering')],
  hardeningOvenId: 'oven-1',
  temperingOvenId: 'oven-2',
}
const one: Workshop = { ...two, temperingOvenId: null }

/** Stainless blades at one soak, and a high-speed steel that is tempered hot, at another. */
const mixed = (() => {
  const plain = trayOf(gradeOf('X65Cr13'), [])
  const stainless = newGroup('g', gradeOf('X65Cr13'), two)
  const hot = newGroup('h', gradeOf('HS6-5-2C'), two)
  return withTray({ ...plain, groups: [stainless, hot] }, [
    { mark: 'A', count: 4 },
    { mark: 'B', count: 2, groupId: 'h' },
  ])
})()
const dayOf = (shop: Workshop, batch = mixed) => expectOk(batchDayOf(batch, shop))

describe('a batch from oven on to its last temper', () => {
  it('with one oven waits for it to fall, and goes hottest first; with two the cooler goes first', () => {
    const temps = (shop: Workshop) => dayOf(shop).tempers.map(({ load }) => Math.round(load.atC))
    const hottest = Math.max(...temps(two))
    expect(temps(one)[0]).toBe(hottest)
    expect(temps(two)[0]).toBeLessThan(hottest)
    // A closed brick oven takes hours from over 1,000 °C to 200: cooling to 200 °C 3.35 h, thermal reference.
    expect(dayOf(one).totalMin).toBeGreaterThan(dayOf(two).totalMin)
  })

  it('says how long the blades stand untempered against the limit of their steel', () => {
    const stands = (shop: Workshop) => new Map(dayOf(shop).standings.map(s => [s.groupId, s]))
    expect(stands(two).get('g')?.limitMin).toBe(240)
    expect(stands(two).get('h')?.limitMin).toBe(120)
    // Looked at for 20 min and straight into an oven that is heated meanwhile.
    expect(stands(two).get('g')?.standsMin).toBeGreaterThanOrEqual(20)
    const alone = trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 2 }])
    const plain = { ...alone, groups: [newGroup('g', gradeOf('X65Cr13'), two)] }
    const [waits] = dayOf(one, plain).standings
    const [goes] = dayOf(two, plain).standings
    expect((waits?.standsMin ?? 0) - (goes?.standsMin ?? 0)).toBeGreaterThan(120)
  })

  it('does not count the cold as standing: a night in dry ice adds its waits alone', () => {
    const plain = trayOf(gradeOf('X65Cr13'), [{ mark: 'A' }])
    const withHold = (holdMin: number) => {
      const { route, ...group } = groupOf(plain)
      return { ...plain, groups: [{ ...group, route: { ...route, cold: { toC: -75, holdMin, delayMin: 30 } } }] }
    }
    const [short] = dayOf(two, withHold(60)).standings
    const [night] = dayOf(two, withHold(600)).standings
    expect(night?.standsMin).toBeCloseTo(short?.standsMin ?? 0, 6)
    expect(dayOf(two, withHold(600)).totalMin - dayOf(two, withHold(60)).totalMin).toBeCloseTo(540, 6)
  })

  it('is the order the run goes by, with its waits: nothing cools for a round that can go in at once', () => {
    const { steps } = expectOk(buildRunSteps(mixed, one))
    const order = steps.filter(step => step.kind === 'temper-in').map(step => Math.round(step.ovenSetC))
    expect(order).toEqual(dayOf(one).tempers.map(({ load }) => Math.round(load.atC)))
    const waits = dayOf(one).tempers.map(({ coolingMin }) => Math.round(coolingMin * 60))
    const cools = steps
      .filter(step => step.kind === 'temper-cool')
      .map(step => (step.wait?.kind === 'seconds' ? step.wait.seconds : 0))
    expect(cools).toEqual(waits.filter(s => s > 0))
    // The first temper in the oven that hardened waits until that has fallen.
    expect(steps.find(step => step.kind === 'temper-start')?.wait?.kind).toBe('oven-below')
  })

  it('is nothing for an empty tray, and refused by name without an oven', () => {
    const empty = dayOf(two, trayOf(gradeOf('X65Cr13'), []))
    expect(empty).toEqual({ hot: [], cold: null, tempers: [], standings: [], quenchedMin: 0, totalMin: 0 })
    expect(refusalOf(batchDayOf({ ...mixed, ovenId: 'gone', ovenName: 'Old Faithful' }, one))).toContain('Old Faithful')
    expect(batchDayOf(mixed, { ...two, temperingOvenId: 'gone' }).ok).toBe(false)
  })
})
