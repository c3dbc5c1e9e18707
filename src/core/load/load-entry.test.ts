import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ENTRY_SCHOOLS } from '../../data/ovens'
import { chamberOfSize } from '../../testing/chamber'
import { expectOk, gradeOf, groupOf, trayOf } from '../../testing/tray'
import { buildRunSteps } from '../run-plan/run-steps'
import type { Batch } from '../shop/batch'
import { DEFAULT_WORKSHOP, newOven } from '../shop/defaults'
import type { OvenLog } from '../shop/oven-log'
import { logTrace } from '../trace/log-trace'
import { planTimeline } from '../trace/timeline'
import { entryOf, loadsOf } from './loads'
import { pullPlanOf } from './pull-plan'

const grade = gradeOf('X65Cr13')
const shop = DEFAULT_WORKSHOP
const batch = (more: Partial<Batch> = {}): Batch =>
  trayOf(grade, [{ mark: 'A', count: 5, lengthMm: 350, widthMm: 50, thicknessMm: 4 }], more)
const stepsOf = (of: Batch, at = shop) => expectOk(buildRunSteps(of, at)).steps
const kinds = (of: Batch) => stepsOf(of).map(s => s.kind)

describe('how packets come to heat', () => {
  it('from cold they are in before the oven is on, and nothing is waited for', () => {
    const steps = stepsOf(batch({ entry: 'from-cold' }))
    expect(steps.map(s => s.kind).slice(0, 4)).toEqual(['ready', 'load', 'oven-on-loaded', 'full-heat'])
    expect(steps[1]).toMatchObject({ wait: null, ovenSetC: 0 })
    expect(steps[3]?.ovenSetC).toBeCloseTo(groupOf(batch()).route.austenitizeC, 6)
  })

  it('straight in they wait for full heat; on the way up for 800 °C; equalised for the first preheat', () => {
    const atLeast = (entry: Batch['entry']) => {
      const wait = stepsOf(batch({ entry })).find(s => s.kind === 'load')?.wait
      return wait?.kind === 'oven' ? Math.round(wait.atLeastC) : null
    }
    const soakC = groupOf(batch()).route.austenitizeC
    expect(atLeast('straight-in')).toBe(Math.round(soakC - 4))
    expect(atLeast('on-the-way-up')).toBe(796)
    expect(atLeast('equalised')).toBe((grade.equalise[0]?.atC ?? 600) - 4)
    expect(kinds(batch({ entry: 'on-the-way-up' })).filter(k => k === 'full-heat' || k === 'equalise')).toHaveLength(1)
  })

  it('gives preheats below the soak alone, whatever is asked (law)', () => {
    fc.assert(
      fc.property(fc.constantFrom(...ENTRY_SCHOOLS), fc.integer({ min: 700, max: 1250 }), (school, austenitizeC) => {
        const { equalise, entryC } = entryOf(school, grade.equalise, austenitizeC, 'metric')
        expect(entryC).toBeLessThanOrEqual(austenitizeC)
        for (const step of equalise) expect(step.atC).toBeLessThan(austenitizeC)
      }),
    )
  })
})

describe('the pull list in a run', () => {
  it('is what each pull waits for, with the rest the plates need named', () => {
    const still = { ...shop, plates: { ...shop.plates, air: 'still' as const, startC: 25 } }
    const [load] = loadsOf(batch(), 'metric')
    const plan = load && expectOk(pullPlanOf(load, still, batch()))
    const rested = plan?.pulls.find(p => p.restedS > 0)
    expect(rested).toBeDefined()
    const steps = stepsOf(batch(), still)
    const step = steps.find(s => s.kind === 'pull' && s.bladeIds.includes(rested?.bladeId ?? ''))
    expect(step?.wait).toMatchObject({ kind: 'soak' })
    expect(step?.wait?.kind === 'soak' ? step.wait.apartS : 0).toBeGreaterThanOrEqual(rested?.restedS ?? 0)
    expect(step?.names.restS).toBe(rested?.restedS)
  })
})

