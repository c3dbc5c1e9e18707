import { createRandom, type Random } from '../numeric/random'
import { calendarOf } from './calendar'
import type { Network } from './day-network'
import type { DayPlan, PlanOptions } from './day-plan'
import { fitting, improved, inserted, type Placed } from './improve'
import { networkOf } from './network'
import { createRuns, MOST_JOINED_ALL_WAYS, type Partition, partitionsOf, shuffled } from './partitions'
import { createParts } from './parts'
import { planOf } from './plan-of'
import { capacityOf, type DayProblem, type HotRun } from './problem'
import { type Budget, createSearch, type Search } from './search'
import { cheapest } from './ties'

/** Runs of which every order is gone through, whatever it costs within the budget. */
const EXACT_RUNS = 4
/** First orders tried of a way to join, and how much of the budget all first plans may take. */
const FIRST_ORDERS = 3
const FIRST_SHARE = 0.4
/** So much more work, of what was allowed, is done for the cheapest of plans that end at once. */
const TIES_SHARE = 0.2
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

/** All ways that are looked at, the most promising first, with the best plan found so far. */
interface Race {
  readonly ways: readonly Way[]
  readonly budget: Budget
  readonly random: Random
  /** The way whose plan ends soonest. */
  best: Way | null
  readonly onTaken: (way: Way, placed: Placed) => void
}

const finishOf = ({ best }: Race): number => (best ? endOf(best) : Number.POSITIVE_INFINITY)
const isWorthwhile = (race: Race, way: Way): boolean => !way.closed && way.boundMin < finishOf(race)

/** Takes what was found of a way, if anything, where it is better. */
function take(race: Race, way: Way, placed: Placed | null) {
  if (!placed) return
  const isBest = placed.finishMin < finishOf(race)
  if (placed.finishMin < endOf(way)) way.best = placed
  if (!isBest) return
  race.best = way
  race.onTaken(way, placed)
}

/** Every plan of a way that could be better, as far as half of what is left of the budget goes. */
function goThrough(race: Race, way: Way) {
  within(race.budget, race.budget.left / 2, own => {
    const beforeMin = finishOf(race)
    const found = way.search.find({ runs: new Set(way.runs.keys()), fixed: [], beforeMin, budget: own })
    way.closed = own.left > 0
    way.boundMin = Math.max(way.boundMin, Math.min(found.boundMin, beforeMin))
    if (found.starts && found.closings)
      take(race, way, { starts: found.starts, closings: found.closings, finishMin: found.finishMin })
  })
}

/** First plans, by putting in one run after another: of every way, the promising ones first. */
function planFirst(race: Race, keptForLater: number) {
  const { budget, random } = race
  for (const way of race.ways)
    for (let i = 0; i < FIRST_ORDERS && isWorthwhile(race, way) && (!race.best || budget.left > keptForLater); i++) {
      const order = i === 0 ? longestFirst(way.network) : shuffled([...way.runs.keys()], random)
      take(race, way, inserted(way.network, way.search, order, { budget, beforeMin: endOf(way) }))
    }
}

/** Plans are made better, half of the ways dropped after each round. */
function halve(race: Race) {
  const { budget, random } = race
  const soonest = (ways: readonly Way[]) =>
    ways.filter(way => isWorthwhile(race, way)).sort((a, b) => endOf(a) - endOf(b))
  let alive = soonest(race.ways.filter(way => way.best))
  while (alive.length > 0 && budget.left > 0) {
    const share = budget.left / 2 / alive.length
    for (const way of alive) {
      const start = way.best
      if (!start || !isWorthwhile(race, way)) continue
      within(budget, share, own =>
        take(race, way, improved(way.network, way.search, start, { budget: own, random, boundMin: way.boundMin })),
      )
    }
    if (alive.length === 1) return
    alive = soonest(alive)
    alive = alive.slice(0, Math.ceil(alive.length / 2))
  }
}

/** Returns the ways to join groups into loads that are looked at, the most promising first. */
function waysOf(problem: DayProblem, random: Random, budget: Budget) {
  const calendar = calendarOf(problem.work, problem.nowMin)
  const runOf = createRuns(problem)
  const capacity = capacityOf(problem)
  const parts = createParts(problem, runOf)
  const ways = partitionsOf(problem.atoms.length, runOf, random)
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
  return { ways, parts }
}

/** Returns how many groups a plan is found for at once, where there are not hours for all. */
export function fittingGroups(problem: DayProblem, { visits, seed = 1 }: PlanOptions): number {
  const [way] = waysOf(problem, createRandom(seed), { left: visits }).ways
  if (!way) return 0
  return fitting(way.network, way.search, [...way.runs.keys()], { left: visits })
    .flatMap(run => way.partition[run] ?? [])
    .reduce((sum, atom) => sum + (problem.atoms[atom]?.length ?? 0), 0)
}

/** The best plan of groups each of which can be done by itself; null where none was found within the budget. */
export function solveDay(
  problem: DayProblem,
  { visits, seed = 1, costOf, onBetter }: PlanOptions,
): { readonly plan: DayPlan | null } {
  const random = createRandom(seed)
  const budget: Budget = { left: visits }
  const count = problem.atoms.length
  const { ways, parts } = waysOf(problem, random, budget)
  const planAs = (way: Way, placed: Placed) => {
    const lowest = Math.min(finishOf(race), ...ways.map(each => each.boundMin))
    const boundMin = lowest - (count > MOST_JOINED_ALL_WAYS ? DRAWN_SLACK_MIN : 0)
    return planOf(problem, way.runs, way.network, placed, boundMin)
  }
  const race: Race = {
    ways,
    budget,
    random,
    best: null,
    onTaken: (way, placed) => onBetter?.(planAs(way, placed)),
  }
  planFirst(race, visits * (1 - FIRST_SHARE))
  // What is small is gone through whole.
  for (const way of ways) {
    if (isWorthwhile(race, way)) way.boundMin = Math.max(way.boundMin, parts.pairBound(way.partition, budget))
    if (isWorthwhile(race, way) && way.runs.length <= EXACT_RUNS) goThrough(race, way)
  }
  halve(race)
  for (const way of ways) if (isWorthwhile(race, way) && budget.left > 0) goThrough(race, way)
  const { best } = race
  if (!best?.best) return { plan: null }
  if (!costOf) return { plan: planAs(best, best.best) }
  const tied = cheapest(best.network, best.search, best.best, {
    costOf: placed => costOf(planAs(best, placed)),
    budget: { left: visits * TIES_SHARE },
  })
  return { plan: planAs(best, tied) }
}

/** Runs by how long all of theirs takes, the longest first. */
function longestFirst({ stays, tails, runs }: Network): number[] {
  const tail = (run: number) => tails[stays.find(stay => stay.run === run)?.first ?? 0] ?? 0
  return Array.from({ length: runs }, (_, i) => i).sort((a, b) => tail(b) - tail(a))
}
