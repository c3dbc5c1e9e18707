import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { chamberOfSize } from '../../testing/chamber'
import { ovenPreset } from './presets'
import { type SoakLagRequest, soakLag } from './soak-lag'

const base: SoakLagRequest = {
  oven: chamberOfSize('large'),
  steelKg: 1,
  equalise: [{ atC: 870, holdMin: 10 }],
  entryC: 870,
  austenitizeC: 1065,
  thicknessMm: 3,
  view: 1,
}

describe('how far a blade is behind its oven', () => {
  it('is more for a load that goes in cold than for one that was equalised', () => {
    const cold = soakLag({ ...base, equalise: [] })
    expect(cold.lagS).toBeGreaterThan(soakLag(base).lagS)
  })

  it('is at most what a cold blade needs in a chamber already at heat: 281 s for 3 mm', () => {
    for (const entryC of [600, 800, 1000, 1060])
      expect(soakLag({ ...base, equalise: [], entryC }).lagS).toBeLessThan(290)
  })

  it('is nothing when the climb is slow, and never negative', () => {
    expect(soakLag({ ...base, oven: chamberOfSize('medium') }).lagS).toBe(0)
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 8, noNaN: true }),
        fc.constantFrom('small', 'medium', 'large'),
        fc.double({ min: 0.3, max: 1, noNaN: true }),
        (thicknessMm, name, view) => {
          expect(soakLag({ ...base, oven: chamberOfSize(name), thicknessMm, view }).lagS).toBeGreaterThanOrEqual(0)
        },
      ),
      { numRuns: 20 },
    )
  })

  it('is not given for a temperature the oven cannot reach', () => {
    const never = soakLag({ ...base, oven: chamberOfSize('medium'), austenitizeC: 1500 })
    expect(never.climbMin).toBe(Number.POSITIVE_INFINITY)
    expect(never.lagS).toBe(0)
  })

  it('knows an oven by its name, and falls back to the medium one', () => {
    expect(ovenPreset('large').powerW).toBe(3600)
    expect(ovenPreset('gone').name).toBe('medium')
  })
})
