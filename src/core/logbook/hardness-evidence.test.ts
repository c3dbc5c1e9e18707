import { deviation, mean } from 'd3-array'
import fc from 'fast-check'
import { Matrix, solve } from 'ml-matrix'
import { describe, expect, it } from 'vitest'
import { blockUse, checkBefore, checksOf, isChecked, testerDrift } from '../hardness/tester'
import { slopeOver, spreadOf } from '../rockwell/components'
import { controlChart } from '../rockwell/control-chart'
import { combineHardness } from '../rockwell/files'
import { summariseReadings } from '../rockwell/readings'
import type { Tester } from '../shop/workshop'

describe('files as intervals', () => {
  it('skates at 60, bites at 65 is between, and wide: not 62.5 as a point', () => {
    const combined = combineHardness({ readings: null, files: [{ skates: 60, bites: 65 }], predicted: null })
    expect(combined?.mean).toBeGreaterThan(61.5)
    expect(combined?.mean).toBeLessThan(63.5)
    expect(combined?.sd).toBeGreaterThan(1.2)
    expect(combined?.low).toBeLessThan(60.5)
    expect(combined?.high).toBeGreaterThan(64.5)
  })

  it('leaves a sure reading nearly where it is, and pulls an unsure prediction', () => {
    const files = [{ skates: null, bites: 60 }]
    const sure = combineHardness({ readings: { mean: 60.5, sd: 0.2 }, files, predicted: null })
    expect(Math.abs((sure?.mean ?? 0) - 60.5)).toBeLessThan(0.1)
    const unsure = combineHardness({ readings: null, files, predicted: { mean: 62, sd: 1.5 } })
    expect(unsure?.mean).toBeLessThan(60.8)
  })

  it('is the product of two normals where there are no files (closed form)', () => {
    const combined = combineHardness({ readings: { mean: 61, sd: 0.5 }, files: [], predicted: { mean: 60, sd: 1 } })
    expect(combined?.mean).toBeCloseTo((61 / 0.25 + 60) / (1 / 0.25 + 1), 2)
    expect(combined?.sd).toBeCloseTo(Math.sqrt(1 / (1 / 0.25 + 1)), 2)
  })

  it('agrees with brute-force integration by another rule and step', () => {
    const [skates, bites] = [58, 62]
    // Logistic-free: Φ by Simpson's rule of the density, product by the midpoint rule at 0.01.
    const phi = (z: number) => {
      let sum = 0
      const [n, a] = [200, -8]
      const h = (z - a) / n
      for (let i = 0; i <= n; i++) sum += (i === 0 || i === n ? 1 : i % 2 ? 4 : 2) * Math.exp(-((a + i * h) ** 2) / 2)
      return (sum * h) / 3 / Math.sqrt(2 * Math.PI)
    }
    let [total, first] = [0, 0]
    for (let h = 45.005; h < 75; h += 0.01) {
      const w = Math.exp(-0.5 * ((h - 61) / 1.1) ** 2) * phi((h - skates) / 1.2) * phi((bites - h) / 1.2)
      total += w
      first += w * h
    }
    const combined = combineHardness({ readings: { mean: 61, sd: 1.1 }, files: [{ skates, bites }], predicted: null })
    expect(combined?.mean).toBeCloseTo(first / total, 2)
  })

  it('a harder file that skates never makes it softer; chances stay chances (law)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 40, max: 64 }), fc.double({ min: 52, max: 66, noNaN: true }), (skates, reads) => {
        const at = (s: number) =>
          combineHardness(
            { readings: { mean: reads, sd: 1 }, files: [{ skates: s, bites: null }], predicted: null },
            { min: 58, max: 60 },
          )
        expect(at(skates + 1)?.mean).toBeGreaterThanOrEqual((at(skates)?.mean ?? 0) - 1e-9)
        expect(at(skates)?.inTargetProbability).toBeGreaterThanOrEqual(0)
        expect(at(skates)?.inTargetProbability).toBeLessThanOrEqual(1)
      }),
      { numRuns: 30 },
    )
  })

  it('says nothing where nothing was tried', () => {
    expect(combineHardness({ readings: null, files: [{ skates: null, bites: null }], predicted: null })).toBeNull()
  })
})

