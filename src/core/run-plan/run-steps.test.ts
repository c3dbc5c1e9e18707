import { describe, expect, it } from 'vitest'
import { expectOk, gradeOf, groupOf, refusalOf, trayOf, withBlade, withTray } from '../../testing/tray'
import { loadsOf, temperLoadsOf } from '../load/loads'
import { pullPlanOf } from '../load/pull-plan'
import type { Batch } from '../shop/batch'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import type { Workshop } from '../shop/workshop'
import { buildRunSteps, buildTemperRun } from './run-steps'

const ROUTE = {
  austenitizeC: 1060,
  soakMin: 20,
  quenchedToC: 25,
  cold: null,
  tempers: [{ atC: 200, holdMin: 120 }],
}

/** A batch with one plain route, so that every step can be worked by hand. */
function batchOf(lines: Parameters<typeof withTray>[1], more: Partial<Batch> = {}): Batch {
  const plain = trayOf(gradeOf('X65Cr13'), lines, { entry: 'on-the-way-up', ...more })
  return { ...plain, groups: [{ ...groupOf(plain), route: ROUTE }] }
}

/** A shop whose hardening oven is keyed 11 °C low, and its tempering oven 5 °C high. */
const shop: Workshop = {
  ...DEFAULT_WORKSHOP,
  ovens: DEFAULT_WORKSHOP.ovens.map(oven => ({ ...oven, correctionC: oven.id === 'oven-1' ? -11 : 5 })),
}
const stepsOf = (batch: Batch, of: Workshop = shop) => expectOk(buildRunSteps(batch, of)).steps
const kindsOf = (batch: Batch, of?: Workshop) => stepsOf(batch, of).map(step => step.kind)

describe('the steps of a hot run', () => {
  it('of one blade on the way up, each with what it sets and waits for', () => {
    const steps = stepsOf(batchOf([{ mark: 'A', thicknessMm: 3 }]))
    expect(steps.map(step => step.id)).toEqual(steps.map((_, i) => `s${i + 1}`))
    expect(steps.map(({ kind, station, ovenSetC, wait }) => [kind, station, ovenSetC, wait?.kind ?? null])).toEqual([
      ['ready', 'heat', 0, null],
      ['oven-on', 'heat', 0, null],
      // In at 800 on the way up, keyed 11 low; within 4 K of it counts as there.
      ['load', 'heat', 789, 'oven'],
      ['full-heat', 'heat', 1049, 'oven'],
      ['pull', 'plates', 1049, 'soak'],
      ['unclamp', 'plates', 1049, 'seconds'],
      ['oven-off', 'plates', 1049, null],
      ['inspect', 'inspect', 0, null],
      ['temper-start', 'temper', 0, null],
      ['temper-in', 'temper', 205, 'oven'],
      ['temper-out', 'temper', 205, 'seconds'],
      ['measure', 'measure', 0, null],
    ])
    const by = new Map(steps.map(step => [step.kind, step]))
    expect(by.get('load')?.wait).toEqual({ kind: 'oven', atLeastC: 785, atMostC: 829 })
    expect(by.get('oven-on')?.names).toEqual({ setC: 789 })
    expect(by.get('full-heat')).toMatchObject({
      wait: { kind: 'oven', atLeastC: 1045, atMostC: 1057 },
      names: { setC: 1049 },
    })
    // Clamped 90 s; a temper of 120 min begins 15 min after the blades went in. Common practice, no published source.
    expect(by.get('unclamp')).toMatchObject({ wait: { kind: 'seconds', seconds: 90 }, names: { afterBladeId: 'A' } })
    expect(by.get('temper-in')).toMatchObject({
      wait: { kind: 'oven', atLeastC: 201, atMostC: 213 },
      bladeIds: ['A'],
      names: { round: 1, thicknessMm: 3 },
    })
    expect(by.get('temper-out')).toMatchObject({ wait: { kind: 'seconds', seconds: 8100 }, names: { round: 1 } })
    expect(by.get('temper-start')?.names).toEqual({ setC: 205, round: 1, sameOven: false })
    expect(by.get('inspect')?.bladeIds).toEqual(['A'])
  })

  it('from cold the blades go in first and the oven is switched on with them', () => {
    const steps = stepsOf(batchOf([{ mark: 'A' }], { entry: 'from-cold' }))
    expect(steps.slice(0, 4).map(step => step.kind)).toEqual(['ready', 'load', 'oven-on-loaded', 'full-heat'])
    expect(steps[1]).toMatchObject({ wait: null, ovenSetC: 0 })
    expect(steps[2]?.names).toEqual({ setC: 1049 })
  })

  it('equalised, each preheat is held at what is keyed for it', () => {
    const steps = stepsOf(batchOf([{ mark: 'A' }], { entry: 'equalised' }))
    const held = steps.filter(step => step.kind === 'equalise')
    const [load] = loadsOf(batchOf([{ mark: 'A' }], { entry: 'equalised' }), 'metric')
    expect(held.map(step => step.names.atC)).toEqual(load?.equalise.map(step => step.atC - 11))
    expect(held.map(step => step.wait)).toEqual(
      load?.equalise.map(step => ({ kind: 'seconds', seconds: step.holdMin * 60 })),
    )
    expect(held[0]?.ovenSetC).toBe(held[0]?.names.atC)
    expect(held[0]?.names).toMatchObject({ setC: 1049, holdMin: load?.equalise[0]?.holdMin })
  })

  it('a second load goes into the hot oven: it is not switched on again, and the oven goes off after the last', () => {
    const two = batchOf([{ mark: 'A' }])
    const [group] = two.groups
    if (!group) throw new Error('group')
    const batch = withTray(
      { ...two, groups: [group, { ...group, id: 'h', route: { ...ROUTE, austenitizeC: 1020 } }] },
      [{ mark: 'A' }, { mark: 'B', groupId: 'h' }],
    )
    expect(kindsOf(batch).filter(kind => ['oven-on', 'load', 'pull', 'oven-off'].includes(kind))).toEqual([
      'oven-on',
      'load',
      'pull',
      'load',
      'pull',
      'oven-off',
    ])
    expect(stepsOf(batch).find(step => step.kind === 'oven-off')?.ovenSetC).toBe(1049)
    expect(
      stepsOf(batch)
        .filter(step => step.kind === 'load')
        .map(step => step.bladeIds),
    ).toEqual([['B'], ['A']])
  })
})

