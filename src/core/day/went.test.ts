import { describe, expect, it } from 'vitest'
import { confirmedRun } from '../../testing/run'
import type { Run } from '../shop/run'
import { howItWent, inspectTimeOf, type PlannedAct } from './went'

const MIDNIGHT = Date.parse('2026-03-02T00:00:00Z')

type Press = readonly [minute: number, kind: Run['steps'][number]['kind'], ...bladeIds: string[]]

/** A run in which these steps were confirmed, minutes from midnight. */
const runOf = (presses: readonly Press[]): Run =>
  confirmedRun(
    presses.map(([, kind, ...bladeIds]) => [kind, bladeIds]),
    presses.map(([minute]) => 60 * minute),
    { clock: [{ realMs: MIDNIGHT, runS: 0, speed: 1 }] },
  )

const act = (kind: PlannedAct['kind'], startMin: number, round = 0, bladeIds = ['a', 'b']): PlannedAct => ({
  kind,
  batchId: 'batch',
  bladeIds,
  round,
  startMin,
})

describe('a day against its plan', () => {
  const run = runOf([
    [540, 'load', 'a', 'b'],
    [600, 'pull', 'a'],
    [603, 'pull', 'b'],
    [630, 'cold-in', 'a', 'b'],
    [760, 'temper-in', 'a', 'b'],
    [900, 'temper-out', 'a', 'b'],
    [940, 'temper-in', 'a', 'b'],
  ])
  const doneMin = (...acts: PlannedAct[]) => howItWent(acts, [run], MIDNIGHT).map(one => one.doneMin)

  it('has each act done when the first of its blades was', () => {
    expect(doneMin(act('load', 530), act('pull', 590), act('pull', 590, 0, ['b']))).toEqual([540, 600, 603])
  })

  it('tells the first temper from the second', () => {
    expect(doneMin(act('temper-in', 750, 1), act('temper-out', 880, 1), act('temper-in', 920, 2))).toEqual([
      760, 900, 940,
    ])
  })

  it('leaves open what was not done, what other blades did, and what was another day’s or only practice', () => {
    expect(doneMin(act('temper-out', 1060, 2), act('load', 530, 0, ['c']))).toEqual([null, null])
    expect(howItWent([act('load', 530)], [run], MIDNIGHT + 86_400_000)[0]?.doneMin).toBeNull()
    expect(howItWent([act('load', 530)], [{ ...run, mode: 'practice' }], MIDNIGHT)[0]?.doneMin).toBeNull()
  })

  it('counts tempers anew for blades that are hardened anew', () => {
    const again = runOf([
      [1000, 'load', 'a', 'b'],
      [1200, 'temper-in', 'a', 'b'],
    ])
    expect(howItWent([act('temper-in', 1190, 1)], [again], MIDNIGHT)[0]?.doneMin).toBe(1200)
    expect(howItWent([act('temper-in', 1190, 3)], [run, again], MIDNIGHT)[0]?.doneMin).toBeNull()
  })
})

describe('how long looking a load over takes', () => {
  // From 1 min 30 s after the last pull, while it is still clamped, to the press of the cold.
  const looked = (minutes: number) =>
    runOf([
      [600, 'pull', 'a'],
      [610, 'pull', 'b'],
      [611.5 + minutes, 'cold-in', 'a', 'b'],
    ])

  it('is the middle of the newest runs', () => {
    expect(inspectTimeOf([looked(20), looked(31), looked(29)])).toEqual({ minutes: 29, runs: 3 })
    const long = Array.from({ length: 9 }, () => looked(60))
    expect(inspectTimeOf([...long, ...Array.from({ length: 10 }, () => looked(15))])).toEqual({ minutes: 15, runs: 10 })
  })

  it('is not said by two runs, by one that went elsewhere first, or without cold', () => {
    expect(inspectTimeOf([looked(20), looked(30)])).toBeNull()
    expect(inspectTimeOf([looked(20), looked(30), looked(300)])).toBeNull()
    expect(
      inspectTimeOf([
        looked(20),
        looked(30),
        runOf([
          [600, 'pull', 'a'],
          [640, 'temper-in', 'a'],
        ]),
      ]),
    ).toBeNull()
    expect(inspectTimeOf([looked(20), looked(30), { ...looked(25), mode: 'practice' }])).toBeNull()
  })
})
