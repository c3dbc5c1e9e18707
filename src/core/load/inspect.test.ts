import { describe, expect, it } from 'vitest'
import { bowLimitMm, type Inspection, inspect, warmWindow } from './inspect'

const clean: Inspection = {
  bowMm: null,
  bentAt: null,
  cracked: false,
  colour: 'bright',
  skates: null,
  bites: null,
  hrc: null,
}
const blade = { lengthMm: 250, thicknessMm: 3 }
const due = { mean: 62, sd: 0.8 }
const verdict = (seen: Partial<Inspection>) => inspect({ ...clean, ...seen }, blade, due).verdict

describe('a blade out of its foil', () => {
  it.each<[Partial<Inspection>, string]>([
    [{}, 'go'],
    [{ bowMm: 0.2 }, 'go'],
    [{ bowMm: 0.9, bentAt: 'middle' }, 'straighten'],
    [{ colour: 'flaking' }, 'find-out'],
    [{ skates: 60 }, 'go'],
    [{ bites: 50 }, 'find-out'],
    [{ bites: 65 }, 'go'],
    [{ skates: 65, bites: 60 }, 'find-out'],
    [{ hrc: 61 }, 'go'],
    [{ hrc: 57 }, 'find-out'],
    [{ cracked: true, hrc: 62 }, 'stop'],
    [{ bowMm: 2, colour: 'flaking' }, 'find-out'],
  ])('%j: %s', (seen, expected) => {
    expect(verdict(seen)).toBe(expected)
  })

  it('says why for everything that was found', () => {
    const { reasons } = inspect({ ...clean, bowMm: 1.4, bentAt: 'twist', bites: 50 }, blade, due)
    expect(reasons.map(r => [r.code, r.params])).toEqual([
      ['bow-over', expect.objectContaining({ bowMm: 1.4, bentAt: 'twist' })],
      ['soft-file', expect.objectContaining({ bites: 50 })],
    ])
  })

  it('asks a shorter blade to be straighter, a very short one no finer than a gauge', () => {
    expect(bowLimitMm(300)).toBeGreaterThan(bowLimitMm(150))
    expect(bowLimitMm(40)).toBeCloseTo(0.1, 9)
  })
})

describe('the warm window', () => {
  // Koistinen and Marburger: a third martensite about 39 K under its start. Still air: minutes, longer the thicker (common practice).
  it('ends about 39 K under martensite start, and leaves a thin blade seconds to minutes', () => {
    const thin = warmWindow(2, 180)
    const thick = warmWindow(5, 180)
    expect(180 - thin.toC).toBeCloseTo(39.2, 0)
    expect(thin.seconds).toBeGreaterThan(20)
    expect(thick.seconds / thin.seconds).toBeGreaterThan(2)
    expect(thick.seconds).toBeLessThan(900)
  })
})