describe('when a packet is pulled', () => {
  const batch = batchOf([
    { mark: 'A', thicknessMm: 2, count: 2 },
    { mark: 'B', thicknessMm: 5 },
  ])
  const [load] = loadsOf(batch, 'metric')
  const plan = load ? expectOk(pullPlanOf(load, shop, batch)) : null
  const pulls = stepsOf(batch).filter(step => step.kind === 'pull')
  const { blades } = expectOk(buildRunSteps(batch, shop))

  it('is to the second when the pull list has it, each by its own soak and as far apart as door, hands and plates want', () => {
    expect(plan?.pulls).toHaveLength(3)
    let at = Number.NEGATIVE_INFINITY
    pulls.forEach(({ wait }, i) => {
      if (wait?.kind !== 'soak') throw new Error('a pull waits for a soak')
      const blade = blades.find(one => one.bladeId === wait.bladeId)
      at = Math.max(at + wait.apartS, (blade?.lagS ?? 0) + 60 * (blade?.soakMin ?? 0))
      expect(Math.abs(at - (plan?.pulls[i]?.pullAtS ?? 0))).toBeLessThan(1.5)
    })
    // The first: its soak of 20 min, and what it lags behind the oven.
    expect(blades[0]).toMatchObject({ bladeId: 'A1', soakMin: 20, lagS: plan?.pulls[0]?.arrivesS })
    expect(plan?.pulls[0]?.pullAtS).toBeCloseTo(1200 + (plan?.pulls[0]?.arrivesS ?? 0), 6)
  })

  it('comes further apart for one pair of hands than for two', () => {
    const helped = expectOk(buildRunSteps(batch, { ...shop, plates: { ...shop.plates, people: 2 } }))
    for (const { wait } of helped.steps.filter(step => step.kind === 'pull').slice(1)) {
      if (wait?.kind !== 'soak') throw new Error('a pull waits for a soak')
      expect(wait.apartAloneS).toBeGreaterThanOrEqual(wait.apartS)
    }
  })

  it('names the blade that must be out of the plates first', () => {
    expect(pulls.map(step => step.names.afterBladeId)).toEqual([undefined, 'A1', 'A2'])
  })
})