describe('an oven’s correction in the run', () => {
  it('is in every temperature that is set, and in none that the blade should see', () => {
    const ovens = [{ ...newOven('oven-1', 'Hot one', 'medium'), correctionC: -11 }]
    const corrected = { ...shop, ovens, temperingOvenId: null }
    const plain = stepsOf(batch(), { ...shop, temperingOvenId: null })
    expect(plain.some(step => step.ovenSetC > 500)).toBe(true)
    stepsOf(batch(), corrected).forEach((step, i) => {
      const before = plain[i]
      if (before && before.ovenSetC > 500) expect(step.ovenSetC).toBeCloseTo(before.ovenSetC - 11, 6)
    })
  })
})

describe('a measured log on the plan', () => {
  const stretches = planTimeline({
    route: groupOf(batch()).route,
    equalise: [],
    entryC: 800,
    oven: chamberOfSize('medium'),
    steelKg: 1,
    thicknessMm: 3,
  })
  const log: OvenLog = {
    id: 'l',
    ovenId: 'o',
    batchId: 'b',
    load: { temper: 0, groupIds: ['g'] },
    name: 'heat.csv',
    addedAt: '2026-03-02T12:00:00.000Z',
    points: [
      [0, 20],
      [50, 800],
      [52, 730],
      [60, 800],
      [95, 1065],
      [115, 1065],
      [116, 1020],
    ],
    loadedMin: null,
    pulledMin: null,
  }

  it('begins where the oven goes on, is at heat where the plan is, and ends at the first pull', () => {
    const trace = logTrace(log, stretches)
    const soak = stretches.findIndex(s => s.phase === 'soak')
    const [first, last] = [trace[0], trace.at(-1)]
    expect(first?.planMin).toBeCloseTo(stretches.find(s => s.phase === 'ramp')?.startMin ?? -1, 6)
    expect(last?.index).toBe(soak)
    expect(last?.planMin).toBeCloseTo(stretches[soak]?.endMin ?? -1, 3)
    const atHeat = trace.find(p => p.index === soak)
    expect(atHeat?.c).toBeGreaterThan(1050)
  })

  it('of a climb that was broken off is not stretched to the soak: it runs at its own pace', () => {
    const broken = { ...log, points: [...log.points.slice(0, 3), [60, 830] as [number, number]] }
    const trace = logTrace(broken, stretches)
    const last = trace.at(-1)
    expect(last?.c).toBe(830)
    expect(last?.planMin).toBeLessThan(stretches.find(s => s.phase === 'soak')?.startMin ?? 0)
    const load = stretches.find(s => s.note?.code === 'load')?.startMin ?? 0
    expect((last?.planMin ?? 0) - load).toBeCloseTo(10, 6)
  })

  it('of the second temper lies on the second temper', () => {
    const second: OvenLog = {
      ...log,
      load: { temper: 2, groupIds: ['g'] },
      points: [
        [0, 20],
        [20, 200],
        [140, 200],
        [170, 60],
      ],
    }
    const trace = logTrace(second, stretches)
    const [ramp, hold] = (['temper-ramp', 'temper'] as const).map(phase => stretches.filter(s => s.phase === phase)[1])
    expect(trace[0]?.planMin).toBeCloseTo(ramp?.startMin ?? -1, 6)
    expect(trace.at(-1)?.planMin).toBeCloseTo(hold?.endMin ?? -1, 6)
    expect(logTrace({ ...second, load: { temper: 3, groupIds: ['g'] } }, stretches)).toEqual([])
  })

  it('never goes back in the plan (law)', () => {
    const trace = logTrace(log, stretches)
    trace.slice(1).forEach((p, i) => {
      expect(p.planMin).toBeGreaterThanOrEqual((trace[i]?.planMin ?? 0) - 1e-9)
    })
  })
})

describe('the way up in °F', () => {
  it('is in temperatures that can be keyed: preheats and entry in fives of that scale', () => {
    for (const entry of ['equalised', 'on-the-way-up'] as const) {
      const [load] = loadsOf(batch({ entry }), 'imperial')
      const fives = [...(load?.equalise ?? []).map(step => step.atC), load?.entryC ?? 0].map(c => c * 1.8 + 32)
      for (const f of fives) expect(Math.abs(f / 5 - Math.round(f / 5))).toBeLessThan(1e-6)
      // No further from the sheet than half a step.
      load?.equalise.forEach((step, i) => {
        expect(Math.abs(step.atC - (grade.equalise[i]?.atC ?? 0))).toBeLessThanOrEqual(2.5 / 1.8 + 1e-9)
      })
    }
  })
})
