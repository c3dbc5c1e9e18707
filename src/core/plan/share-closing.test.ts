import { describe, expect, it } from 'vitest'
import { OVEN_BUILDS } from '../../data/ovens'
import { doorRecoveryS } from '../oven/door-recovery'
import { ovenPreset } from '../oven/presets'
import { DEFAULT_WORKSHOP, newBatch, newGroup } from '../record/defaults'
import type { Batch } from '../record/schemas'
import { findGrade } from '../steel/grades'
import { closingToShare } from './share-closing'

const of = (...names: [string, number][]): Batch => {
  const grades = names.map(([name]) => findGrade(name))
  const [first] = grades
  if (!first) throw new Error('grade')
  const base = newBatch({ batch: 'b', group: 'g0' }, 'Tray', first, DEFAULT_WORKSHOP, '2026-03-02T08:00:00.000Z')
  const groups = grades.map((grade, i) => {
    if (!grade) throw new Error('grade')
    const group = newGroup(`g${i}`, grade, DEFAULT_WORKSHOP, 2.5)
    return { ...group, route: { ...group.route, austenitizeC: names[i]?.[1] ?? 0 } }
  })
  return {
    ...base,
    groups,
    blades: groups.map((g, i) => ({
      id: `x${i}`,
      groupId: g.id,
      mark: 'ABC'[i] ?? 'D',
      lengthMm: 250,
      widthMm: 40,
      thicknessMm: 2.5,
      count: 2,
      bevels: 'pre-ground' as const,
    })),
  }
}

describe('one closing for two steels', () => {
  it('is offered where their soak windows meet, inside both, with what it changes', () => {
    const shared = closingToShare(of(['X65Cr13', 1066], ['X105CrMo17', 1050]))
    const windows = ['X65Cr13', 'X105CrMo17'].map(name => findGrade(name)?.austenitize)
    for (const w of windows) {
      expect(shared?.atC).toBeGreaterThanOrEqual(w?.minC ?? 0)
      expect(shared?.atC).toBeLessThanOrEqual(w?.maxC ?? 0)
    }
    expect(shared?.changes.map(c => c.groupId)).toEqual(['g1', 'g0'])
    for (const c of shared?.changes ?? []) expect(Math.abs(c.hrc)).toBeLessThan(1.5)
  })

  it('is not offered to a carbon steel and a stainless one, nor to one load', () => {
    expect(closingToShare(of(['X65Cr13', 1066], ['C75S', 815]))).toBeNull()
    expect(closingToShare(of(['X65Cr13', 1066]))).toBeNull()
  })
})

it('a medium oven is back 50 to 60 s after one pull, a strong one sooner (prototype of the model, another making)', () => {
  const recovery = (name: 'medium' | 'large') => {
    const { powerW, chamberMm } = ovenPreset(name)
    return doorRecoveryS({ powerW, chamberMm, build: OVEN_BUILDS[name] }, 1065)
  }
  expect(recovery('medium')).toBeGreaterThan(35)
  expect(recovery('medium')).toBeLessThan(75)
  expect(recovery('large')).toBeLessThanOrEqual(recovery('medium') + 10)
})
