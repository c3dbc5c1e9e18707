import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { settingC, settingsBetween, settingWithin } from './setting'
import { cFromF, fFromC } from './temperature'

const whole = (value: number) => Math.abs(value - Math.round(value)) < 1e-6
const celsius = fc.double({ min: -200, max: 1300, noNaN: true })
const system = fc.constantFrom('metric' as const, 'imperial' as const)

describe('temperatures that can be keyed in', () => {
  it('are fives of the shown scale', () => {
    expect(settingC(1066, 'metric')).toBe(1065)
    expect(fFromC(settingC(1066, 'imperial'))).toBeCloseTo(1950, 6)
    expect(fFromC(settingC(1050, 'imperial'))).toBeCloseTo(1920, 6)
    fc.assert(
      fc.property(celsius, system, (c, scale) => {
        const set = settingC(c, scale)
        const shown = scale === 'metric' ? set : fFromC(set)
        expect(whole(shown / 5)).toBe(true)
        expect(Math.abs(set - c)).toBeLessThanOrEqual(2.5 + 1e-9)
      }),
    )
  })

  it('stay within limits, and a limit that lies on a step can be reached', () => {
    expect(settingWithin(1099, { minC: 1040, maxC: 1066 }, 'metric')).toBe(1065)
    expect(fFromC(settingWithin(1099, { minC: 1040, maxC: cFromF(1950) }, 'imperial'))).toBeCloseTo(1950, 6)
    expect(settingWithin(1051, { minC: 1051, maxC: 1053 }, 'metric')).toBe(1051)
    fc.assert(
      fc.property(celsius, celsius, celsius, system, (at, a, b, scale) => {
        const [minC, maxC] = [Math.min(a, b), Math.max(a, b)]
        const set = settingWithin(at, { minC, maxC }, scale)
        expect(set).toBeGreaterThanOrEqual(minC - 1e-4)
        expect(set).toBeLessThanOrEqual(maxC + 1e-4)
      }),
    )
  })

  it('are listed between limits, both ends counted', () => {
    expect(settingsBetween(150, 170, 'metric')).toEqual([150, 155, 160, 165, 170])
    expect(settingsBetween(151, 174, 'metric', 2)).toEqual([155, 165])
    expect(settingsBetween(cFromF(400), cFromF(420), 'imperial').map(c => Math.round(fFromC(c) * 1e6) / 1e6)).toEqual([
      400, 405, 410, 415, 420,
    ])
    expect(settingsBetween(151, 154, 'metric')).toEqual([])
  })
})
