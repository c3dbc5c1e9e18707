import { describe, expect, it } from 'vitest'
import { GRADES } from '../../data/grades'
import { gradeOf } from '../../testing/tray'
import { reachOf } from './reach'

const can = { coldToC: -75, ovenMaxC: 1200, thicknessMm: 2.5, system: 'metric' as const }
const ask = (name: string, min: number, more: Partial<typeof can> | { coldToC: null } = {}) =>
  reachOf({
    grade: gradeOf(name),
    target: { min, max: min + 1 },
    can: { ...can, ...more },
    grades: GRADES,
    experience: null,
  })
const whats = (of: ReturnType<typeof ask>) => of.limits.map(limit => limit.what)

describe('why not that hard', () => {
  // 0.46 % of carbon does not come to 61 HRC: common practice, no published source.
  it('a steel lean in carbon falls short for its carbon, and steels that reach are named', () => {
    const reach = ask('X46Cr13', 61)
    expect(reach.missHrc).toBeLessThan(-1)
    expect(whats(reach)).toContain('carbon')
    expect(reach.others.length).toBeGreaterThan(2)
    for (const other of reach.others) {
      expect(other.hrc).toBeGreaterThan(60.6)
      expect(other.name).not.toBe('X46Cr13')
    }
  })

  it('a shop without cold is told what cold would give, one with a cool oven what a hotter one would', () => {
    const noCold = ask('X65Cr13', 63, { coldToC: null })
    expect(noCold.limits.find(limit => limit.what === 'cold')?.gainHrc).toBeGreaterThan(0.5)
    const cool = ask('HS6-5-2C', 66, { ovenMaxC: 1130 })
    expect(whats(cool)).toContain('oven')
  })

  it('says nothing where the target is reached, and by how much it is over where it cannot get so soft', () => {
    expect(ask('X65Cr13', 60)).toMatchObject({ missHrc: 0, limits: [], others: [] })
    const hard = ask('X65Cr13', 46)
    expect(hard.missHrc).toBeGreaterThan(1)
    expect(hard.limits).toEqual([])
  })
})
