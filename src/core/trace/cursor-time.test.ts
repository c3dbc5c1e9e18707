import { describe, expect, it } from 'vitest'
import { chamberOfSize } from '../../testing/chamber'
import { momentAt, momentIn, planLengthMin, whereaboutsAt } from './cursor-time'
import { planTimeline } from './timeline'

const stretches = planTimeline({
  route: {
    austenitizeC: 1050,
    soakMin: 20,
    quenchedToC: 25,
    cold: { toC: -75, holdMin: 60, delayMin: 30 },
    tempers: [{ atC: 200, holdMin: 120 }],
  },
  equalise: [],
  entryC: 800,
  oven: chamberOfSize('medium'),
  steelKg: 1,
  thicknessMm: 3,
})
const indexOf = (phase: string) => stretches.findIndex(s => s.phase === phase)
const middle = (phase: string) => {
  const s = stretches[indexOf(phase)]
  if (!s) throw new Error(`no ${phase}`)
  return (s.startMin + s.endMin) / 2
}

describe('a moment of the plan', () => {
  it('is as hot as its stretch: the soak at the route’s temperature, the cold at its own', () => {
    expect(momentAt(stretches, middle('soak'))).toMatchObject({ c: 1050, phase: 'soak', station: 'heat', share: 0.5 })
    expect(momentAt(stretches, middle('cold'))).toMatchObject({ c: -75, phase: 'cold' })
    expect(momentAt(stretches, middle('temper'))).toMatchObject({ c: 200, phase: 'temper' })
  })

  it('stays within the plan before its start and past its end', () => {
    expect(momentAt(stretches, -50)).toMatchObject({ minute: 0, c: 20 })
    expect(momentAt(stretches, 1e6)?.minute).toBe(planLengthMin(stretches))
    expect(momentAt([], 10)).toBeUndefined()
    expect(momentIn(stretches, 999, 0)).toBeUndefined()
  })

  it('lies between the temperatures of a quench, and falls as it goes on', () => {
    const quench = stretches[indexOf('quench')]
    const at = (share: number) =>
      momentIn(
        stretches,
        indexOf('quench'),
        (quench?.startMin ?? 0) + share * ((quench?.endMin ?? 0) - (quench?.startMin ?? 0)),
      )
    expect(at(0)?.c).toBeCloseTo(1050, 6)
    expect(at(0.2)?.c).toBeLessThan(1050)
    expect(at(0.6)?.c).toBeLessThan(at(0.2)?.c as number)
    expect(at(1)?.c).toBeLessThan(25)
  })

  it('tells where the blades are, from the bench through oven, plates and cold to the temper', () => {
    const where = (minute: number) => {
      const moment = momentAt(stretches, minute)
      return moment && whereaboutsAt(stretches, moment)
    }
    // The oven heats empty until it is loaded.
    expect(where(1)).toBe('bench')
    expect(where(middle('soak'))).toBe('oven')
    expect(where(middle('quench'))).toBe('plates')
    expect(where(middle('cold'))).toBe('cold')
    expect(where(middle('warm'))).toBe('rack')
    expect(where(middle('temper'))).toBe('temper')
    const first = momentIn(stretches, 0, 0)
    expect(first && whereaboutsAt(stretches, first)).toBe('bench')
  })

  it('carries what was measured near it, and nothing measured far from it or in another stretch', () => {
    const soak = indexOf('soak')
    const trace = [{ index: soak, planMin: middle('soak') + 2, c: 1043 }]
    expect(momentAt(stretches, middle('soak'), trace)?.measuredC).toBe(1043)
    expect(momentAt(stretches, middle('soak') - 9, trace)?.measuredC).toBeNull()
    expect(momentAt(stretches, middle('quench'), trace)?.measuredC).toBeNull()
  })
})
