import { createRandom } from '../numeric/random'
import { calendarOf } from './calendar'
import { improved, inserted, type Placed } from './improve'
import { type Network, networkOf, type TaskKind } from './network'
import { createRuns, MOST_JOINED_ALL_WAYS, type Partition, partitionsOf, shuffled } from './partitions'
import type { DayProblem, HotRun } from './problem'
import { type Budget, createSearch, type Search } from './search'
import { type WhyNot, whyNot } from './why-not'

/** One thing hands do, or one closing of several at once. */
export interface PlannedTask {
  readonly kind: TaskKind
  /** Which load, for load and pull. */
  readonly load: number | null
  readonly groups: readonly string[]
  /** The round of each group, for a temper: a closing may mix them. */
  readonly rounds: Readonly<Record<string, number>> | null
  readonly startMin: number
  readonly endMin: number
}

export interface DayPlan {
  readonly finishMin: number
  /** No plan ends before this. */
  readonly lowerBoundMin: number
  readonly proven: boolean
  readonly loads: readonly {
    readonly groups: readonly string[]
    readonly austenitizeC: number
    readonly entryC: number
  }[]
  /** In order of their start. */
  readonly tasks: readonly PlannedTask[]
}

export type DayAnswer =
  | { readonly feasible: true; readonly plan: DayPlan }
  | { readonly feasible: false; readonly why: WhyNot }

/** What a day is planned with. */
export interface PlanOptions {
  /** How much may be looked at: visits of a task's start. About two million a second on a small machine. */
  readonly visits: number
  readonly seed?: number
  /** Told each time a better plan is found. */
  readonly onBetter?: (plan: DayPlan) => void
}

/** Runs of which every order is gone through, whatever it costs within the budget. */
const EXACT_RUNS = 4
const FIRST_ORDERS = 3

interface Way {
  readonly runs: readonly HotRun[]
  readonly network: Network
  readonly search: Search
  boundMin: number
  best: Placed | null
  /** Every plan of it was gone through. */
  closed: boolean
}

/** The best day plan within a budget of work, with a bound no plan can beat. Deterministic for a seed and a budget. */
export function planDay(problem: DayProblem, { visits, seed = 1, onBetter }: PlanOptions): DayAnswer {
  const random = createRandom(seed)
  const budget: Budget = { left: visits }
  const calendar = calendarOf(problem.work)
  const runOf = createRuns(problem)
  const why = whyNot(problem, runOf)
  if (why) return { feasible: false, why }
  const count = problem.atoms.length
  const capacity = {
    ovens: [problem.oven.packets, problem.temperOven?.packets ?? 0],
    box: problem.coldBoxPackets,
  }
  const partsOf = createParts(problem, runOf, capacity)
  const wayOf = (partition: Partition): Way => {
    const runs = partition.map(set => runOf(set) as HotRun)
    const network = networkOf(problem, runs, notBeforeOf(problem, partition))
    return {
      runs,
      network,
      search: createSearch(network, calendar, capacity),
      boundMin: partsOf.boundOf(partition, budget),
      best: null,
      closed: false,
    }
  }
  const ways = partitionsOf(count, runOf, random)
    .map(wayOf)
    .sort((a, b) => a.boundMin - b.boundMin || a.runs.length - b.runs.length)
  let best: Way | null = null
  const finish = () => best?.best?.finishMin ?? Number.POSITIVE_INFINITY
  const take = (way: Way, placed: Placed | null) => {
    if (!placed) return
    if (!way.best || placed.finishMin < way.best.finishMin) way.best = placed
    if (placed.finishMin >= finish()) return
    best = way
    onBetter?.(planOf(problem, way, boundNow()))
  }
  const boundNow = () =>
    Math.min(finish(), ...ways.map(way => way.boundMin)) - (count > MOST_JOINED_ALL_WAYS ? DRAWN_SLACK_MIN : 0)
  const worth = (way: Way) => !way.closed && way.boundMin < finish()

  const exactly = (way: Way, most: number) => {
    const own = { left: Math.min(most, budget.left) }
    budget.left -= own.left
    const found = way.search.find({ runs: new Set(way.runs.keys()), fixed: [], beforeMin: finish(), budget: own })
    budget.left += own.left
    way.closed = own.left > 0
    way.boundMin = Math.max(way.boundMin, Math.min(found.boundMin, finish()))
    if (found.starts && found.closings)
      take(way, { starts: found.starts, closings: found.closings, finishMin: found.finishMin })
  }

  // A first plan of the most promising ways, by putting in one run after another.
  for (const way of ways) {
    if (!worth(way)) continue
    for (let i = 0; i < FIRST_ORDERS && budget.left > 0; i++) {
      const order = i === 0 ? longestFirst(way.network) : shuffled([...way.runs.keys()], random)
      const before = way.best?.finishMin ?? Number.POSITIVE_INFINITY
      take(way, inserted(way.network, way.search, order, { budget, beforeMin: before }))
    }
  }
  // What is small is gone through whole.
  for (const way of ways) if (worth(way) && way.runs.length <= EXACT_RUNS) exactly(way, budget.left / 2)
  // The rest is made better, half of the ways in each round.
  let alive = ways.filter(way => worth(way) && way.best).sort((a, b) => endOf(a) - endOf(b))
  while (alive.length > 0 && budget.left > 0) {
    const share = budget.left / 2 / alive.length
    for (const way of alive) {
      if (!way.best || !worth(way)) continue
      const own = { left: share }
      budget.left -= share
      take(way, improved(way.network, way.search, way.best, { budget: own, random, boundMin: way.boundMin }))
      budget.left += own.left
    }
    if (alive.length === 1) break
    alive = alive.filter(worth).sort((a, b) => endOf(a) - endOf(b))
    alive = alive.slice(0, Math.ceil(alive.length / 2))
  }
  for (const way of ways) if (worth(way) && budget.left > 0) exactly(way, budget.left / 2)
  const found = best as Way | null
  if (!found)
    return { feasible: false, why: { code: 'none-found', groups: problem.groups.map(({ id }) => id), amount: 0 } }
  return { feasible: true, plan: planOf(problem, found, boundNow()) }
}

