import { describe, expect, it } from 'vitest'
import { temperLoadsOf } from '../plan/tray'
import { DEFAULT_WORKSHOP, newBatch } from '../record/defaults'
import type { Batch, Reading } from '../record/schemas'
import { stagesOf } from '../rockwell/stages'
import { hardnessTrace } from '../rockwell/trace'
import { findGrade } from '../steel/grades'
import { predict } from '../steel/predict'
import { eachBlade, withPieceTemper } from './each-blade'

const grade = findGrade('X65Cr13')
if (!grade) throw new Error('grade')
const base = newBatch({ batch: 'b', group: 'g' }, 'Tray', grade, DEFAULT_WORKSHOP, '2026-03-02T08:00:00.000Z')
const batch: Batch = {
  ...base,
  groups: base.groups.map(g => ({ ...g, target: { min: 59, max: 60.5 } })),
  blades: [
    { id: 'x', groupId: 'g', mark: 'A', lengthMm: 250, widthMm: 40, thicknessMm: 2.5, count: 4, bevels: 'pre-ground' },
  ],
}
const last = stagesOf(batch.groups[0]?.route ?? { cold: null, tempers: [] }).at(-1) ?? 'temper-2'
const read = (piece: string, ...values: number[]): Reading[] =>
  values.map((hrc, i) => ({
    id: `${piece}${i}`,
    batchId: 'b',
    groupId: 'g',
    piece,
    stage: last,
    hrc,
    at: '2026-03-04T08:00:00.000Z',
    deletedAt: null,
  }))
const routeOf = (of: Batch) => {
  const [group] = of.groups
  if (!group) throw new Error('group')
  return group.route
}
const can = { coldToC: -75, anneal: true }

describe('blades that differ', () => {
  const readings = [...read('A1', 59.5, 60, 59.5), ...read('A2', 62, 62, 61.5), ...read('A3', 62, 61.5, 62)]
  const { needs, groups, unread } = eachBlade(batch, readings, null, can)

  it('each get their own word, those that need the same go together, the unread are named', () => {
    expect(needs.find(n => n.mark === 'A1')?.best.kind).toBe('accept')
    expect(groups.find(g => g.kind === 'temper')?.marks).toEqual(['A2', 'A3'])
    expect(unread).toEqual(['A4'])
  })

  it('make their next temper load, behind what their group had', () => {
    const load = groups.find(g => g.kind === 'temper')
    const next = withPieceTemper(batch, load?.marks ?? [], load?.temper ?? { atC: 0, holdMin: 0 })
    const rounds = batch.groups[0]?.route.tempers.length ?? 0
    const loads = temperLoadsOf(next).filter(l => l.round > rounds)
    expect(loads.map(l => [l.round, l.atC, l.pieces.map(p => p.mark)])).toEqual([
      [rounds + 1, load?.temper?.atC, ['A2', 'A3']],
    ])
    expect(temperLoadsOf(batch).some(l => l.round > rounds)).toBe(false)
  })

  it('are served by files alone where there is no tester', () => {
    const filed: Batch = {
      ...batch,
      files: [{ mark: 'A1', stage: last, skates: null, bites: 55, at: '2026-03-04T08:00:00.000Z' }],
    }
    const [need] = eachBlade(filed, [], null, can).needs
    expect(need?.measured).toBeLessThan(predict(grade, routeOf(batch)).finalHrc.mean)
    expect(need?.u95).toBeGreaterThan(0.8)
    // Nothing was read, and the reason must not say so.
    expect(need?.best.why).toMatch(/^By files/)
  })
})

describe('hardness along the route', () => {
  it('goes on from what was measured', () => {
    const route = routeOf(batch)
    const prediction = predict(grade, route)
    const stages = stagesOf(route)
    const first = hardnessTrace(prediction, stages, new Map())
    const off = hardnessTrace(prediction, stages, new Map([['as-quenched', (first[0]?.predicted ?? 0) - 1.2]]))
    expect(off[0]?.expected).toBeCloseTo(first[0]?.predicted ?? 0, 9)
    off.slice(1).forEach((row, i) => {
      expect(row.expected).toBeCloseTo((first[i + 1]?.predicted ?? 0) - 1.2, 9)
    })
  })
})
