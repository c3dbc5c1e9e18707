import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { ChamberModel } from '../oven/chamber'
import { inOrder, type TemperJob, type TemperOven, temperOrder } from './temper-order'

/** An oven of two plain exponentials, so that an order can be reckoned by hand. */
const [SETTLES_C, CLIMBS_MIN, FALLS_MIN] = [1167, 34.7, 125]
const everyC = Array.from({ length: 1100 - 20 }, (_, i) => i + 20)
const climb = everyC.map(c => [c, CLIMBS_MIN * Math.log((SETTLES_C - 20) / (SETTLES_C - c))] as const)
const fall = everyC.map(c => [c, FALLS_MIN * Math.log((1100 - 20) / Math.max(5, c - 20))] as const)
const chamber: ChamberModel = {
  climb,
  climbPerKg: everyC.map(c => [c, 0] as const),
  falls: [{ fromC: 1100, table: fall }],
}
const oven = (atC: number, more: Partial<TemperOven> = {}): TemperOven => ({
  chamber,
  readyMin: 0,
  atC,
  coolBetweenMin: 30,
  ...more,
})
const job = (id: string, atC: number, round = 1, inOvenMin = 135): TemperJob => ({
  round,
  atC,
  inOvenMin,
  bladeIds: [id],
})
const temps = (jobs: readonly TemperJob[], at: TemperOven) => temperOrder(jobs, at).map(({ index }) => jobs[index]?.atC)

/** Every order of some things, by Heap's method: written apart from what it checks. */
function permutations<T>(items: readonly T[]): T[][] {
  const out: T[][] = []
  const a = [...items]
  const swap = (i: number, j: number) => {
    const held = a[i] as T
    a[i] = a[j] as T
    a[j] = held
  }
  const heap = (k: number) => {
    if (k <= 1) out.push([...a])
    else
      for (let i = 0; i < k; i++) {
        heap(k - 1)
        swap(k % 2 === 0 ? i : 0, k - 1)
      }
  }
  heap(a.length)
  return out
}

/** Minutes to the end of an order, reckoned from the two exponentials alone; infinite where a round comes before the one it follows. */
function endOfOrder(order: readonly number[], jobs: readonly TemperJob[], at: TemperOven): number {
  let [now, c] = [at.readyMin, at.atC]
  const out = new Map<string, { end: number; round: number }>()
  for (const index of order) {
    const one = jobs[index] as TemperJob
    const turn =
      c > one.atC
        ? FALLS_MIN * Math.log((c - 20) / Math.max(5, one.atC - 20))
        : CLIMBS_MIN * Math.log((SETTLES_C - c) / (SETTLES_C - one.atC))
    let start = now + turn
    for (const id of one.bladeIds) {
      const before = out.get(id)
      if (before && before.round >= one.round) return Number.POSITIVE_INFINITY
      if (before) start = Math.max(start, before.end + at.coolBetweenMin)
    }
    const end = start + one.inOvenMin
    for (const id of one.bladeIds) out.set(id, { end, round: one.round })
    now = end
    c = one.atC
  }
  return now
}

describe('the order of tempers in one oven', () => {
  it('is hottest first while a hot oven falls, and coolest first in a cold one', () => {
    const jobs = [job('A', 180), job('B', 520)]
    expect(temps(jobs, oven(900))).toEqual([520, 180])
    expect(temps(jobs, oven(20))).toEqual([180, 520])
  })

  it('keeps a blade’s rounds in their order, with a cooling between', () => {
    const jobs = [job('A', 200, 1), job('A', 200, 2)]
    const [first, second] = temperOrder(jobs, oven(20))
    expect([first?.index, second?.index]).toEqual([0, 1])
    expect(second?.coolingMin).toBeCloseTo(30, 9)
    expect((second?.startMin ?? 0) - (first?.endMin ?? 0)).toBeCloseTo(30, 9)
  })

  it('tempers one steel while another cools, instead of waiting', () => {
    const jobs = [job('A', 200, 1), job('B', 205, 1), job('A', 200, 2), job('B', 205, 2)]
    const plan = temperOrder(jobs, oven(20))
    expect(plan.reduce((sum, { coolingMin }) => sum + coolingMin, 0)).toBe(0)
    expect(plan.map(({ index }) => index)).toEqual([0, 1, 2, 3])
  })

  it('ends as soon as the best of every order, up to five loads (exhaustive)', () => {
    const jobsArbitrary = fc
      .array(
        fc.record({
          id: fc.constantFrom('A', 'B', 'C'),
          atC: fc.integer({ min: 150, max: 560 }),
          inOvenMin: fc.integer({ min: 30, max: 240 }),
        }),
        { minLength: 1, maxLength: 5 },
      )
      .map(list => {
        const rounds = new Map<string, number>()
        return list.map(({ id, ...rest }): TemperJob => {
          const round = (rounds.get(id) ?? 0) + 1
          rounds.set(id, round)
          return { ...rest, round, bladeIds: [id] }
        })
      })
    fc.assert(
      fc.property(jobsArbitrary, fc.integer({ min: 20, max: 1000 }), (jobs, atC) => {
        const at = oven(atC)
        const best = Math.min(...permutations(jobs.map((_, i) => i)).map(order => endOfOrder(order, jobs, at)))
        const end = temperOrder(jobs, at).at(-1)?.endMin ?? 0
        expect(end).toBeGreaterThanOrEqual(best - 1e-6)
        // An order that is a minute sooner at most is not worth leaving the usual one for.
        expect(end).toBeLessThanOrEqual(best + 1 + 1e-6)
      }),
      { numRuns: 300 },
    )
  })

  it('puts first what must not stand any longer, though it then takes longer in all', () => {
    const jobs = [job('A', 180), { ...job('B', 240), dueMin: 60 }]
    expect(temps(jobs, oven(20))).toEqual([240, 180])
    const late = { ...job('A', 180), dueMin: 30 }
    expect(temps([late, { ...job('B', 240), dueMin: 60 }], oven(20))).toEqual([180, 240])
    // Where all are in time anyhow, it is the soonest.
    expect(temps([job('A', 180), { ...job('B', 240), dueMin: 600 }], oven(20))).toEqual([180, 240])
  })

  it('of more loads than can all be tried is never later than the usual order', () => {
    const jobs = Array.from({ length: 12 }, (_, i) => job(`B${i}`, 160 + ((i * 97) % 350)))
    const at = oven(950)
    const usual = [...jobs.keys()].sort((a, b) => (jobs[a]?.atC ?? 0) - (jobs[b]?.atC ?? 0))
    const end = (plan: ReturnType<typeof inOrder>) => plan.at(-1)?.endMin ?? 0
    const plan = temperOrder(jobs, at)
    expect(new Set(plan.map(({ index }) => index)).size).toBe(12)
    expect(end(plan)).toBeLessThan(end(inOrder(usual, jobs, at)))
  })
})
