import { describe, expect, it } from 'vitest'
import { gradeOf, trayOf, withTray } from '../../testing/tray'
import { newGroup } from '../new-batch/new-batch'

import type { Batch } from '../shop/batch'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import { findGrade } from '../steel/grades'
import { soakToShare } from './shared-soak'

const of = (...names: [string, number][]): Batch => {
  const groups = names.map(([name, austenitizeC], i) => {
    const group = newGroup(`g${i}`, gradeOf(name), DEFAULT_WORKSHOP)
    return { ...group, route: { ...group.route, austenitizeC } }
  })
  return withTray(
    { ...trayOf(gradeOf('X65Cr13'), []), groups },
    groups.map((g, i) => ({ mark: 'ABC'[i] ?? 'D', groupId: g.id, count: 2 })),
  )
}

describe('one closing for two steels', () => {
  it('is offered where their soak windows meet, inside both, with what it changes', () => {
    const shared = soakToShare(of(['X65Cr13', 1066], ['X105CrMo17', 1050]), 'metric')
    const windows = ['X65Cr13', 'X105CrMo17'].map(name => findGrade(name)?.austenitize)
    for (const w of windows) {
      expect(shared?.atC).toBeGreaterThanOrEqual(w?.minC ?? 0)
      expect(shared?.atC).toBeLessThanOrEqual(w?.maxC ?? 0)
    }
    expect(shared?.changes.map(c => c.groupId)).toEqual(['g1', 'g0'])
    for (const c of shared?.changes ?? []) expect(Math.abs(c.hrc)).toBeLessThan(1.5)
  })

  it('is not offered to a carbon steel and a stainless one, nor to one load', () => {
    expect(soakToShare(of(['X65Cr13', 1066], ['C75S', 815]), 'metric')).toBeNull()
    expect(soakToShare(of(['X65Cr13', 1066]), 'metric')).toBeNull()
  })
})