describe('scatter within and between blades', () => {
  it('is the textbook analysis of variance', () => {
    // Worked by hand: means 60, 61, 62; within ss 6 × 0.25 = 1.5, df 6; between ss 3·(1 + 0 + 1) = 6, df 2. F = 3/0.25 = 12.
    const spread = spreadOf([
      [59.5, 60, 60.5],
      [60.5, 61, 61.5],
      [61.5, 62, 62.5],
    ])
    expect(spread.withinSd).toBeCloseTo(0.5, 9)
    expect(spread.betweenSd).toBeCloseTo(Math.sqrt((3 - 0.25) / 3), 9)
    // F(2, 6) = 12: p = 0.008 (F tables give 10.92 at 1 %).
    expect(spread.pBlades).toBeCloseTo(0.008, 3)
  })

  it('does not call noise a difference, and needs two blades', () => {
    expect(
      spreadOf([
        [60, 60.5],
        [60.5, 60],
        [60, 60.5],
      ]).pBlades,
    ).toBeGreaterThan(0.3)
    expect(spreadOf([[60, 61]]).betweenSd).toBeNull()
    expect(spreadOf([[60], [61]]).withinSd).toBeNull()
  })

  it('finds a cold end of the oven; slope as ml-matrix has it', () => {
    const points = [
      [20, 61.6],
      [60, 61.4],
      [150, 60.9],
      [240, 60.6],
      [330, 60.1],
      [420, 59.9],
    ].map(([atMm = 0, hrc = 0]) => ({ atMm, hrc }))
    const slope = slopeOver(points)
    // Least squares as ml-matrix solves it.
    const line = solve(new Matrix(points.map(p => [1, p.atMm])), Matrix.columnVector(points.map(p => p.hrc)), true)
    expect(slope?.per100Mm).toBeCloseTo(100 * line.get(1, 0), 6)
    expect(slope?.p).toBeLessThan(0.001)
    expect(slopeOver(points.slice(0, 3))).toBeNull()
  })

  it('summary agrees with d3-array on any readings', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 40, max: 66, noNaN: true }), { minLength: 2, maxLength: 20 }), values => {
        const summary = summariseReadings(values)
        expect(summary.mean).toBeCloseTo(mean(values) ?? 0, 9)
        expect(summary.sd).toBeCloseTo(deviation(values) ?? 0, 9)
      }),
    )
  })
})

describe('individuals and moving range', () => {
  // Montgomery, Introduction to Statistical Quality Control, individuals: limits at mean ± 3·MR/1.128 = 2.660·MR, range 3.267·MR.
  it('has the limits of the textbook', () => {
    const values = [60, 60.5, 60, 61, 60.5, 60, 60.5, 61]
    const chart = controlChart(values, { min: 59, max: 62 })
    const meanRange = mean([0.5, 0.5, 1, 0.5, 0.5, 0.5, 0.5]) ?? 0
    expect(chart?.upper).toBeCloseTo((mean(values) ?? 0) + 2.66 * meanRange, 2)
    expect(chart?.upperRange).toBeCloseTo(3.267 * meanRange, 9)
    expect(chart?.capability?.cp).toBeCloseTo(3 / (6 * (meanRange / 1.128)), 9)
    expect(chart?.capability?.cpk).toBeLessThanOrEqual(chart?.capability?.cp ?? 0)
    expect(chart?.signals).toEqual([])
  })

  it.each([
    ['beyond', [60.1, 60, 60.2, 60, 60.2, 60, 60.1, 63]],
    ['run-of-eight', [60, 60.2, 59.9, 60.1, 60, 60.2, 59.9, 60.1, 61, 61.2, 60.9, 61.1, 61, 61.2, 60.9, 61.1]],
    ['trend-of-six', [60, 60.6, 60.1, 60.2, 60.3, 60.4, 60.5, 60.6]],
  ])('names %s', (rule, values) => {
    expect(controlChart(values)?.signals.map(s => s.rule)).toContain(rule)
  })

  it('calls nothing unusual of fewer than eight', () => {
    const chart = controlChart([60, 60.2, 60, 60.2, 60, 60.1, 63], { min: 59, max: 61 })
    expect([chart?.signals, chart?.capability]).toEqual([[], null])
  })

  it('is not drawn from two values', () => {
    expect(controlChart([60, 61])).toBeNull()
  })
})

describe('the tester over time', () => {
  const tester: Tester = {
    dial: true,
    blocks: [{ id: 'b', name: 'Block 60', certifiedHrc: 60.2, certifiedSd: 0.2, holdsIndents: 12 }],
    checks: [
      { id: '1', blockId: 'b', at: '2026-01-05T08:00:00.000Z', readings: [60.3, 60.4, 60.2] },
      { id: '2', blockId: 'b', at: '2026-05-05T08:00:00.000Z', readings: [60.6, 60.7, 60.5] },
      { id: '3', blockId: 'b', at: '2026-09-05T08:00:00.000Z', readings: [60.9, 61, 60.8] },
    ],
  }

  it('corrects a reading by the newest check made before it, and shows the drift', () => {
    const at = (day: string) => checkBefore(checksOf(tester), `${day}T12:00:00.000Z`)?.id
    expect(['2026-01-04', '2026-01-05', '2026-09-04', '2026-12-01'].map(at)).toEqual([undefined, '1', '2', '3'])
    // 0.6 HRC in eight months.
    expect(testerDrift(checksOf(tester))).toBeCloseTo(0.9, 1)
    expect(testerDrift(checksOf(tester).slice(0, 2))).toBeNull()
  })

  it('knows a reading of a day with a check from one without', () => {
    expect(isChecked(tester, '2026-09-05T15:00:00.000Z')).toBe(true)
    expect(isChecked(tester, '2026-09-07T08:00:00.000Z')).toBe(false)
    expect(isChecked(tester, '2026-09-05T07:00:00.000Z')).toBe(false)
    expect(isChecked({ ...tester, checks: [] }, '2026-09-05T15:00:00.000Z')).toBe(false)
  })

  it('counts the indents in a block’s face', () => {
    expect(blockUse(tester, 'b')).toEqual({ indents: 9, full: false })
    expect(
      blockUse(
        {
          ...tester,
          checks: [...tester.checks, { id: '4', blockId: 'b', at: '2026-10-01T08:00:00.000Z', readings: [60, 60, 60] }],
        },
        'b',
      ).full,
    ).toBe(true)
  })
})
