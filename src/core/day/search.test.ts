import { describe, expect, it } from 'vitest'
import { createRandom } from '../numeric/random'
import { calendarOf } from './calendar'
import type { Network } from './day-network'
import { GRID_MIN, type Window } from './problem'
import { createSearch } from './search'

interface SmallDay {
  readonly lengths: readonly number[]
  readonly earliest: readonly number[]
  readonly arcs: Network['arcs']
  readonly allHands: readonly boolean[]
  readonly helper: readonly Window[]
}

const END_MIN = 50
const SLOTS = END_MIN / GRID_MIN

/** Some tasks that are tied to one another and to nothing else: hands are all they compete for. */
function networkOf({ lengths, earliest, arcs, allHands }: SmallDay): Network {
  const tails = [...lengths]
  for (const _ of lengths)
    for (const [from, to, lag] of arcs) tails[from] = Math.max(tails[from] ?? 0, lag + (tails[to] ?? 0))
  return {
    tasks: lengths.map((durationMin, run) => ({
      kind: 'cold-in',
      run,
      load: null,
      groups: [],
      round: null,
      durationMin,
      allHands: allHands[run] ?? false,
    })),
    arcs,
    stays: [],
    box: [],
    earliest: Float64Array.from(earliest),
    latest: Float64Array.from(lengths, () => END_MIN),
    lates: new Float64Array(lengths.length),
    stood: new Uint8Array(lengths.length),
    tails: Float64Array.from(tails),
    setups: [],
    runs: lengths.length,
  }
}

const finishOf = (day: SmallDay): number =>
  createSearch(networkOf(day), calendarOf([[0, END_MIN]]), { ovens: [], box: 0, helper: day.helper }).find({
    runs: new Set(day.lengths.keys()),
    fixed: [],
    beforeMin: Number.POSITIVE_INFINITY,
    budget: { left: 1e6 },
  }).finishMin

/** Whether at each five minutes there are hands enough. */
function handsSuffice({ lengths, allHands, helper }: SmallDay, starts: readonly number[]): boolean {
  for (let at = 0; at < END_MIN; at += GRID_MIN) {
    const going = starts.flatMap((start, i) => (start <= at && start + (lengths[i] ?? 0) > at ? [i] : []))
    const hands = helper.some(([from, to]) => from <= at && to >= at + GRID_MIN) ? 2 : 1
    if (going.length > hands || (going.length > 1 && going.some(i => allHands[i]))) return false
  }
  return true
}

/** The soonest end by trying every start of every task. */
function soonestOf(day: SmallDay): number {
  let best = Number.POSITIVE_INFINITY
  const starts: number[] = []
  const place = (task: number) => {
    if (task === day.lengths.length) {
      if (day.arcs.some(([from, to, lag]) => (starts[to] ?? 0) < (starts[from] ?? 0) + lag)) return
      const end = Math.max(...starts.map((start, i) => start + (day.lengths[i] ?? 0)))
      if (end < best && handsSuffice(day, starts)) best = end
      return
    }
    for (let slot = 0; slot < SLOTS; slot++) {
      starts[task] = slot * GRID_MIN
      const end = slot * GRID_MIN + (day.lengths[task] ?? 0)
      if (slot * GRID_MIN >= (day.earliest[task] ?? 0) && end <= END_MIN && end < best) place(task + 1)
    }
    starts.length = task
  }
  place(0)
  return best
}

function smallDay(seed: number): SmallDay {
  const random = createRandom(seed)
  const slots = (most: number) => GRID_MIN * Math.floor(random.uniform() * most)
  const lengths = Array.from({ length: 4 }, () => GRID_MIN + slots(3))
  const from = slots(6)
  return {
    lengths,
    earliest: lengths.map(() => slots(4)),
    // At the latest so long after another: what makes waiting for the helper worth it.
    arcs:
      random.uniform() < 0.6
        ? [
            [0, 1, GRID_MIN + slots(2)],
            [1, 0, -GRID_MIN - slots(3)],
          ]
        : [],
    allHands: lengths.map(() => random.uniform() < 0.15),
    helper: random.uniform() < 0.2 ? [] : [[from, from + GRID_MIN + slots(6)]],
  }
}

describe('hands of one and of two', () => {
  const day = (change: Partial<SmallDay>): SmallDay => ({
    lengths: [10, 10, 10],
    earliest: [0, 0, 0],
    arcs: [],
    allHands: [],
    helper: [],
    ...change,
  })

  it.each([
    ['one pair does three things one after another', {}, 30],
    ['two pairs do two of three at once', { helper: [[0, 50]] }, 20],
    ['a helper of ten minutes saves ten', { helper: [[0, 10]] }, 20],
    ['a helper who leaves in the middle of a task saves nothing', { helper: [[0, 5]] }, 30],
    ['a task that takes all hands has nothing beside it', { helper: [[0, 50]], allHands: [true, false, false] }, 20],
    ['three that take all hands are one after another', { helper: [[0, 50]], allHands: [true, true, true] }, 30],
    [
      'two that must begin together wait for the helper',
      {
        lengths: [10, 10],
        helper: [[20, 40]],
        arcs: [
          [0, 1, 0],
          [1, 0, 0],
        ],
      },
      30,
    ],
  ] as const)('%s', (_, change, finishMin) => {
    expect(finishOf(day(change as Partial<SmallDay>))).toBe(finishMin)
  })

  it('ends as soon as the best of all starts tried one by one, for four tasks of any kind', () => {
    let helped = 0
    for (let seed = 0; seed < 150; seed++) {
      const one = smallDay(seed)
      const best = soonestOf(one)
      expect(finishOf(one), `day ${seed}`).toBe(best)
      if (finishOf({ ...one, helper: [] }) > best) helped++
    }
    expect(helped).toBeGreaterThan(40)
  })
})
