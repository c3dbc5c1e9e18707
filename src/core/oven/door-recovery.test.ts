import { describe, expect, it } from 'vitest'
import { OVEN_BUILDS } from '../../data/ovens'
import { doorRecoveryS } from './door-recovery'
import { OvenModel } from './oven-model'
import { ovenPreset } from './presets'
import { clippedPi } from './programme-control'

const detailed = (name: 'small' | 'medium' | 'large') => {
  const { powerW, chamberMm } = ovenPreset(name)
  return { powerW, chamberMm, build: OVEN_BUILDS[name] }
}

/** Seconds until the chamber of a simulated heat is back within 5 K, in steps of a second from cold. */
function followedS(name: 'small' | 'medium' | 'large'): number {
  const model = new OvenModel(detailed(name))
  const pi = clippedPi()
  const second = (open: boolean) => model.step(pi.share(1065, model.indicatedC, 1), open, 1)
  while (model.indicatedC < 1064) second(false)
  for (let s = 0; s < 1800; s++) second(false)
  let [s, lowestC] = [0, 1065]
  while (lowestC > 1060 || model.chamberC < 1060) {
    second(s < 4)
    s++
    lowestC = Math.min(lowestC, model.chamberC)
  }
  return s
}

describe('recovery after one pull', () => {
  // A reference model of another making, with a controller of its own: 50 to 60 s.
  it('takes a medium oven about a minute, and a strong one less', () => {
    const medium = doorRecoveryS(detailed('medium'), 1065)
    expect(medium).toBeGreaterThan(40)
    expect(medium).toBeLessThan(75)
    expect(doorRecoveryS(detailed('large'), 1065)).toBeLessThan(medium)
  })

  it.each(['small', 'medium', 'large'] as const)('is that of a heat followed second by second, %s', name => {
    expect(Math.abs(doorRecoveryS(detailed(name), 1065) - followedS(name))).toBeLessThanOrEqual(6)
  })
})
