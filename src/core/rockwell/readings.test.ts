import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { problemWords } from '../../words/problems'
import { speakerOf } from '../../words/speaker'
import { createRandom } from '../numeric/random'
import { indentRules } from './indent'
import { parseReadings } from './parse-readings'
import { grubbsCritical, summariseReadings } from './readings'
import { scatterFrom } from './scatter'
import { type BlockCheck, verifyTester } from './verification'

const GOOD_BLOCK: BlockCheck = { certifiedHrc: 60, certifiedSd: 0.2, readings: [60, 60, 60] }

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
  it('has the mean and Student interval of the textbook, its scatter pooled with what is known before', () => {
    // s 0.5 of three, and 0.5 known before with five degrees of freedom: pooled 0.5 with seven (Gelman et al., 2.6).
    const summary = summariseReadings([60.5, 61, 61.5], GOOD_BLOCK)
    expect(summary.mean).toBe(61)
    expect(summary.sd).toBeCloseTo(0.5, 12)
    const [uMean, uBlock] = [0.5 / Math.sqrt(3), Math.hypot(0.2, Math.sqrt((4 * 0.09) / 6 / 3))]
    expect(summary.standardUncertainty).toBeCloseTo(Math.hypot(uMean, 0.5 / Math.sqrt(12), uBlock), 12)
    // Welch-Satterthwaite by hand: u⁴ over the sum of u_i⁴/ν_i; the block's mean has six, its certificate none.
    const ofBlockMean = uBlock ** 2 - 0.04
    const nu = summary.standardUncertainty ** 4 / (uMean ** 4 / 7 + ofBlockMean ** 2 / 6)
    expect(summary.degreesOfFreedom).toBeCloseTo(nu, 9)
    // Student tables: t(0.975) is 2.086 with 20 and 2.042 with 30.
    expect(nu).toBeGreaterThan(20)
    expect(nu).toBeLessThan(30)
    expect(summary.u95 / summary.standardUncertainty).toBeGreaterThan(2.042)
    expect(summary.u95 / summary.standardUncertainty).toBeLessThan(2.086)
  })

  it('neither trusts two equal readings nor despairs of two unequal ones', () => {
    const of = (...readings: number[]) => summariseReadings(readings, GOOD_BLOCK).u95
    expect(of(60, 60)).toBeGreaterThan(0.6)
    expect(of(60, 60)).toBeLessThan(1.1)
    expect(of(60, 61)).toBeGreaterThan(of(60, 60))
    expect(of(60, 61)).toBeLessThan(1.5)
    expect(of(60, 60, 60, 60, 60)).toBeLessThan(of(60, 60))
  })

  it('is corrected by the block, and less certain by what the block leaves open', () => {
    const block = { certifiedHrc: 60, certifiedSd: 0.2, readings: [60.5, 60.5, 60.8] }
    const checked = summariseReadings([61, 61.5, 61], block)
    expect(checked.corrected).toBeCloseTo(checked.mean - 0.6, 9)
    expect(checked.correctedBy).toBe('block')
    expect(checked.standardUncertainty).toBeGreaterThan(Math.hypot(0.2, 0.5 / Math.sqrt(12)))
  })

  it('is wider without a check than with a good one, and says why nothing is corrected', () => {
    const of = (block: BlockCheck | null) => summariseReadings([61, 61, 61.5], block)
    expect(of(null).correctedBy).toBe('unchecked')
    expect(of(null).standardUncertainty).toBeGreaterThan(of(GOOD_BLOCK).standardUncertainty)
    // ISO 6508-2: 2 HRC off is outside the permissible error, so it corrects nothing and leaves at least that open.
    const bad = of({ certifiedHrc: 60, certifiedSd: 0.2, readings: [62, 62, 62] })
    expect(bad.correctedBy).toBe('tester-outside')
    expect(bad.corrected).toBe(bad.mean)
    expect(bad.standardUncertainty).toBeGreaterThan(2)
    const far = of({ certifiedHrc: 45, certifiedSd: 0.2, readings: [45.5, 45.5, 45.5] })
    expect(far.correctedBy).toBe('block-far')
    expect(far.corrected).toBe(far.mean)
    expect(far.standardUncertainty).toBeCloseTo(of(null).standardUncertainty, 12)
  })

  it('holds the truth 93 to 97 times in 100 over shops that scatter from 0.2 to 0.8, never under 85 in one of them', () => {
    // Simulated from the model of measurement alone: truth, a tester’s bias, scatter, a dial of half points, a polished block.
    const random = createRandom(11)
    const shops = [0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8]
    for (const n of [1, 2, 3, 4, 5]) {
      const coverage = shops.map(scatter => {
        const rounds = 1500
        let held = 0
        for (let i = 0; i < rounds; i++) {
          const truth = 58 + 4 * random.uniform()
          const bias = random.normal(0, 0.4)
          const dial = (hrc: number, sd = scatter) => Math.round(2 * (hrc + bias + random.normal(0, sd))) / 2
          const block = 60 + random.normal(0, 0.2)
          const check = { certifiedHrc: 60, certifiedSd: 0.2, readings: [0, 1, 2, 3, 4].map(() => dial(block, 0.2)) }
          const { corrected, u95 } = summariseReadings(
            Array.from({ length: n }, () => dial(truth)),
            check,
          )
          if (Math.abs(corrected - truth) <= u95) held++
        }
        return held / rounds
      })
      const overall = coverage.reduce((a, b) => a + b, 0) / shops.length
      expect(overall, `${n} readings`).toBeGreaterThan(0.93)
      expect(overall, `${n} readings`).toBeLessThan(0.97)
      expect(Math.min(...coverage), `${n} readings`).toBeGreaterThan(0.85)
    }
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

  it('of one reading is Student’s with what is known of any shop', () => {
    // u = √(0.5² + 0.5²/12 + 0.5²): scatter known before, the dial, a tester nobody checked. Half of it lies above.
    const summary = summariseReadings([61], null, { min: 61, max: 90 })
    expect(summary.standardUncertainty).toBeCloseTo(Math.hypot(0.5, 0.5 / Math.sqrt(12), 0.5), 12)
    // Only the scatter has degrees of freedom: five, times (u/u_scatter)⁴.
    expect(summary.degreesOfFreedom).toBeCloseTo(5 * (summary.standardUncertainty / 0.5) ** 4, 9)
    expect(summary.inTargetProbability).toBeCloseTo(0.5, 9)
    expect(chanceOf([61], 40, 61)).toBeCloseTo(0.5, 9)
    expect(chanceOf([61], 20, 30)).toBeLessThan(1e-6)
    expect(summariseReadings([61]).inTargetProbability).toBeNull()
    // With 21.7 degrees of freedom a standard uncertainty either side holds 67 % (Student tables: 67.1 with 21).
    const u = summary.standardUncertainty
    expect(chanceOf([61], 61 - u, 61 + u)).toBeCloseTo(0.671, 2)
  })

  it('counts the block: its certificate and the scatter of the check on it', () => {
    const uncertainty = (readings: number[]) =>
      summariseReadings([61], { certifiedHrc: 60, certifiedSd: 0.2, readings }).standardUncertainty
    // 60.5, 60.5, 60.8 lie 0.06 HRC² about their mean: pooled with 0.3 of four (4·0.09 + 0.06)/6 = 0.07, over three.
    expect(uncertainty([60.5, 60.5, 60.8])).toBeCloseTo(
      Math.hypot(0.5, 0.5 / Math.sqrt(12), 0.2, Math.sqrt(0.07 / 3)),
      5,
    )
    // One reading on it scatters as readings on blocks do, 0.3.
    expect(uncertainty([60.5])).toBeCloseTo(Math.hypot(0.5, 0.5 / Math.sqrt(12), 0.2, 0.3), 6)
  })

  it('says what it is worked out from', () => {
    const lines = (summary: ReturnType<typeof summariseReadings>) =>
      summary.working.map(({ code, value, params }) => [code, value === null ? null : Number(value.toFixed(4)), params])
    expect(lines(summariseReadings([60.5, 61, 61.5], GOOD_BLOCK))).toEqual([
      ['readings-mean', 61, { n: 3 }],
      ['scatter-of-mean', 0.2887, { sdHrc: 0.5, degreesOfFreedom: 7, beforeHrc: 0.5 }],
      ['dial-resolution', 0.1443, {}],
      ['test-block', 0.2449, { by: 'block' }],
      ['coverage-factor', expect.any(Number), {}],
    ])
    expect(lines(summariseReadings([61])).slice(1, 4)).toEqual([
      ['scatter-of-mean', 0.5, { sdHrc: 0.5, degreesOfFreedom: 5, beforeHrc: 0.5 }],
      ['dial-resolution', 0.1443, {}],
      ['test-block', 0.5, { by: 'unchecked' }],
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

describe('the scatter of a shop', () => {
  it('is learnt from other blades, each about its own mean, and never counts for more than twelve', () => {
    // By hand: five of 0.25 known before, and 0.02 about each pair’s mean, over 5 + 1 + 1.
    const steady = scatterFrom([[60, 60.2], [55, 55.2], [61]])
    expect(steady.sdHrc).toBeCloseTo(Math.sqrt((1.25 + 0.02 + 0.02) / 7), 9)
    expect(steady.degreesOfFreedom).toBe(7)
    const many = scatterFrom(Array.from({ length: 40 }, () => [60, 60.5, 61]))
    expect(many.degreesOfFreedom).toBe(12)
    expect(many.sdHrc).toBeCloseTo(0.5, 2)
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

  it('takes three digits for a reading without its point only where that is allowed, and no other number', () => {
    expect(parseReadings('605 61 598', 'tenths')).toEqual({ ok: true, value: [60.5, 61, 59.8] })
    for (const wrong of ['950', '0456', '045']) expect(parseReadings(wrong, 'tenths').ok, wrong).toBe(false)
  })

  it.each([
    ['half points', '6056160', [60.5, 61, 60]],
    ['half points', '605605', [60.5, 60.5]],
    ['half points', '606160', [60, 61, 60]],
    ['half points', '5857 575', [58, 57, 57.5]],
    ['tenths', '604611598', [60.4, 61.1, 59.8]],
    ['tenths', '6162', [61, 62]],
  ] as const)('reads digits without spaces in the one way they can be read: %s, %s', (typed, text, values) => {
    expect(parseReadings(text, typed)).toEqual({ ok: true, value: values })
  })

  it.each([
    [
      'half points',
      '605555',
      [
        [60, 55, 55],
        [60.5, 55.5],
      ],
    ],
    [
      'tenths',
      '60560',
      [
        [60, 56],
        [60.5, 60],
      ],
    ],
  ] as const)('asks where there are two ways: %s, %s', (typed, text, ways) => {
    const result = parseReadings(text, typed)
    const [found] = result.ok ? [] : result.problems
    expect(found).toMatchObject({ code: 'readings-run-together', params: { text } })
    expect((found?.code === 'readings-run-together' ? [...found.params.ways] : []).map(String).sort()).toEqual(
      ways.map(String).sort(),
    )
  })

  it('reads what any three readings of a dial come to when typed without points and spaces, or asks (law)', () => {
    const reading = fc.integer({ min: 40, max: 140 }).map(halves => halves / 2)
    fc.assert(
      fc.property(fc.array(reading, { minLength: 1, maxLength: 3 }), readings => {
        const text = readings.map(hrc => String(hrc).replace('.', '')).join('')
        const result = parseReadings(text, 'half points')
        if (result.ok) expect(result.value).toEqual(readings)
        else expect(result.problems[0]?.code).toBe('readings-run-together')
      }),
    )
  })

  it('guesses aloud, never silently', () => {
    const result = parseReadings('6O.5 605')
    expect(result.ok ? [] : result.problems.map(p => problemWords(p, speakerOf('metric')))).toEqual([
      expect.stringContaining('type 60.5?'),
      expect.stringContaining('Did you mean 60.5?'),
    ])
  })
})
