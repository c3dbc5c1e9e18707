import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { GRADES } from '../../data/grades'
import { finalHrc } from './hrc-path'
import { andrewsMs, retainedAustenite } from './martensite'
import { suggestRoute, temperFor } from './suggest'
import { combinedParameter, hollomonJaffe, temperatureFor } from './tempering'

describe('martensite start', () => {
  // Andrews (1965), linear formula, worked by hand for 42CrMo4: 539 − 423·0.42 − 30.4·0.75 − 12.1·1.05 − 7.5·0.22.
  it('is 324 °C for 0.42C-1Cr steel', () => {
    expect(andrewsMs({ C: 0.42, N: 0, Mn: 0.75, Ni: 0, Cr: 1.05, Mo: 0.22 })).toBeCloseTo(324.2, 1)
  })
})

describe('retained austenite', () => {
  // Koistinen and Marburger (1959): exp(−0.011·ΔT), worked values.
  it.each([
    [125, 25, 0.3329],
    [225, 25, 0.1108],
    [425, 25, 0.0123],
  ])('with Ms %i °C at %i °C is %f', (ms, at, fraction) => {
    expect(retainedAustenite(ms, at)).toBeCloseTo(fraction, 4)
  })

  it('is all of it above Ms', () => {
    expect(retainedAustenite(20, 25)).toBe(1)
  })
})

describe('Hollomon and Jaffe', () => {
  it('gives the textbook equivalence: 1 h at 600 °C is about 10 h at 558 °C (from memory of the formula)', () => {
    expect(temperatureFor(hollomonJaffe(600, 1), 10)).toBeCloseTo((873.15 * 20) / 21 - 273.15, 6)
  })

  it('two equal tempers are one of double time', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 650 }), fc.integer({ min: 10, max: 600 }), (atC, holdMin) => {
        const twice = combinedParameter([
          { atC, holdMin },
          { atC, holdMin },
        ]) as number
        expect(twice).toBeCloseTo(hollomonJaffe(atC, holdMin / 30), 9)
      }),
    )
  })

  it('a further temper never takes the parameter back', () => {
    const temper = fc.record({ atC: fc.integer({ min: 60, max: 700 }), holdMin: fc.integer({ min: 1, max: 3000 }) })
    fc.assert(
      fc.property(fc.array(temper, { minLength: 1, maxLength: 6 }), temper, (done, next) => {
        expect(combinedParameter([...done, next])).toBeGreaterThanOrEqual((combinedParameter(done) as number) - 1e-9)
      }),
    )
  })
})

describe('suggested routes', () => {
  it.each(GRADES.map(g => g.name))('meet the usual target of %s with dry ice, inside its windows', name => {
    const grade = GRADES.find(g => g.name === name) as (typeof GRADES)[number]
    const target = { min: grade.usualTarget.minHrc, max: grade.usualTarget.maxHrc }
    const route = suggestRoute(grade, target, { coldToC: -75, ovenMaxC: 1200, thicknessMm: 3, system: 'metric' })
    expect(finalHrc(grade, route)).toBeGreaterThanOrEqual(target.min)
    expect(finalHrc(grade, route)).toBeLessThanOrEqual(target.max)
    expect(route.austenitizeC).toBeGreaterThanOrEqual(grade.austenitize.minC)
    expect(route.austenitizeC).toBeLessThanOrEqual(grade.austenitize.maxC)
    expect(route.tempers).toHaveLength(2)
  })

  it('stay below what the oven can do', () => {
    const [grade] = GRADES
    if (!grade) throw new Error('no grades')
    expect(
      suggestRoute(grade, { min: 60, max: 61 }, { coldToC: null, ovenMaxC: 1040, thicknessMm: 2, system: 'metric' })
        .austenitizeC,
    ).toBeLessThanOrEqual(1040)
  })

  it('say when no temper meets a wish', () => {
    const [grade] = GRADES
    if (!grade) throw new Error('no grades')
    const route = suggestRoute(
      grade,
      { min: 60, max: 61 },
      { coldToC: -75, ovenMaxC: 1200, thicknessMm: 2, system: 'metric' },
    )
    expect(temperFor(grade, route, 69, { minC: 150, maxC: 300 }, 'metric').met).toBe(false)
    expect(temperFor(grade, route, 60, { minC: 150, maxC: 300 }, 'metric').met).toBe(true)
  })
})
