import { createRandom } from '../numeric/random'
import { calendarOf } from './calendar'
import type { Network } from './day-network'
import type { DayPlan, PlanOptions } from './day-plan'
import { improved, inserted, type Placed } from './improve'
import { networkOf } from './network'
import { createRuns, MOST_JOINED_ALL_WAYS, type Partition, partitionsOf, shuffled } from './partitions'
import { createParts } from './parts'
import { planOf } from './plan-of'
import { capacityOf, type DayProblem, type HotRun } from './problem'
import { type Budget, createSearch, type Search } from './search'

/** Runs of which every order is gone through, whatever it costs within the budget. */
const EXACT_RUNS = 4
/** First orders tried of a way to join, and how much of the budget all first plans may take. */
const FIRST_ORDERS = 3
const FIRST_SHARE = 0.4
/** Where not all ways were looked at, a joined load may be sooner than its parts by rounding alone, min. */
const DRAWN_SLACK_MIN = 10

/** One way to join groups into loads, and what is known of it. */
interface Way {
  readonly partition: Partition
  readonly runs: readonly HotRun[]
  readonly network: Network
  readonly search: Search
  boundMin: number
  best: Placed | null
  /** Every plan of it was gone through. */
  closed: boolean
}

const endOf = (way: Way): number => way.best?.finishMin ?? Number.POSITIVE_INFINITY

/** Part of a budget for one thing; what it does not use goes back. */
function within<T>(budget: Budget, most: number, use: (own: Budget) => T): T {
  const own = { left: Math.max(0, Math.min(most, budget.left)) }
  budget.left -= own.left
  const result = use(own)
  budget.left += own.left
  return result
}

/** The best plan of groups each of which can be done by itself; null where none was found within the budget. */
export function solveDay(
  problem: DayProblem,
  { visits, seed = 1, onBetter }: PlanOptions,
): { readonly plan: DayPlan | null } {
  const random = createRandom(seed)
  const budget: Budget = { left: visits }
  const calendar = calendarOf(problem.work, problem.nowMin)
  const runOf = createRuns(problem)
  const count = problem.atoms.length
  const capacity = capacityOf(problem)
  const parts = createParts(problem, runOf)
  const ways = partitionsOf(count, runOf, random)
    .map((partition): Way => {
      const runs = partition.map(set => runOf(set) as HotRun)
      const network = networkOf(problem, runs, parts.betweenOf(partition))
      return {
        partition,
        runs,
        network,
        search: createSearch(network, calendar, capacity),
        boundMin: parts.singleBound(partition, budget),
        best: null,
        closed: false,
      }
    })
    .sort((a, b) => a.boundMin - b.boundMin || a.runs.length - b.runs.length)
  let best: Way | null = null
  const finish = () => best?.best?.finishMin ?? Number.POSITIVE_INFINITY
  const boundNow = () =>
    Math.min(finish(), ...ways.map(way => way.boundMin)) - (count > MOST_JOINED_ALL_WAYS ? DRAWN_SLACK_MIN : 0)
  const take = (way: Way, placed: Placed | null) => {
    if (!placed) return
    const isBetter = placed.finishMin < finish()
    if (placed.finishMin < endOf(way)) way.best = placed
    if (!isBetter) return
    best = way
    onBetter?.(planOf(problem, way.runs, way.network, placed, boundNow()))
  }
  const worth = (way: Way) => !way.closed && way.boundMin < finish()

  const exactly = (way: Way, most: number) =>
    within(budget, most, own => {
      const found = way.search.find({ runs: new Set(way.runs.keys()), fixed: [], beforeMin: finish(), budget: own })
      way.closed = own.left > 0
      way.boundMin = Math.max(way.boundMin, Math.min(found.boundMin, finish()))
      if (found.starts && found.closings)
        take(way, { starts: found.starts, closings: found.closings, finishMin: found.finishMin })
    })

  // First plans, by putting in one run after another: of every way, the promising ones first.
  const keptForLater = visits * (1 - FIRST_SHARE)
  for (const way of ways)
    for (let i = 0; i < FIRST_ORDERS && worth(way) && (!best || budget.left > keptForLater); i++) {
      const order = i === 0 ? longestFirst(way.network) : shuffled([...way.runs.keys()], random)
      take(way, inserted(way.network, way.search, order, { budget, beforeMin: endOf(way) }))
    }
  // What is small is gone through whole.
  for (const way of ways) {
    if (worth(way)) way.boundMin = Math.max(way.boundMin, parts.pairBound(way.partition, budget))
    if (worth(way) && way.runs.length <= EXACT_RUNS) exactly(way, budget.left / 2)
  }
  // The rest is made better, half of the ways in each round.
  let alive = ways.filter(way => worth(way) && way.best).sort((a, b) => endOf(a) - endOf(b))
  while (alive.length > 0 && budget.left > 0) {
    const share = budget.left / 2 / alive.length
    for (const way of alive) {
      const start = way.best
      if (!start || !worth(way)) continue
      within(budget, share, own =>
        take(way, improved(way.network, way.search, start, { budget: own, random, boundMin: way.boundMin })),
      )
    }
    if (alive.length === 1) break
    alive = alive.filter(worth).sort((a, b) => endOf(a) - endOf(b))
    alive = alive.slice(0, Math.ceil(alive.length / 2))
  }
  for (const way of ways) if (worth(way) && budget.left > 0) exactly(way, budget.left / 2)
  const found = best as Way | null
  return { plan: found?.best ? planOf(problem, found.runs, found.network, found.best, boundNow()) : null }
}

/** Runs by how long all of theirs takes, the longest first. */
function longestFirst({ stays, tails, runs }: Network): number[] {
  const tail = (run: number) => tails[stays.find(stay => stay.run === run)?.first ?? 0] ?? 0
  return Array.from({ length: runs }, (_, i) => i).sort((a, b) => tail(b) - tail(a))
}
