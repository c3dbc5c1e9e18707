import { describe, expect, it } from 'vitest'
import { gradeOf, groupOf, NOW, readingOf, trayOf, withBlade } from '../../testing/tray'
import {
  addTemperAfter,
  decidedTemper,
  isOwnTemper,
  takeOutTemper,
  waitingTemper,
  withoutDecidedTemper,
} from '../batch/added-temper'
import { stagesOf } from '../batch/hardness-stages'
import { hardnessTrace } from '../hardness/hardness-trace'
import { temperLoadsOf } from '../load/loads'
import type { Batch } from '../shop/batch'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import type { Reading } from '../shop/reading'
import { predict } from '../steel/predict'
import { eachBlade } from './each-blade'

const grade = gradeOf('X65Cr13')
const plain = trayOf(grade, [{ mark: 'A', count: 4 }])
const batch: Batch = { ...plain, groups: plain.groups.map(g => ({ ...g, target: { min: 59, max: 60.5 } })) }
const { route } = groupOf(batch)
const last = stagesOf(route).at(-1) ?? 'temper-2'
const read = (bladeId: string, ...values: number[]): Reading[] => values.map(hrc => readingOf(bladeId, hrc, last))
const of = (readings: Reading[], tray = batch) =>
  eachBlade({
    batch: tray,
    readings,
    tester: DEFAULT_WORKSHOP.tester,
    can: { coldToC: -75, anneal: true, system: 'metric' },
    experienceOf: () => null,
  })

describe('blades that differ', () => {
  const readings = [...read('A1', 59.5, 60, 59.5), ...read('A2', 62, 62, 61.5), ...read('A3', 62, 61.5, 62)]
  const { needs, groups, unread } = of(readings)

  it('each get their own word, those that need the same go together, the unread are named', () => {
    expect(needs.find(n => n.bladeId === 'A1')?.best.kind).toBe('accept')
    expect(groups.find(g => g.kind === 'temper')?.bladeIds).toEqual(['A2', 'A3'])
    expect(unread).toEqual(['A4'])
  })

  it('make their next temper load, behind what their group had', () => {
    const load = groups.find(g => g.kind === 'temper')
    const judged = (load?.bladeIds ?? []).map(bladeId => ({ bladeId, stage: last }))
    const temper = load?.temper ?? { atC: 0, holdMin: 0 }
    const next = addTemperAfter(batch, judged, temper)
    const rounds = route.tempers.length
    const loads = temperLoadsOf(next).filter(l => l.round > rounds)
    expect(loads.map(l => [l.round, l.atC, l.blades.map(b => b.mark)])).toEqual([
      [rounds + 1, load?.temper?.atC, ['A2', 'A3']],
    ])
    expect(temperLoadsOf(batch).some(l => l.round > rounds)).toBe(false)
  })

  it('get a temper once, however often it is pressed, and it can be taken out again', () => {
    const judged = ['A2', 'A3'].map(bladeId => ({ bladeId, stage: last }))
    const temper = { atC: 230, holdMin: 120 }
    const once = addTemperAfter(batch, judged, temper)
    expect(waitingTemper(batch, judged)).toBeNull()
    expect(waitingTemper(once, judged)).toEqual(temper)
    expect(addTemperAfter(once, judged, { atC: 240, holdMin: 120 })).toEqual(once)
    expect(judged.every(one => isOwnTemper(once, one))).toBe(true)
    const out = takeOutTemper(once, judged)
    expect(out.blades.map(blade => blade.tempers ?? [])).toEqual(batch.blades.map(() => []))
    // A temper that the whole steel still has to come is not one blade’s to take out.
    const early = [{ bladeId: 'A2', stage: 'temper-1' as const }]
    expect(waitingTemper(batch, early)).toEqual(route.tempers[1])
    expect(isOwnTemper(batch, early[0] as never)).toBe(false)
    expect(addTemperAfter(batch, early, temper)).toEqual(batch)
  })

  it('a temper decided on for all of a steel is known by its decision, and goes with it', () => {
    const temper = { atC: 230, holdMin: 120 }
    const decision = {
      by: 'option' as const,
      at: NOW,
      kind: 'temper' as const,
      temper,
      cold: null,
      from: { stage: last, hrc: 61, u95: 0.5 },
      target: { min: 59, max: 60 },
      toHrc: 59.5,
      inTargetProbability: 0.9,
      note: '',
    }
    const plain = groupOf(batch)
    const decided = {
      ...plain,
      route: { ...plain.route, tempers: [...plain.route.tempers, temper] },
      decisions: [decision],
    }
    expect(decidedTemper(plain, last)).toBeNull()
    expect(decidedTemper(decided, last)).toBe(decision)
    expect(withoutDecidedTemper(decided, last)).toEqual(plain)
    expect(withoutDecidedTemper(plain, last)).toBe(plain)
    // The plan’s own second temper was decided by nobody.
    expect(decidedTemper(decided, 'temper-1')).toBeNull()
  })

  it('are served by files alone where there is no tester', () => {
    const files = [{ stage: last, skates: null, bites: 55, at: '2026-03-04T08:00:00.000Z' }]
    const [need] = of([], withBlade(batch, 'A1', { files })).needs
    expect(need?.measured).toBeLessThan(predict(grade, route).finalHrc.mean)
    expect(need?.u95).toBeGreaterThan(0.8)
    // Nothing was read, and the reason must not say so.
    expect(need?.best.why.measured.by).toBe('files')
  })
})

describe('hardness along the route', () => {
  it('goes on from what was measured', () => {
    const prediction = predict(grade, route)
    const stages = stagesOf(route)
    const first = hardnessTrace(prediction, prediction, stages, new Map())
    const off = hardnessTrace(
      prediction,
      prediction,
      stages,
      new Map([['as-quenched', (first[0]?.predicted ?? 0) - 1.2]]),
    )
    expect(off[0]?.expected).toBeCloseTo(first[0]?.predicted ?? 0, 9)
    off.slice(1).forEach((row, i) => {
      expect(row.expected).toBeCloseTo((first[i + 1]?.predicted ?? 0) - 1.2, 9)
    })
  })
})
