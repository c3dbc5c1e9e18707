import { describe, expect, it } from 'vitest'
import type { Hardness } from './hardness'
import { chance, readOn, stageReadingOf, wantedAfter } from './stage-reading'

const TARGET = { min: 59.5, max: 61 }

describe('what advice is asked about', () => {
  const hardness: Hardness = {
    stage: 'temper-2',
    hrc: 60.2,
    sd: 0.3,
    u95: 0.8,
    degreesOfFreedom: 4,
    inTargetProbability: 0.9,
    by: 'readings',
    n: 3,
    summary: null,
    bladeIds: ['A1'],
    apart: [],
    unchecked: false,
  }

  it('is the hardness with what it rests on', () => {
    expect(stageReadingOf(hardness)).toEqual({
      mean: 60.2,
      u95: 0.8,
      stage: 'temper-2',
      by: 'readings',
      degreesOfFreedom: 4,
    })
  })

  it('names no degrees of freedom without end, and nothing less sure than 20 points', () => {
    const vague = stageReadingOf({ ...hardness, u95: 31, degreesOfFreedom: Number.POSITIVE_INFINITY })
    expect(vague.u95).toBe(20)
    expect('degreesOfFreedom' in vague).toBe(false)
  })
})

describe('the chance of a target', () => {
  it('is that of the normal distribution: tables give 68.27 % within one standard deviation, 95 % within 1.96', () => {
    expect(chance({ mean: 60.25, sd: 0.75 }, TARGET)).toBeCloseTo(0.6827, 4)
    expect(chance({ mean: 60.25, sd: 0.75 / 1.95996 }, TARGET)).toBeCloseTo(0.95, 4)
    expect(chance({ mean: 61, sd: 0.01 }, TARGET)).toBeCloseTo(0.5, 6)
    expect(chance({ mean: 50, sd: 0.5 }, TARGET)).toBeLessThan(1e-9)
  })
})

describe('a symptom at the edge', () => {
  it('moves what is wanted by a point: softer where it chips, harder where it rolls', () => {
    expect(wantedAfter(TARGET, 'chips', 60.5)).toEqual({ wanted: { min: 58.5, max: 60 }, notByHardness: false })
    expect(wantedAfter(TARGET, 'rolls', 60.5)).toEqual({ wanted: { min: 60.5, max: 62 }, notByHardness: false })
    expect(wantedAfter(TARGET, null, 60.5)).toEqual({ wanted: TARGET, notByHardness: false })
  })

  it('that such a hardness does not make moves nothing: soft that chips, hard that rolls', () => {
    expect(wantedAfter(TARGET, 'chips', 58)).toEqual({ wanted: TARGET, notByHardness: true })
    expect(wantedAfter(TARGET, 'rolls', 62)).toEqual({ wanted: TARGET, notByHardness: true })
    expect(wantedAfter(TARGET, 'chips', 62).notByHardness).toBe(false)
    expect(wantedAfter(TARGET, 'rolls', 58).notByHardness).toBe(false)
    expect(wantedAfter(TARGET, null, 50).notByHardness).toBe(false)
  })
})

describe('reading on', () => {
  it('comes first where what is known is wider than half the target', () => {
    expect(readOn({ mean: 60.25, u95: 0.76 }, TARGET)).toBe(false)
    // In the middle and barely wider: 95 % lies within, so there is nothing to wait for.
    expect(readOn({ mean: 60.7, u95: 0.76 }, TARGET)).toBe(true)
    expect(readOn({ mean: 60.7, u95: 0.74 }, TARGET)).toBe(false)
  })

  it('does not where the target is surely missed, and does while it is open', () => {
    expect(readOn({ mean: 63, u95: 1.5 }, TARGET)).toBe(false)
    expect(readOn({ mean: 61.5, u95: 1.5 }, TARGET)).toBe(true)
    expect(readOn({ mean: 57.3, u95: 3 }, TARGET)).toBe(true)
    expect(readOn({ mean: 55, u95: 3 }, TARGET)).toBe(false)
  })
})
