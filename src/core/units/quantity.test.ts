import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  bothScales,
  formatNumber,
  formatQuantity,
  formatTemperature,
  otherReading,
  parseQuantity,
  type System,
} from './quantity'

const read = (text: string, dimension: Parameters<typeof parseQuantity>[1], system: System = 'metric') => {
  const result = parseQuantity(text, dimension, system)
  return result.ok ? result.value : result.problems[0]?.code
}

describe('parseQuantity', () => {
  it.each([
    // 1950 °F is 1065.56 °C: (F − 32)/1.8, exact by definition (SI Brochure, ITS-90).
    ['1950F', 'temperature', 1065.5556],
    ['1950 °f', 'temperature', 1065.5556],
    ['1065 C', 'temperature', 1065],
    ['-75', 'temperature', -75],
    ['−321 F', 'temperature', -196.1111],
    // The inch is 25.4 mm exactly (international yard and pound agreement, 1959).
    ['1/8in', 'length', 3.175],
    ['1 1/2"', 'length', 38.1],
    ['1-1/2 in', 'length', 38.1],
    ['2,5', 'length', 2.5],
    ['.1 in', 'length', 2.54],
    ['25 cm', 'length', 250],
    // The pound is 0.45359237 kg exactly (the same agreement).
    ['3 lb 4 oz', 'mass', 1.4741752],
    ['250 g', 'mass', 0.25],
    ['1h30', 'duration', 90],
    ['1:30', 'duration', 90],
    ['2 h', 'duration', 120],
    ['90', 'duration', 90],
    ['1 h 15', 'duration', 75],
    ['1 h 15 min', 'duration', 75],
    ['2 1/4 in', 'length', 57.15],
    // The foot is 12 inches.
    ['20 ft', 'length', 6096],
    ['2\' 3"', 'length', 685.8],
    ['3,6 kW', 'power', 3600],
    ['3600', 'power', 3600],
    ['2.2kW', 'power', 2200],
    ['240V', 'voltage', 240],
    ['240 volts', 'voltage', 240],
  ] as const)('reads %s as a %s', (text, dimension, base) => {
    expect(read(text, dimension)).toBeCloseTo(base, 3)
  })

  it.each([
    ['', 'temperature', 'empty'],
    ['hot', 'temperature', 'not-a-quantity'],
    ['3 furlongs', 'length', 'unknown-unit'],
    ['1065 1080', 'temperature', 'several-numbers'],
    ['1/0 in', 'length', 'not-a-quantity'],
    ['1065 mm', 'temperature', 'unknown-unit'],
    ['240 V', 'power', 'unknown-unit'],
  ] as const)('refuses %j as a %s with code %s', (text, dimension, code) => {
    expect(read(text, dimension)).toBe(code)
  })

  it('takes a bare number in the shown unit', () => {
    expect(read('1950', 'temperature', 'imperial')).toBeCloseTo(1065.5556, 3)
    expect(read('1/8', 'length', 'imperial')).toBeCloseTo(3.175, 6)
  })

  it('reads back what it shows, to the shown step', () => {
    const steps = { temperature: [0.6, 0.4], length: [0.06, 0.03], mass: [0.006, 0.003] } as const
    for (const dimension of ['temperature', 'length', 'mass'] as const)
      fc.assert(
        fc.property(
          fc.double({ min: 0.5, max: 900, noNaN: true }),
          fc.constantFrom<System>('metric', 'imperial'),
          (base, system) => {
            const back = read(formatNumber(base, dimension, system), dimension, system)
            expect(Math.abs((back as number) - base)).toBeLessThanOrEqual(steps[dimension][system === 'metric' ? 0 : 1])
          },
        ),
      )
  })

  it('never throws, whatever is typed', () => {
    fc.assert(fc.property(fc.string(), text => ['number', 'string'].includes(typeof read(text, 'mass'))))
  })
})

describe('formatting', () => {
  it('writes inches in thousandths, whether or not they are a fraction of the rule', () => {
    expect(formatQuantity(3.175, 'length', 'imperial')).toBe('0.125 in')
    expect(formatQuantity(38.1, 'length', 'imperial')).toBe('1.5 in')
    expect(formatQuantity(2.2, 'length', 'imperial')).toBe('0.087 in')
  })

  it('tells gauges and foil apart by hundredths of a millimetre', () => {
    expect(formatQuantity(0.05, 'length', 'metric')).toBe('0.05 mm')
    expect(formatQuantity(0.05, 'length', 'imperial')).toBe('0.002 in')
    expect(formatQuantity(2.38, 'length', 'metric')).toBe('2.4 mm')
  })

  it('puts both scales on a temperature to key in', () => {
    expect(bothScales(1065.56, 'metric')).toBe('1066 °C (1950 °F)')
    expect(bothScales(1065.56, 'imperial')).toBe('1950 °F (1066 °C)')
    expect(formatTemperature(1065.56, 'imperial')).toBe('1950 °F')
  })

  it('writes long durations in hours', () => {
    expect(formatQuantity(125, 'duration', 'metric')).toBe('2 h 05')
    expect(formatQuantity(45, 'duration', 'metric')).toBe('45 min')
  })
})

describe('otherReading', () => {
  it('offers °F when a number is too hot in °C', () => {
    const other = otherReading('1950', 'temperature', 'metric', { min: 700, max: 1200 })
    expect(other?.text).toBe('1950 °F')
    expect(other?.base).toBeCloseTo(1065.56, 2)
  })

  it('offers nothing when the person named the unit', () => {
    expect(otherReading('1950 C', 'temperature', 'metric', { min: 700, max: 1200 })).toBeNull()
  })
})
