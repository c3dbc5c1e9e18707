import { describe, expect, it } from 'vitest'
import { confirmedRun } from '../../testing/run'
import type { Run } from '../shop/run'
import { howItWent, inspectTimeOf, type PlannedAct, pullTimeOf } from './went'

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

describe('how much longer hands take from one pull to the next', () => {
  /** Pulls that could follow one another every 100 s, each so much later; every blade soaked 20 min and so much over. */
  const pulled = (lateS: readonly number[], overS = 300, change: Partial<Run> = {}): Run => {
    const ids = ['first', ...lateS.map((_, i) => `b${i}`)]
    const atS = [1000]
    for (const late of lateS) atS.push((atS.at(-1) ?? 0) + 100 + late)
    const run = confirmedRun(
      ids.map(id => ['pull', [id]]),
      atS,
      { startedAt: '2026-03-02T08:00:00.000Z', people: 1, ...change },
    )
    return {
      ...run,
      blades: ids.map(bladeId => ({ bladeId, soakMin: 20, lagS: 0 })) as unknown as NonNullable<Run['blades']>,
      steps: run.steps.map((step, i) => ({
        ...step,
        wait: { kind: 'soak', bladeId: ids[i] ?? '', apartS: 60, apartAloneS: 100 },
      })),
      events: run.events.map(event => (event.kind === 'confirm' ? { ...event, soakedS: 1200 + overS } : event)),
    }
  }

  it('is the middle of what pulls came later than they could have', () => {
    expect(pullTimeOf([pulled([10, 20, 15]), pulled([30, 12, 18])], null)).toEqual({ moreS: 17, pulls: 6 })
    // With a helper hands are free sooner.
    expect(pullTimeOf([pulled([10, 20, 15, 10, 20, 15], 300, { people: 2 })], null)?.moreS).toBe(55)
  })

  it('counts no pull that its own soak held back', () => {
    // Ten seconds over their soak, they came twenty after hands were ready: it was the soak.
    expect(pullTimeOf([pulled([20, 20, 20, 20, 20, 20], 10)], null)).toBeNull()
    expect(pullTimeOf([pulled([20, 20, 20, 20, 20, 20], 20)], null)?.moreS).toBe(20)
  })

  it('is not said by few pulls, by practice, or by runs planned before the figure of now', () => {
    const many = pulled([20, 20, 20, 20, 20, 20])
    expect(pullTimeOf([pulled([20, 20, 20, 20, 20])], null)).toBeNull()
    expect(pullTimeOf([{ ...many, mode: 'practice' }], null)).toBeNull()
    expect(pullTimeOf([many], '2026-03-02T09:00:00.000Z')).toBeNull()
    expect(pullTimeOf([many], '2026-03-02T07:00:00.000Z')?.pulls).toBe(6)
  })
})
