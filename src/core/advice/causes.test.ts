import { describe, expect, it } from 'vitest'
import { findGrade } from '../steel/grades'
import { predict } from '../steel/predict'
import type { Steel } from '../steel/steel'
import { type CauseRequest, causesOf } from './causes'

const steel = findGrade('X65Cr13') as Steel
const route = { austenitizeC: 1065, soakMin: 15, quenchedToC: 25, cold: null, tempers: [] }
const due = predict(steel, route).hrc.asQuenched.mean
const ask = (off: number, more: Partial<CauseRequest> = {}) =>
  causesOf({
    steel,
    route,
    stage: 'as-quenched',
    measured: { mean: due + off, sd: 0.4 },
    checked: true,
    leakSeen: false,
    ...more,
  })
const chance = (list: ReturnType<typeof ask>, name: string) => list.find(c => c.cause === name)?.probability ?? 0

describe('why a reading is off', () => {
  it('is scatter where it is near, and its chances sum to one', () => {
    const near = ask(0.3)
    expect(near[0]?.cause).toBe('scatter')
    expect(near.reduce((sum, c) => sum + c.probability, 0)).toBeCloseTo(1, 9)
    expect(near.every((c, i) => i === 0 || c.probability <= (near[i - 1]?.probability ?? 1))).toBe(true)
  })

  it('is a leak where a leak was seen and it reads five points soft', () => {
    expect(ask(-5, { leakSeen: true })[0]?.cause).toBe('leak')
    expect(chance(ask(-5), 'leak')).toBeLessThan(chance(ask(-5, { leakSeen: true }), 'leak'))
    expect(ask(-5)[0]?.cause).not.toBe('scatter')
  })

  it('believes a log: a soak it shows short is blamed, one it shows whole is not', () => {
    // A blade that had a fifth of its soak.
    const off = predict(steel, { ...route, soakMin: route.soakMin / 5 }).hrc.asQuenched.mean - due
    expect(ask(off, { loggedSoakShare: 0.2 })[0]?.cause).toBe('under-soaked')
    expect(chance(ask(off, { loggedSoakShare: 1.1 }), 'under-soaked')).toBeLessThan(0.02)
    expect(chance(ask(off), 'under-soaked')).toBeLessThan(chance(ask(off, { loggedSoakShare: 0.2 }), 'under-soaked'))
  })

  it('looks at the tester first where it was not checked', () => {
    expect(chance(ask(-2, { checked: false }), 'tester')).toBeGreaterThan(2 * chance(ask(-2), 'tester'))
  })

  it('asks of a tempered blade that reads hard whether its temper was cold', () => {
    const tempered = { ...route, tempers: [200, 200].map(atC => ({ atC, holdMin: 120 })) }
    const dueTempered = predict(steel, tempered).finalHrc.mean
    const hard = causesOf({
      steel,
      route: tempered,
      stage: 'temper-2',
      measured: { mean: dueTempered + 1.5, sd: 0.3 },
      checked: true,
      leakSeen: false,
    })
    const soft = causesOf({
      steel,
      route: tempered,
      stage: 'temper-2',
      measured: { mean: dueTempered - 1.5, sd: 0.3 },
      checked: true,
      leakSeen: false,
    })
    expect(chance(hard, 'under-tempered')).toBeGreaterThan(0.1)
    expect(chance(soft, 'under-tempered')).toBeLessThan(0.02)
    expect(chance(ask(1.5), 'under-tempered')).toBe(0)
  })

  it('does not blame a leak, which softens, for what reads hard', () => {
    expect(chance(ask(2.5), 'leak')).toBeLessThan(0.02)
    expect(chance(ask(2.5, { checked: false }), 'tester')).toBeGreaterThan(0.2)
  })
})
