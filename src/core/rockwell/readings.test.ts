import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { problemWords } from '../../words/problems'
import { speakerOf } from '../../words/speaker'
import { indentRules } from './indent'
import { parseReadings } from './parse-readings'
import { grubbsCritical, summariseReadings } from './readings'
import { verifyTester } from './verification'

describe('what an indent needs', () => {
  it('is 0.08 mm deep and wants 0.8 mm of steel at 60 HRC (ISO 6508-1)', () => {
    expect(indentRules(60).depthMm).toBeCloseTo(0.08, 9)
    expect(indentRules(60).minimumThicknessMm).toBeCloseTo(0.8, 9)
  })

  it('keeps 3 diameters between centres and 2.5 from an edge (ISO 6508-1)', () => {
    const { diameterMm, minimumSpacingMm, minimumEdgeMm } = indentRules(60)
    expect(minimumSpacingMm / diameterMm).toBeCloseTo(3, 9)
    expect(minimumEdgeMm / diameterMm).toBeCloseTo(2.5, 9)
    // 120° cone with a 0.2 mm tip, by hand: the tip's sphere ends 0.0268 mm deep, 0.1 mm out; then 1.732 mm a mm.
    expect(diameterMm).toBeCloseTo(2 * (0.1 + (0.08 - 0.026795) * Math.sqrt(3)), 4)
  })
})

describe('a set of readings', () => {
  it('has the mean and Student interval of the textbook', () => {
    // Mean 61, s 0.5, n 3: t(0.975, 2) = 4.303 (Student tables); the dial's 0.5/√12 joins in quadrature (GUM).
    const summary = summariseReadings([60.5, 61, 61.5])
    expect(summary.mean).toBe(61)
    expect(summary.sd).toBeCloseTo(0.5, 12)
    const u = Math.hypot(0.5 / Math.sqrt(3), 0.5 / Math.sqrt(12))
    expect(summary.standardUncertainty).toBeCloseTo(u, 12)
    // Welch-Satterthwaite: 2·(u/uA)⁴ = 2·1.25² degrees of freedom, so t lies between t(3) = 3.182 and t(4) = 2.776.
    expect(summary.degreesOfFreedom).toBeCloseTo(3.125, 9)
    expect(summary.u95 / u).toBeGreaterThan(2.776)
    expect(summary.u95 / u).toBeLessThan(3.182)
  })

  it('is corrected by the block and less certain for it', () => {
    const block = { certifiedHrc: 60, certifiedSd: 0.2, readings: [60.5, 60.5, 60.8] }
    const plain = summariseReadings([61, 61.5, 61])
    const checked = summariseReadings([61, 61.5, 61], block)
    expect(checked.corrected).toBeCloseTo(checked.mean - 0.6, 9)
    expect(checked.standardUncertainty).toBeGreaterThan(plain.standardUncertainty)
  })

  it('stands on the tester’s usual scatter when there is one reading', () => {
    expect(summariseReadings([61]).u95).toBeCloseTo(1.96 * Math.hypot(0.5, 0.5 / Math.sqrt(12)), 2)
  })

  it('gives chances between 0 and 1 that grow with the target', () => {
    const readings = fc.array(fc.double({ min: 50, max: 68, noNaN: true }), { minLength: 1, maxLength: 12 })
    fc.assert(
      fc.property(
        readings,
        fc.double({ min: 50, max: 60, noNaN: true }),
        fc.double({ min: 0.2, max: 4, noNaN: true }),
        (values, min, width) => {
          const chance = (max: number) => summariseReadings(values, null, { min, max }).inTargetProbability as number
          expect(chance(min + width)).toBeGreaterThanOrEqual(0)
          expect(chance(min + width + 1)).toBeLessThanOrEqual(1)
          expect(chance(min + width + 1)).toBeGreaterThanOrEqual(chance(min + width) - 1e-12)
        },
      ),
    )
  })
})

