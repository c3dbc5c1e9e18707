import { describe, expect, it } from 'vitest'
import { DEFAULT_WORKSHOP, newBatch } from '../record/defaults'
import { ovenOf } from '../record/oven-record'
import { oven as question } from '../record/questions/oven'
import type { Batch } from '../record/schemas'
import { findGrade } from '../steel/grades'
import { heatAnswerOf, heatOf, kindsOf, placesOf } from './heat-load'
import { loadsOf } from './tray'

const grade = findGrade('X65Cr13')
if (!grade) throw new Error('grade')
const plain = newBatch({ batch: 'b', group: 'g' }, 'Tray', grade, DEFAULT_WORKSHOP, '2026-03-02T08:00:00.000Z')
const [group] = plain.groups
if (!group) throw new Error('group')
const blade = { lengthMm: 220, widthMm: 35, bevels: 'full' as const }
const batch: Batch = {
  ...plain,
  entry: 'on-the-way-up',
  groups: [group, { ...group, id: 'h', route: { ...group.route, austenitizeC: group.route.austenitizeC - 30 } }],
  blades: [
    { ...blade, id: 'x', groupId: 'g', mark: 'A', thicknessMm: 2, count: 2 },
    { ...blade, id: 'y', groupId: 'g', mark: 'B', thicknessMm: 5, count: 1 },
    { ...blade, id: 'z', groupId: 'h', mark: 'C', thicknessMm: 3, count: 3 },
  ],
}
const oven = ovenOf(DEFAULT_WORKSHOP)
const loads = loadsOf(batch)
const answered = (i: number) => {
  const asked = heatOf(loads, i, oven, batch)
  const answer = question.answer(question.request.parse(asked.request))
  if (!answer.ok) throw new Error(answer.problems[0]?.message)
  return { asked, heat: heatAnswerOf(asked, answer.value), answer: answer.value }
}

describe('a load on its oven', () => {
  it('begins from cold; the one after it from where the first is out', () => {
    const [first, second] = [answered(0), answered(1)]
    expect(first.heat.fromMin).toBe(0)
    expect(second.heat.fromMin).toBeGreaterThan(first.heat.reachedMin ?? Number.POSITIVE_INFINITY)
    expect((second.heat.reachedMin ?? 0) - second.heat.fromMin).toBeLessThan(0.5 * (first.heat.reachedMin ?? 0))
  })

  it('shares the energy of both between them', () => {
    const [first, second] = [answered(0), answered(1)]
    // The first alone is held for as long as before the second goes in, and so takes what the second does not.
    expect(first.heat.energyKWh + second.heat.energyKWh).toBeCloseTo(second.answer.energyKWh, 1)
    expect(second.heat.energyKWh).toBeLessThan(first.heat.energyKWh)
  })

  it('names its own blades, the thick ones later than the thin', () => {
    const { kinds } = answered(1).heat
    expect(kinds.map(k => k.marks.join(' '))).toEqual(['A1 A2', 'B'])
    expect(kinds[1]?.withinFiveCMin).toBeGreaterThan(kinds[0]?.withinFiveCMin ?? Number.POSITIVE_INFINITY)
  })

  it('of six soaks is still one question the worker takes', () => {
    const many: Batch = {
      ...batch,
      groups: Array.from({ length: 6 }, (_, i) => ({
        ...group,
        id: `g${i}`,
        route: { ...group.route, austenitizeC: 1000 + 10 * i },
      })),
      blades: Array.from({ length: 48 }, (_, i) => ({
        ...blade,
        id: `b${i}`,
        groupId: `g${i % 6}`,
        mark: `M${i}`,
        thicknessMm: 2 + (i % 7) / 2,
        count: 1,
      })),
    }
    const asked = heatOf(loadsOf(many), 5, oven, many)
    expect(question.request.safeParse(asked.request).success).toBe(true)
    expect(asked.request.load).toHaveLength(5 + asked.kinds.length)
  })

  it('names the blades of more kinds than the walls are followed with', () => {
    const many: Batch = {
      ...batch,
      groups: [group],
      blades: Array.from({ length: 20 }, (_, i) => ({
        ...blade,
        id: `b${i}`,
        groupId: 'g',
        mark: `M${i}`,
        thicknessMm: 2 + i / 10,
        count: 1,
      })),
    }
    const { kinds, leftOut } = heatOf(loadsOf(many), 0, oven, many)
    expect([...kinds.flatMap(k => k.marks), ...leftOut]).toHaveLength(20)
    expect(leftOut.length).toBeGreaterThan(0)
  })

  it('loaded cold is asked for at minute 0', () => {
    const cold = { ...batch, entry: 'from-cold' as const }
    expect(heatOf(loadsOf(cold), 0, oven, cold).request.load[0]).toMatchObject({ atMin: 0 })
  })

  it('sees the chamber the less the closer its packets stand', () => {
    const [load] = loads
    if (!load) throw new Error('load')
    const places = placesOf(load, oven, batch)
    const near = places.map(p => ({ ...p, acrossMm: 75 + (p.acrossMm - 75) / 2 }))
    const mean = (at: typeof places) => kindsOf(load, at)[0]?.view ?? 0
    expect(mean(near)).toBeLessThan(mean(places))
  })
})
