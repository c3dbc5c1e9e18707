import { describe, expect, it } from 'vitest'
import { summariseReadings } from '../core/rockwell/readings'
import { measureWarnings, restsOnWords } from './measure'
import { speakerOf } from './speaker'

const [metric, imperial] = [speakerOf('metric'), speakerOf('imperial')]
const block = (readings: readonly number[]) => ({ certifiedHrc: 60, certifiedSd: 0.2, readings })
const codes = (readings: readonly number[], thicknessMm = 3, more: { unchecked?: boolean; block?: number[] } = {}) =>
  measureWarnings(
    { summary: summariseReadings(readings, more.block ? block(more.block) : null), unchecked: more.unchecked ?? false },
    thicknessMm,
    metric,
  ).map(warning => warning.code)

describe('what is doubtful about readings', () => {
  it('is nothing where they agree on a thick blade', () => {
    expect(codes([60, 60.5, 60])).toEqual([])
    expect(measureWarnings({ summary: null, unchecked: true }, 0.1, metric)).toEqual([])
  })

  it('is one far from the others, by its value', () => {
    expect(codes([60, 60.5, 60, 60.5, 54])).toContain('outlier')
  })

  // ISO 6508-1: at least ten times the depth; 60 HRC goes 0.08 mm deep, so 0.8 mm, from memory.
  it('is a blade thinner than ten times the indent is deep, in the units of the shop', () => {
    expect(codes([60, 60, 60], 0.85)).toEqual([])
    expect(codes([60, 60, 60], 0.75)).toEqual(['thin'])
    const [said] = measureWarnings({ summary: summariseReadings([60, 60, 60]), unchecked: false }, 0.5, imperial)
    expect(said?.message).toMatch(/0\.03\d* in/)
    expect(said?.message).not.toContain('mm')
  })

  it('is a tester that was not checked that day, or that fails its block', () => {
    expect(codes([60, 60, 60], 3, { unchecked: true })).toEqual(['unchecked'])
    // ISO 6508-2 permits 1.5 HRC, from memory.
    expect(codes([60, 60, 60], 3, { block: [62, 62.1, 62] })).toEqual(['block'])
    expect(codes([60, 60, 60], 3, { block: [60.4, 60.5, 60.4] })).toEqual([])
  })
})

describe('what a hardness rests on', () => {
  it('is files, one reading, or the mean of several', () => {
    expect(restsOnWords({ u95: 0.82, by: 'readings', n: 3 })).toBe('HRC ± 0.8, mean of 3')
    expect(restsOnWords({ u95: 1.1, by: 'readings', n: 1 })).toBe('HRC ± 1.1, one reading')
    expect(restsOnWords({ u95: 3, by: 'files', n: 0 })).toBe('HRC ± 3.0, by files')
  })
})
