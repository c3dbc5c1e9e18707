import { describe, expect, it } from 'vitest'
import { figure } from '../core/codes/figure'
import { worked } from '../core/codes/working'
import { mainsCurrent } from '../core/oven/mains-current'
import { figureWords, workingValue } from './figures'
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
  })

  it('states its interval in the same decimals, money with its currency, and lengths in the units of the shop', () => {
    const interval = { low: 5.2, high: 7.4, level: 0.95 }
    const cost = figure('foil-cost-per-blade', 6, 'money', { blades: 2 }, { interval })
    expect(figureWords(cost, metric)).toEqual({
      name: 'Cost of foil per blade',
      value: '€6.00',
      unit: '€5.20 to €7.40',
    })
    // 1.5 m are 4.92 ft.
    expect(['m', 'm'].map((_, i) => workingValue(worked('foil-used', 1.5, 'm', {}), i === 0 ? metric : inch))).toEqual([
      '1.5 m',
      '4.9 ft',
    ])
  })

  it('says that a figure is missing, and a share as percent', () => {
    expect(figureWords(figure('foil-cost-per-blade', null, 'money', { blades: 0 }), metric).value).toBe('—')
    const chance = figure('chance-in-target', 0.834, 'share', { min: 59, max: 61 })
    expect(figureWords(chance, metric)).toEqual({ name: 'Chance of 59 to 61 HRC', value: '83', unit: '%' })
  })
})