/** Where not all ways were looked at, a joined load may be sooner than its parts by rounding alone, min. */
const DRAWN_SLACK_MIN = 10

const endOf = (way: Way): number => way.best?.finishMin ?? Number.POSITIVE_INFINITY

const notBeforeOf = ({ notBeforeMin }: DayProblem, partition: Partition): number[] =>
  partition.map(set => Math.max(0, ...set.map(atom => notBeforeMin?.[atom] ?? 0)))

/** Runs by how long all of theirs takes, the longest first. */
function longestFirst({ stays, tails, runs }: Network): number[] {
  const tail = (run: number) => tails[stays.find(stay => stay.run === run)?.first ?? 0] ?? 0
  return Array.from({ length: runs }, (_, i) => i).sort((a, b) => tail(b) - tail(a))
}

/** What parts of a plan come to by themselves: no plan of the whole ends before one of its parts. */
function createParts(
  problem: DayProblem,
  runOf: ReturnType<typeof createRuns>,
  capacity: Parameters<typeof createSearch>[2],
) {
  const calendar = calendarOf(problem.work)
  const known = new Map<string, number>()
  const exact = (sets: Partition, budget: Budget): number => {
    const key = sets.map(set => set.join()).join(' ')
    const before = known.get(key)
    if (before !== undefined) return before
    const network = networkOf(
      problem,
      sets.map(set => runOf(set) as HotRun),
      notBeforeOf(problem, sets),
    )
    const own = { left: Math.min(PART_VISITS, budget.left) }
    budget.left -= own.left
    const found = createSearch(network, calendar, capacity).find({
      runs: new Set(sets.keys()),
      fixed: [],
      beforeMin: Number.POSITIVE_INFINITY,
      budget: own,
    })
    budget.left += own.left
    known.set(key, found.boundMin)
    return found.boundMin
  }
  return {
    boundOf(partition: Partition, budget: Budget): number {
      let bound = 0
      for (const [i, a] of partition.entries()) {
        bound = Math.max(bound, exact([a], budget))
        if (partition.length > MOST_PAIRED) continue
        for (const b of partition.slice(i + 1)) bound = Math.max(bound, exact([a, b], budget))
      }
      return bound
    },
  }
}

const PART_VISITS = 20_000
const MOST_PAIRED = 8

function planOf(problem: DayProblem, way: Way, lowerBoundMin: number): DayPlan {
  const { network, runs, best } = way
  if (!best) throw new RangeError('no plan to tell of')
  const idOf = (group: number) => problem.groups[group]?.id ?? ''
  const firstLoad = runs.map((_, i) => runs.slice(0, i).reduce((sum, run) => sum + run.loads.length, 0))
  const stayOf = new Map(
    network.stays.flatMap((stay, i) => (stay.key === null ? [] : [[stay.first, i] as const, [stay.last, i] as const])),
  )
  const merged = new Map<string, PlannedTask>()
  network.tasks.forEach((task, i) => {
    const stay = stayOf.get(i)
    const startMin = best.starts[i] as number
    const key = stay === undefined ? `${i}` : `${best.closings[stay]} ${task.kind}`
    const ids = task.groups.map(idOf)
    const before = merged.get(key)
    const rounds = task.round === null ? null : Object.fromEntries(ids.map(id => [id, task.round as number]))
    merged.set(key, {
      kind: task.kind,
      load: task.load === null ? null : (firstLoad[task.run] ?? 0) + task.load,
      groups: [...(before?.groups ?? []), ...ids],
      rounds: rounds && { ...before?.rounds, ...rounds },
      startMin,
      endMin: startMin + task.durationMin,
    })
  })
  return {
    finishMin: best.finishMin,
    lowerBoundMin: Math.min(lowerBoundMin, best.finishMin),
    proven: lowerBoundMin >= best.finishMin,
    loads: runs.flatMap(run => run.loads.map(load => ({ ...load, groups: load.groups.map(idOf) }))),
    tasks: [...merged.values()].sort((a, b) => a.startMin - b.startMin || a.endMin - b.endMin),
  }
}
