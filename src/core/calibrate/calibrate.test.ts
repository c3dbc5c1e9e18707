import { describe, expect, it } from 'vitest'
import { STEEL_FACTS, type SteelFact } from '../../data/steel-facts'
import { STEEL_MODEL } from '../../data/steel-model'
import { rms } from './calibrate'
import { constantsNow, fitConstants, withConstants } from './fit-constants'
import { chartedHrc, modelFigure } from './model-figure'

const FIT = STEEL_FACTS.filter(fact => fact.use === 'fit')

describe('the calibration', () => {
  it('finds the steel again that made the figures, and leaves the model as it was', () => {
    const before = constantsNow()
    // A made-up world: its martensite is softer, its peak lower. Its figures are exact.
    const world = {
      ...before,
      'martensite.rate': before['martensite.rate'] - 20,
      'temper.drop': before['temper.drop'] + 0.8,
    }
    const made = withConstants(world, () =>
      FIT.map((fact): SteelFact => ({ ...fact, stated: modelFigure(fact), sd: 0.1 })),
    )
    const off = () => rms(made.filter(f => f.figure === 'hrc').map(f => modelFigure(f) - f.stated))
    const fitted = fitConstants(made, 12)
    expect(withConstants(fitted, off)).toBeLessThan(off() / 10)
    expect(constantsNow()).toEqual(before)
  })

  it('puts back what was there, although something fails on the way', () => {
    const before = STEEL_MODEL.austeniteHv
    expect(() =>
      withConstants({ ...constantsNow(), austeniteHv: 300 }, () => {
        throw new Error('on the way')
      }),
    ).toThrow('on the way')
    expect(STEEL_MODEL.austeniteHv).toBe(before)
  })

  it('never fits to what is frozen, and never takes a chart’s own points for a check of the chart', () => {
    const text = (fact: SteelFact) =>
      JSON.stringify([fact.steel, fact.austenitizeC, fact.coldToC, fact.tempersC, fact.figure])
    const seen = new Set(FIT.map(text))
    const frozen = STEEL_FACTS.filter(fact => fact.use === 'frozen')
    for (const fact of frozen) expect(seen.has(text(fact)), text(fact)).toBe(false)
    for (const fact of STEEL_FACTS.filter(f => f.onChart)) expect(chartedHrc(fact)).toBeNull()
  })
})
