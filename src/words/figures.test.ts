import { describe, expect, it } from 'vitest'
import { figure } from '../core/codes/figure'
import { interval95 } from '../core/numeric/coverage'
import { mainsCurrent } from '../core/oven/mains-current'
import { figureWords } from './figures'
import { speakerOf } from './speaker'

const [metric, inch] = [speakerOf('metric', 'EUR'), speakerOf('imperial', 'USD')]

describe('a figure in words', () => {
  it('has its name, number and unit from the registry, in the units of the shop', () => {
    // 2,200 W over 230 V: 9.57 A by hand.
    expect(figureWords(mainsCurrent({ powerW: 2200, volts: 230 }), metric)).toEqual({
      name: 'Current from the mains',
      value: '9.6',
      unit: 'A',
    })
    const foil = figure('foil-used', 1.5, 'm', {})
    expect([figureWords(foil, metric).value, figureWords(foil, metric).unit]).toEqual(['1.5', 'm'])
    // 1.5 m are 4.92 ft.
    expect([figureWords(foil, inch).value, figureWords(foil, inch).unit]).toEqual(['4.9', 'ft'])
  })

  it('states its interval in the same decimals', () => {
    const interval = interval95({ mean: 60.2, sd: 1 })
    expect(figureWords(figure('readings-mean', 60.2, 'HRC', { n: 3 }, { interval }), metric)).toMatchObject({
      value: '60.2',
      unit: 'HRC 58.2 to 62.2',
    })
  })

  it('says that a figure is missing, money with its currency, and a share as percent', () => {
    expect(figureWords(figure('heat-cost', null, 'money', {}), metric).value).toBe('—')
    expect(figureWords(figure('heat-cost', 3.5, 'money', {}), metric).value).toBe('€3.50')
    const chance = figure('chance-in-target', 0.834, 'share', { min: 59, max: 61 })
    expect(figureWords(chance, metric)).toEqual({ name: 'Chance of 59 to 61 HRC', value: '83', unit: '%' })
  })
})