describe('cold', () => {
  const chilled = (holds: readonly number[]): Batch => {
    const plain = batchOf([{ mark: 'A' }])
    const [group] = plain.groups
    if (!group) throw new Error('group')
    const groups = holds.map((holdMin, i) => ({
      ...group,
      id: `g${i}`,
      route: { ...ROUTE, cold: holdMin === 0 ? null : { toC: -75 - i, holdMin, delayMin: 30 } },
    }))
    return withTray(
      { ...plain, groups },
      groups.map((g, i) => ({ mark: 'ABC'[i] ?? 'D', groupId: g.id })),
    )
  }

  it('is one chill for all, as cold as the coldest and as long as the longest, with a minute to follow the bath', () => {
    const steps = stepsOf(chilled([60, 90, 0]))
    expect(steps.find(step => step.kind === 'cold-in')).toMatchObject({ bladeIds: ['A', 'B'], names: { atC: -76 } })
    expect(steps.find(step => step.kind === 'cold-out')).toMatchObject({
      bladeIds: ['A', 'B'],
      wait: { kind: 'seconds', seconds: 90 * 60 + 60 },
    })
  })

  it('is left out where no route has any', () => {
    expect(kindsOf(chilled([0]))).not.toContain('cold-in')
  })
})

describe('tempers', () => {
  const twice = (): Batch => {
    const plain = batchOf([
      { mark: 'A', thicknessMm: 2 },
      { mark: 'B', thicknessMm: 4 },
    ])
    return {
      ...plain,
      groups: plain.groups.map(group => ({
        ...group,
        route: { ...ROUTE, tempers: [...ROUTE.tempers, ...ROUTE.tempers] },
      })),
    }
  }

  it('cool to room for half an hour between rounds; the thickest blade is named', () => {
    const steps = stepsOf(twice())
    expect(steps.filter(step => step.station === 'temper').map(step => step.kind)).toEqual([
      'temper-start',
      'temper-in',
      'temper-out',
      'temper-cool',
      'temper-in',
      'temper-out',
    ])
    expect(steps.find(step => step.kind === 'temper-cool')).toMatchObject({
      wait: { kind: 'seconds', seconds: 1800 },
      names: { setC: 205, round: 2 },
    })
    expect(steps.filter(step => step.kind === 'temper-in').map(step => step.names.thicknessMm)).toEqual([4, 4])
  })

  it('in the oven that hardened, wait until it has fallen', () => {
    const one = { ...shop, temperingOvenId: null }
    expect(stepsOf(twice(), one).find(step => step.kind === 'temper-start')).toMatchObject({
      wait: { kind: 'oven-below', atMostC: 189 + 4 },
      names: { setC: 189, sameOven: true },
    })
  })

  it('alone are the tempers and the reading after them, and none where nothing is left to do', () => {
    const batch = twice()
    const left = temperLoadsOf(
      batch,
      new Map([
        ['A', 1],
        ['B', 2],
      ]),
    )
    const { steps } = expectOk(buildTemperRun(left, shop, batch))
    expect(steps.map(step => [step.kind, step.bladeIds])).toEqual([
      ['temper-start', []],
      ['temper-in', ['A']],
      ['temper-out', ['A']],
      ['measure', []],
    ])
    expect(expectOk(buildTemperRun([], shop, batch)).steps.map(step => step.kind)).toEqual(['measure'])
  })
})

describe('what is missing stops it by name', () => {
  const batch = batchOf([{ mark: 'A' }])

  it('the oven of the batch, the tempering oven, a steel', () => {
    const noOven = { ...batch, ovenId: 'gone', ovenName: 'Old Faithful' }
    expect(refusalOf(buildRunSteps(noOven, shop))).toContain('Old Faithful')
    expect(buildRunSteps(batch, { ...shop, temperingOvenId: 'gone' })).toMatchObject({
      ok: false,
      problems: [{ code: 'tempering-oven-gone' }],
    })
    expect(buildTemperRun(temperLoadsOf(batch), { ...shop, temperingOvenId: 'gone' }, batch).ok).toBe(false)
    const lost = { ...batch, groups: batch.groups.map(g => ({ ...g, gradeId: 'lost', gradeName: 'Harbour 14' })) }
    expect(refusalOf(buildRunSteps(lost, shop))).toContain('Harbour 14')
  })

  it('but a steel without a blade stops nothing, and a blade that was taken off is in no step', () => {
    const [group] = batch.groups
    if (!group) throw new Error('group')
    const empty = { ...batch, groups: [group, { ...group, id: 'x', gradeId: 'lost', gradeName: 'Harbour 14' }] }
    expect(buildRunSteps(empty, shop).ok).toBe(true)
    const two = withBlade(batchOf([{ mark: 'A', count: 2 }]), 'A2', { removedAt: '2026-03-02T08:00:00.000Z' })
    expect(new Set(stepsOf(two).flatMap(step => step.bladeIds))).toEqual(new Set(['A1']))
  })
})
