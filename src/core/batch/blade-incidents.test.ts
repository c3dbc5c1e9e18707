import { describe, expect, it } from 'vitest'
import { befell, pressed, runOf, trayOfBlades, withEvents } from '../../testing/run'
import { NOW, withBlade } from '../../testing/tray'
import { soakEffect } from '../hardness/soak-effect'
import { happenedTo } from './blade-incidents'
import { together, toldApart } from './combined-batches'
import { routeAsRun } from './route-as-run'
import { bladesOf } from './tray'

const batch = trayOfBlades(2)
const run = runOf(batch)
const whole = withEvents(run, ...run.steps.map((step, i) => pressed(600 * (i + 1), step.id)))

describe('what happened to a blade', () => {
  it('is what its runs in the shop did to it, at the times of the shop', () => {
    const { steps } = happenedTo('A1', [whole])
    expect(steps.map(one => one.step.kind)).toEqual([
      'load',
      'pull',
      'inspect',
      'cold-in',
      'cold-out',
      'temper-in',
      'temper-out',
      'temper-in',
      'temper-out',
    ])
    expect(steps[0]?.at).toBe(new Date(Date.parse(NOW) + 1800 * 1000).toISOString())
    expect(steps.every(one => !one.corrected)).toBe(true)
  })

  it('is nothing by practice, and nothing of another blade', () => {
    expect(happenedTo('A1', [{ ...whole, mode: 'practice' }])).toEqual({ steps: [], incidents: [] })
    const odd = withEvents(whole, befell(9000, 'leaked', ['A2']))
    expect(happenedTo('A1', [odd]).incidents).toEqual([])
    expect(happenedTo('A2', [odd]).incidents.map(one => one.incident)).toEqual(['leaked'])
  })

  it('is told by a clock that was set or went faster as it was in life', () => {
    const clock = [
      { realMs: Date.parse(NOW), runS: 0, speed: 1 },
      { realMs: Date.parse(NOW) + 3_600_000, runS: 1200, speed: 1 },
    ]
    const [first] = happenedTo('A1', [{ ...whole, clock }]).steps
    expect(first?.at).toBe(new Date(Date.parse(NOW) + 3_600_000 + 600_000).toISOString())
  })
})

describe('a soak of another length', () => {
  const [group] = batch.groups
  if (!group) throw new Error('group')

  it('as planned changes nothing; longer dissolves more and leaves more austenite', () => {
    const same = soakEffect(group, group.route.soakMin)
    expect([same?.hrcChange, same?.austeniteChange]).toEqual([0, 0])
    // Longer at heat, more carbon in solution and more retained austenite: common practice, no published source.
    expect(soakEffect(group, 3 * group.route.soakMin)?.austeniteChange).toBeGreaterThan(0.003)
    expect(soakEffect({ ...group, gradeId: 'gone', gradeName: 'gone' }, 30)).toBeNull()
  })

  it('coarsens the grain where it is too hot for the steel', () => {
    const hot = { ...group, route: { ...group.route, austenitizeC: 1180 } }
    expect(soakEffect(hot, 60)?.coarsens).toBe(true)
    expect(soakEffect(group, 60)?.coarsens).toBe(false)
  })
})

describe('several batches in one run', () => {
  const other = {
    ...batch,
    id: 'c',
    name: 'Galley six',
    blades: batch.blades.map(blade => ({ ...blade, id: `c-${blade.id}`, batchId: 'c', lineId: 'c-line' })),
    lines: batch.lines.map(line => ({ ...line, id: 'c-line', groupId: 'c-group' })),
    groups: batch.groups.map(g => ({ ...g, id: 'c-group' })),
  }

  it('is one load where their heat is one, and each blade stays its own batch’s', () => {
    const both = runOf(together([batch, other]), { batchIds: ['b', 'c'] })
    const loads = both.steps.filter(step => step.kind === 'load')
    expect(loads.map(step => step.bladeIds.length)).toEqual([4])
    expect(both.blades.map(blade => blade.batchId).sort()).toEqual(['b', 'b', 'c', 'c'])
  })

  it('tells blades apart that have one mark', () => {
    const marks = bladesOf(toldApart([batch, other])).map(blade => blade.mark)
    expect(marks).toEqual(['Tray A1', 'Tray A2', 'Galley A1', 'Galley A2'])
    expect(toldApart([batch, other]).name).toBe('Tray and 1 more')
    expect(bladesOf(toldApart([batch])).map(blade => blade.mark)).toEqual(['A1', 'A2'])
  })
})

describe('a route as it was run', () => {
  it('has the soak its blades had, their mean, and is as planned where no run followed them', () => {
    const [group] = batch.groups
    if (!group) throw new Error('group')
    expect(routeAsRun(batch, group)).toBe(group.route)
    const soaked = withBlade(withBlade(batch, 'A1', { soakedMin: 14 }), 'A2', { soakedMin: 20 })
    expect(routeAsRun(soaked, group)).toEqual({ ...group.route, soakMin: 17 })
  })
})
