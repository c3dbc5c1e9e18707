import { calendarOf } from './calendar'
import { type LoadBetween, networkOf } from './network'
import type { createRuns, Partition } from './partitions'
import { capacityOf, type DayProblem, type HotRun } from './problem'
import { type Budget, createSearch } from './search'

/** Visits one part may cost. */
const PART_VISITS = 20_000
/** Ways with more runs than this are not looked at in pairs. */
const MOST_PAIRED = 8

/** When some atoms may go in together, and what comes before it. */
export const loadBetween = (
  { notBeforeMin, notAfterMin, before }: DayProblem,
  atoms: readonly number[],
): LoadBetween => ({
  before: atoms.flatMap(atom => before?.[atom] ?? []),
  fromMin: Math.max(0, ...atoms.map(atom => notBeforeMin?.[atom] ?? 0)),
  toMin: Math.min(...atoms.map(atom => notAfterMin?.[atom] ?? Number.POSITIVE_INFINITY)),
})

/** Computes bounds from parts of a plan: the whole never ends before one of its parts. */
export function createParts(problem: DayProblem, runOf: ReturnType<typeof createRuns>) {
  const calendar = calendarOf(problem.work, problem.nowMin)
  const known = new Map<string, number>()
  const betweenOf = (partition: Partition): LoadBetween[] => partition.map(set => loadBetween(problem, set))
  const exact = (sets: Partition, budget: Budget): number => {
    const key = sets.map(set => set.join()).join(' ')
    const before = known.get(key)
    if (before !== undefined) return before
    const network = networkOf(
      problem,
      sets.map(set => runOf(set) as HotRun),
      betweenOf(sets),
    )
    const own = { left: Math.max(1, Math.min(PART_VISITS, budget.left)) }
    budget.left -= own.left
    const found = createSearch(network, calendar, capacityOf(problem)).find({
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
    betweenOf,
    /** The longest of the runs alone. */
    singleBound: (partition: Partition, budget: Budget): number =>
      Math.max(0, ...partition.map(set => exact([set], budget))),
    /** The longest of the runs two by two. */
    pairBound: (partition: Partition, budget: Budget): number =>
      partition.length > MOST_PAIRED
        ? 0
        : Math.max(0, ...partition.flatMap((a, i) => partition.slice(i + 1).map(b => exact([a, b], budget)))),
  }
}
