import { describe, expect, it } from 'vitest'
import type { RunStep } from '../shop/run'
import { cueBetween, partOf, rolesOf } from './cues'

/** Every cue of a wait that is looked at four times a second, with the second it came at. */
function heard(dueS: number, untilS: number, tickS = 0.25) {
  const cues: [string, number, number][] = []
  for (let nowS = 0; nowS <= untilS; nowS += tickS) {
    const cue = cueBetween(dueS, nowS - tickS, nowS)
    if (cue) cues.push([cue.kind, 's' in cue ? cue.s : 0, nowS])
  }
  return cues
}

describe('cues', () => {
  it('come at 60, 30 and 10 s, at the act, and each minute it is late, within half a second', () => {
    const cues = heard(100.1, 240)
    expect(cues.map(([kind, s]) => [kind, s])).toEqual([
      ['ahead', 60],
      ['ahead', 30],
      ['ahead', 10],
      ['act', 0],
      ['late', 60],
      ['late', 120],
    ])
    const dueAt = [40.1, 70.1, 90.1, 100.1, 160.1, 220.1]
    cues.forEach(([, , atS], i) => {
      expect(Math.abs(atS - (dueAt[i] ?? 0))).toBeLessThan(0.5)
    })
  })

  it('are only the last of those a fast clock leaps over', () => {
    expect(cueBetween(100, 20, 95)).toEqual({ kind: 'ahead', s: 10 })
    expect(cueBetween(100, 20, 101)).toEqual({ kind: 'act' })
    expect(cueBetween(100, 20, 300)).toEqual({ kind: 'late', s: 180 })
    expect(cueBetween(100, 95, 96)).toBeNull()
  })

  it('go to who does it: a pull is for both', () => {
    expect(rolesOf({ kind: 'pull' })).toEqual(['oven', 'plates'])
    expect(rolesOf({ kind: 'load' })).toEqual(['oven'])
    expect(rolesOf({ kind: 'unclamp' })).toEqual(['plates'])
  })
})

describe('what the helper does', () => {
  const steps = (['load', 'pull', 'load', 'unclamp', 'temper-in'] as const).map(
    (kind, i) => ({ id: `s${i}`, kind }) as unknown as RunStep,
  )
  const at = (stepIndex: number) => {
    const { now, next, isAlone } = partOf('plates', { step: steps[stepIndex] ?? null, steps, stepIndex })
    return [now?.id, next?.id, isAlone]
  }

  it('is the step when it is theirs, and else the next that is', () => {
    expect(at(0)).toEqual([undefined, 's1', false])
    // A pull needs both: the one at the oven says when.
    expect(at(1)).toEqual(['s1', 's3', false])
    expect(at(2)).toEqual([undefined, 's3', false])
    expect(at(3)).toEqual(['s3', undefined, true])
    expect(at(4)).toEqual([undefined, undefined, false])
    expect(at(5)).toEqual([undefined, undefined, false])
  })
})
