import { deviation, mean } from 'd3-array'
import { describe, expect, it } from 'vitest'
import { gradeOf, groupOf, readingOf, trayOf, withBlade } from '../../testing/tray'
import { bladesOf } from '../batch/tray'
import type { Batch } from '../shop/batch'
import type { Reading } from '../shop/reading'
import type { Tester } from '../shop/workshop'
import { bladeHardness, bladesApart, groupHardness } from './hardness'

const plain = trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 4 }])
const batch: Batch = { ...plain, groups: [{ ...groupOf(plain), target: { min: 58.5, max: 60.5 } }] }
const stage = 'temper-2' as const
const read = (bladeId: string, hrc: number, more: Partial<Reading> = {}) => readingOf(bladeId, hrc, stage, more)

const testerWith = (...checks: { at: string | null; readings: number[] }[]): Tester => ({
  dial: true,
  blocks: [{ id: 'block', name: 'Block 60', certifiedHrc: 60, certifiedSd: 0.2, holdsIndents: 99 }],
  checks: checks.map((check, i) => ({ id: `${i}`, blockId: 'block', ...check })),
})
const unchecked = testerWith()
/** It shows 0.6 too much. */
const high = testerWith({ at: '2026-03-04T07:00:00.000Z', readings: [60.6, 60.6, 60.6] })

describe('how hard a group is', () => {
  const of = (readings: Reading[], tester = high) => groupHardness(batch, 'g', stage, { readings, tester })

  it('readings 60, 60, 55 on a tester that shows 0.6 too much: 59.4, and the third blade apart at 54.4', () => {
    const hardness = of([read('A1', 60), read('A2', 60), read('A3', 55)])
    expect(hardness?.hrc).toBeCloseTo(59.4, 9)
    expect(hardness?.apart).toEqual([{ bladeId: 'A3', hrc: expect.closeTo(54.4, 9) }])
    expect(hardness?.bladeIds).toEqual(['A1', 'A2'])
    expect(hardness?.n).toBe(2)
  })

  it('is the mean of readings alone on a tester that was never checked, with their scatter in its uncertainty', () => {
    const values = [59, 60, 60.5, 61]
    const hardness = of(
      values.map((v, i) => read(`A${1 + (i % 2)}`, v)),
      unchecked,
    )
    expect(hardness?.hrc).toBeCloseTo(mean(values) ?? 0, 9)
    expect(hardness?.sd).toBeGreaterThanOrEqual((deviation(values) ?? 0) / Math.sqrt(values.length))
    expect(hardness?.u95).toBeGreaterThan(1.96 * (hardness?.sd ?? 0))
  })

  it('leaves out what was taken out, another stage and another batch’s blade', () => {
    const of60 = of([read('A1', 60)])
    const more = [
      read('A2', 50, { deletedAt: '2026-03-05T08:00:00.000Z' }),
      readingOf('A2', 64, 'as-quenched'),
      read('Z', 40),
    ]
    expect(of([read('A1', 60), ...more])).toEqual({ ...of60, summary: expect.anything() })
    expect(of([])).toBeNull()
    expect(groupHardness(batch, 'no such group', stage, { readings: [read('A1', 60)], tester: high })).toBeNull()
  })

  it('corrects each reading by the check that stood when it was taken', () => {
    const drifting = testerWith(
      { at: '2026-03-04T07:00:00.000Z', readings: [60.6, 60.6, 60.6] },
      { at: '2026-03-06T07:00:00.000Z', readings: [59.8, 59.8, 59.8] },
    )
    const morning = read('A1', 60.6, { at: '2026-03-04T08:00:00.000Z' })
    const later = read('A2', 59.8, { at: '2026-03-06T08:00:00.000Z' })
    const before = read('A1', 60, { at: '2026-03-03T08:00:00.000Z' })
    expect(of([morning, later], drifting)?.hrc).toBeCloseTo(60, 9)
    expect(of([before, morning, later], drifting)?.hrc).toBeCloseTo(60, 9)
  })

  it('says that a reading was taken on a tester without a check of that day', () => {
    expect(of([read('A1', 60, { unchecked: true })])?.unchecked).toBe(true)
    expect(of([read('A1', 60)])?.unchecked).toBe(false)
  })
})

describe('how hard one blade is', () => {
  const blade = (of = batch, id = 'A1') => {
    const found = bladesOf(of).find(b => b.id === id)
    if (!found) throw new Error('blade')
    return found
  }
  const file = (skates: number | null, bites: number | null) =>
    blade(withBlade(batch, 'A1', { files: [{ stage, skates, bites, at: '2026-03-04T08:00:00.000Z' }] }))
  const predicted = () => ({ mean: 60, sd: 1.2 })

  it('is its own readings, also where its group sets it apart', () => {
    const readings = [read('A1', 60), read('A2', 60), read('A3', 55)]
    expect(bladeHardness(blade(batch, 'A3'), stage, { readings, tester: high })?.hrc).toBeCloseTo(54.4, 9)
  })

  it('by files alone is weighed with what was predicted, and is wide', () => {
    const hardness = bladeHardness(file(null, 55), stage, { readings: [], tester: high, predicted })
    expect(hardness).toMatchObject({ by: 'files', n: 0, summary: null })
    expect(hardness?.hrc).toBeLessThan(predicted().mean)
    expect(hardness?.u95).toBeGreaterThan(0.8)
  })

  it('with both, the prediction is left out: readings speak for themselves', () => {
    const readings = [read('A1', 62), read('A1', 62), read('A1', 62)]
    const at = (mean: number) =>
      bladeHardness(file(60, 65), stage, { readings, tester: high, predicted: () => ({ mean, sd: 0.1 }) })?.hrc
    expect(at(40)).toBe(at(70))
    expect(at(40)).toBeGreaterThan(61)
  })

  it('is nothing where a file said nothing', () => {
    expect(bladeHardness(file(null, null), stage, { readings: [], tester: high, predicted })).toBeNull()
  })
})

describe('a blade apart', () => {
  const of = (...hrc: number[]) =>
    bladesApart(hrc.map((h, i) => ({ bladeId: `A${i + 1}`, hrc: h }))).map(a => a.bladeId)

  it('lies far from the middle of all, on either side', () => {
    expect(of(60.5, 60, 55.25, 61)).toEqual(['A3'])
    expect(of(60, 64, 60.2)).toEqual(['A2'])
  })

  it('needs others to be apart from, and is not made of ordinary scatter', () => {
    expect(of(60, 55)).toEqual([])
    expect(of(60, 61, 59.5)).toEqual([])
    expect(of()).toEqual([])
  })
})
