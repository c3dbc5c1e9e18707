import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { expectOk, gradeOf, trayOf, withTray } from '../../testing/tray'
import { temperLoadsOf } from '../load/loads'
import { newGroup } from '../new-batch/new-batch'
import { batchDayOf } from '../run-plan/batch-day'
import type { Batch } from '../shop/batch'
import { DEFAULT_WORKSHOP, newOven } from '../shop/defaults'
import type { Workshop } from '../shop/workshop'
import { cFromF } from '../units/temperature'
import { sharedTempers, withSharedTempers } from './shared-tempers'

const SHOP: Workshop = {
  ...DEFAULT_WORKSHOP,
  units: 'imperial',
  ovens: [newOven('oven-1', 'Hardening', 'medium'), newOven('oven-2', 'Tempering', 'small', 'tempering')],
  hardeningOvenId: 'oven-1',
  temperingOvenId: 'oven-2',
}

const STEELS = ['X65Cr13', 'X105CrMo17', '95MnWCr5'] as const

/** Fourteen blades of three steels, each tempered twice for two hours at a temperature in °F. */
function fourteen(temperF: readonly number[], holdMin: readonly number[] = [120, 120, 120]): Batch {
  const groups = STEELS.map((name, i) => {
    const group = newGroup(`g${i}`, gradeOf(name), SHOP)
    const temper = { atC: cFromF(temperF[i] as number), holdMin: holdMin[i] as number }
    return { ...group, route: { ...group.route, tempers: [temper, temper] } }
  })
  return withTray({ ...trayOf(gradeOf('X65Cr13'), []), groups }, [
    { mark: 'A', count: 6, groupId: 'g0' },
    { mark: 'B', count: 4, groupId: 'g1' },
    { mark: 'C', count: 4, groupId: 'g2' },
  ])
}

const plansOf = (batch: Batch) => expectOk(sharedTempers(batch, SHOP, () => null))

describe('tempers that share their loads', () => {
  it('460 and 475 °F share one load from 10 °F on, each steel with what it costs in hardness', () => {
    const [planned, shared, ...more] = plansOf(fourteen([350, 460, 475]))
    expect(planned).toMatchObject({ withinK: 0, loads: 6, changes: [] })
    expect(shared?.loads).toBe(4)
    expect((shared?.withinK ?? 0) * 1.8).toBeCloseTo(10, 9)
    // Two holds of two hours fewer, and what the blades and the oven take besides.
    expect((planned?.totalMin ?? 0) - (shared?.totalMin ?? 0)).toBeGreaterThanOrEqual(240)
    expect(shared?.changes.map(({ groupId }) => groupId)).toEqual(['g1', 'g2'])
    const [cooler, hotter] = shared?.changes ?? []
    expect(cooler?.toC).toBe(hotter?.toC)
    // Tempered hotter it is softer, tempered cooler harder: below the secondary peak every chart falls (ASM Handbook vol. 4, from memory).
    expect(cooler?.hrc).toBeLessThan(cooler?.fromHrc ?? 0)
    expect(hotter?.hrc).toBeGreaterThan(hotter?.fromHrc ?? 99)
    expect(more).toEqual([])
  })

  it('steels at one temperature share the longest hold without moving a temper', () => {
    const [planned, shared] = plansOf(fourteen([350, 460, 460], [120, 90, 120]))
    expect(planned?.loads).toBe(6)
    expect(shared).toMatchObject({ withinK: 0, loads: 4 })
    expect(shared?.changes).toMatchObject([{ groupId: 'g1', holdMin: 120 }])
  })

  it('says nothing where nothing is to be won', () => {
    expect(plansOf(fourteen([350, 405, 460]))).toHaveLength(1)
    expect(plansOf(fourteen([400, 400, 400]))).toHaveLength(1)
  })

  it('never moves a temper past its limit or its grade’s, and the batch changed so has the loads and the time that were named', () => {
    const temper = fc.integer({ min: 64, max: 110 }).map(five => five * 5)
    fc.assert(
      fc.property(fc.tuple(temper, temper, temper), temperF => {
        const batch = fourteen(temperF)
        let before = Number.POSITIVE_INFINITY
        for (const plan of plansOf(batch)) {
          expect(plan.totalMin).toBeLessThan(before)
          before = plan.totalMin
          for (const { fromC, toC, gradeName } of plan.changes) {
            const { temper } = gradeOf(gradeName)
            expect(Math.abs(toC - fromC)).toBeLessThanOrEqual(plan.withinK + 1e-6)
            if (toC !== fromC) expect(toC).toBeLessThanOrEqual(temper.maxC + 1e-6)
            if (toC !== fromC) expect(toC).toBeGreaterThanOrEqual(temper.minC - 1e-6)
          }
          const changed = withSharedTempers(batch, plan)
          expect(temperLoadsOf(changed)).toHaveLength(plan.loads)
          expect(expectOk(batchDayOf(changed, SHOP)).totalMin).toBeCloseTo(plan.totalMin, 6)
        }
      }),
      { numRuns: 15 },
    )
  })
})