describe('the chance of a target, and what it is made of', () => {
  const chanceOf = (readings: number[], min: number, max: number) =>
    summariseReadings(readings, null, { min, max }).inTargetProbability ?? Number.NaN

  it('of one reading is the normal one: 0.4804 either side of one standard uncertainty, by table 66.3 %', () => {
    // u = √(0.5² + 0.5²/12) = 0.5204; Φ(0.9608) = 0.83166 (tables).
    expect(chanceOf([61], 60.5, 61.5)).toBeCloseTo(2 * 0.83166 - 1, 4)
    expect(chanceOf([61], 61, 90)).toBeCloseTo(0.5, 9)
    expect(chanceOf([61], 40, 61)).toBeCloseTo(0.5, 9)
    expect(chanceOf([61], 20, 30)).toBe(0)
    expect(summariseReadings([61]).inTargetProbability).toBeNull()
  })

  it('of three lies between Student’s with three and with four degrees of freedom', () => {
    // Closed forms for three and four degrees of freedom: any textbook of distributions.
    const cdf3 = (t: number) => 0.5 + (t / Math.sqrt(3) / (1 + (t * t) / 3) + Math.atan(t / Math.sqrt(3))) / Math.PI
    const cdf4 = (t: number) => {
      const a = t / Math.sqrt(4 + t * t)
      return 0.5 + 0.75 * (a - a ** 3 / 3)
    }
    const t = 0.5 / Math.hypot(0.5 / Math.sqrt(3), 0.5 / Math.sqrt(12))
    const chance = chanceOf([60.5, 61, 61.5], 60.5, 61.5)
    expect(chance).toBeGreaterThan(2 * cdf3(t) - 1)
    expect(chance).toBeLessThan(2 * cdf4(t) - 1)
  })

  it('of readings that are all alike is the dial’s alone, and normal', () => {
    const summary = summariseReadings([61, 61, 61], null, { min: 60.9, max: 61.1 })
    expect(summary.standardUncertainty).toBeCloseTo(0.5 / Math.sqrt(12), 12)
    expect(summary.degreesOfFreedom).toBe(Number.POSITIVE_INFINITY)
    // Φ(0.1/0.14434) = Φ(0.6928) = 0.75578 (tables).
    expect(summary.inTargetProbability).toBeCloseTo(2 * 0.75578 - 1, 3)
  })

  it('counts the block: its certificate and the scatter of the check on it', () => {
    const uncertainty = (readings: number[]) =>
      summariseReadings([61], { certifiedHrc: 60, certifiedSd: 0.2, readings }).standardUncertainty
    // 60.5, 60.5, 60.8: s = 0.1732, over √3 it is 0.1.
    expect(uncertainty([60.5, 60.5, 60.8])).toBeCloseTo(Math.hypot(0.5, 0.5 / Math.sqrt(12), 0.2, 0.1), 6)
    // One reading on it scatters as one reading does, 0.5.
    expect(uncertainty([60.5])).toBeCloseTo(Math.hypot(0.5, 0.5 / Math.sqrt(12), 0.2, 0.5), 6)
  })

  it('says what it is worked out from', () => {
    const block = { certifiedHrc: 60, certifiedSd: 0.2, readings: [60.5, 60.5, 60.8] }
    const lines = (summary: ReturnType<typeof summariseReadings>) =>
      summary.working.map(({ code, value, unit, params }) => [
        code,
        value === null ? null : Number(value.toFixed(4)),
        unit,
        params,
      ])
    expect(lines(summariseReadings([60.5, 61, 61.5], block))).toEqual([
      ['readings-mean', 61, 'HRC', { n: 3 }],
      ['scatter-of-mean', 0.2887, 'HRC', { single: false }],
      ['dial-resolution', 0.1443, 'HRC', {}],
      ['test-block', 0.2236, 'HRC', { checked: true }],
      ['coverage-factor', expect.any(Number), '', {}],
    ])
    expect(lines(summariseReadings([61])).slice(1, 5)).toEqual([
      ['scatter-of-mean', 0.5, 'HRC', { single: true }],
      ['dial-resolution', 0.1443, 'HRC', {}],
      ['test-block', 0, 'HRC', { checked: false }],
      ['coverage-factor', 1.96, '', {}],
    ])
  })

  it('wants of the steel what an indent of that hardness wants', () => {
    expect(summariseReadings([60]).rules).toEqual(indentRules(60))
    expect(summariseReadings([30]).rules).toEqual(indentRules(30))
  })

  it('is not made of nothing', () => {
    expect(() => summariseReadings([])).toThrow(RangeError)
  })
})

describe('outliers', () => {
  // Grubbs (1969), two-sided 5 %: critical values from the published table.
  it.each([
    [3, 1.154],
    [5, 1.715],
    [7, 2.02],
    [10, 2.29],
    [20, 2.709],
  ])('critical value for %i readings is %f', (n, value) => {
    expect(grubbsCritical(n)).toBeCloseTo(value, 2)
  })

  it('are named when one is far off, and not for half a point on the dial', () => {
    expect(summariseReadings([60.5, 60.5, 61, 60.5, 56]).outliers).toEqual([56])
    expect(summariseReadings([60, 61, 61]).outliers).toEqual([])
    expect(summariseReadings([60, 60, 60]).outliers).toEqual([])
    expect(summariseReadings([60, 50]).outliers).toEqual([])
    // Of three the farthest can be named: 60, 60 and 55 lie 1.155 deviations out, past the 1.1543 of the table.
    expect(summariseReadings([60, 60, 55]).outliers).toEqual([55])
  })
})

describe('the tester on its block', () => {
  // ISO 6508-2, scale C: error within 1.5 HRC, repeatability 0.8 HRC or 0.02(100 − H), from memory.
  it.each([
    [[60.2, 60.4, 60.3], true],
    [[62, 62, 62], false],
    [[59.5, 60.5, 60], false],
  ])('%j is fit: %s', (readings, ok) => {
    expect(verifyTester({ certifiedHrc: 60, certifiedSd: 0.2, readings }).ok).toBe(ok)
  })
})

describe('parseReadings', () => {
  it.each([
    ['61 60.5 61', [61, 60.5, 61]],
    ['61; 60,5; 61', [61, 60.5, 61]],
    ['61, 60.5, 61', [61, 60.5, 61]],
    ['61\n60,5\n61', [61, 60.5, 61]],
  ])('reads %j', (text, values) => {
    expect(parseReadings(text)).toEqual({ ok: true, value: values })
  })

  it.each([
    ['', 'no-readings', ''],
    ['61 6O.5', 'not-a-number', '1'],
    ['605', 'implausible-hrc', '0'],
    ['61 -3', 'implausible-hrc', '1'],
    ['72', 'implausible-hrc', '0'],
  ])('refuses %j as %s at %s', (text, code, path) => {
    const result = parseReadings(text)
    expect(result.ok ? '' : result.problems[0]).toMatchObject({ code, path })
  })

  it('guesses aloud, never silently', () => {
    const result = parseReadings('6O.5 605')
    expect(result.ok ? [] : result.problems.map(p => problemWords(p, speakerOf('metric')))).toEqual([
      expect.stringContaining('type 60.5?'),
      expect.stringContaining('Did you mean 60.5?'),
    ])
  })
})
