import { describe, expect, it } from 'vitest'
import { confirmedRun } from '../../testing/run'
import type { Run } from '../shop/run'
import { bladeProgress } from './blade-progress'

const steps = [
  ['load', ['a', 'b']],
  ['pull', ['a']],
  ['pull', ['b']],
  ['cold-in', ['a', 'b']],
  ['cold-out', ['a', 'b']],
  ['temper-in', ['a', 'b']],
  ['temper-out', ['a', 'b']],
  ['temper-in', ['a', 'b']],
] as const

/** A run that was pressed through to some step, one press a minute from an instant on. */
const run = (pressed: number, change: Partial<Run> = {}): Run =>
  confirmedRun(
    steps,
    Array.from({ length: pressed }, (_, i) => 60 * (i + 1)),
    { clock: [{ realMs: 1_000_000, runS: 0, speed: 1 }], ...change },
  )

describe('where blades stand after their runs', () => {
  it.each([
    [1, 'in-oven', 0],
    [3, 'quenched', 0],
    [4, 'in-cold', 0],
    [5, 'thawed', 0],
    [6, 'in-temper', 1],
    [7, 'tempered', 1],
    [8, 'in-temper', 2],
  ])('after %i presses: %s, round %i', (pressed, kind, round) => {
    expect(bladeProgress([run(pressed)]).get('b')).toEqual({
      kind,
      round,
      atMs: 1_000_000 + 60_000 * pressed,
      loadedMs: 1_060_000,
    })
  })

  it('is each blade’s own: one is pulled, one still in the oven', () => {
    const at = bladeProgress([run(2)])
    expect([at.get('a')?.kind, at.get('b')?.kind]).toEqual(['quenched', 'in-oven'])
  })

  it('has nothing in the oven of a run that was called off, and begins anew with a new hardening', () => {
    expect(bladeProgress([run(1, { endedAt: '2026-03-02T10:00:00Z' })]).size).toBe(0)
    expect(bladeProgress([run(7), run(1)]).get('a')).toMatchObject({ kind: 'in-oven', round: 0 })
  })
})
