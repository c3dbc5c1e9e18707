import type { Random } from '../numeric/random'
import { type Decision, sharing } from './clashes'
import type { Network } from './day-network'
import type { Budget, Search } from './search'

/** A plan of some runs, all of them in place. */
export interface Placed {
  readonly starts: Float64Array
  readonly closings: Int16Array
  readonly finishMin: number
}

/** Visits one insertion, and one try at doing a part of a plan anew, may cost. */
const INSERT_VISITS = 60_000
const ANEW_VISITS = 12_000
/** Ends that are tried for one more run, as shares of what it would last after all others. */
const SHARES_OF_WAIT = [0.1, 0.3, 1]

const allOf = ({ runs }: Network): number[] => Array.from({ length: runs }, (_, i) => i)

/** The orders a plan has among some of its runs, as decisions: what is left out can be placed anew between them. */
export function ordersOf(network: Network, { starts, closings }: Placed, kept: ReadonlySet<number>): Decision[] {
  const at = (task: number) => starts[task] as number
  const arcs: [number, number, number][] = []
  const tasks = network.tasks.flatMap(({ run }, i) => (kept.has(run) ? [i] : [])).sort((a, b) => at(a) - at(b))
  for (let i = 1; i < tasks.length; i++) {
    const [a, b] = [tasks[i - 1] as number, tasks[i] as number]
    const lengthMin = network.tasks[a]?.durationMin ?? 0
    // Tempers in one closing are in and out at once: nothing is first of them.
    if (at(b) >= at(a) + lengthMin) arcs.push([a, b, lengthMin])
    else arcs.push([a, b, 0])
  }
  const merges: Decision[] = []
  for (const oven of new Set(network.stays.map(stay => stay.oven))) {
    const stays = network.stays
      .flatMap((stay, i) => (stay.oven === oven && kept.has(stay.run) ? [i] : []))
      .sort((a, b) => at(network.stays[a]?.first ?? 0) - at(network.stays[b]?.first ?? 0))
    for (let i = 1; i < stays.length; i++) {
      const [a, b] = [stays[i - 1] as number, stays[i] as number]
      const [one, other] = [network.stays[a], network.stays[b]]
      // What went in together is in together.
      if (!one || !other || (one.begun && other.begun)) continue
      if (closings[a] === closings[b]) merges.push(sharing(network.stays, a, b))
      else
        arcs.push([one.last, other.first, (network.tasks[one.last]?.durationMin ?? 0) + (network.setups[a]?.[b] ?? 0)])
    }
  }
  return [{ arcs, merge: null }, ...merges]
}

/** Runs one after another into what is planned, in the order given, each where all that is there ends soonest; null where one finds no place. */
export function inserted(
  network: Network,
  search: Search,
  order: readonly number[],
  { budget, beforeMin }: { readonly budget: Budget; readonly beforeMin: number },
): Placed | null {
  let placed: Placed | null = null
  const there = new Set<number>()
  for (const run of order) {
    there.add(run)
    placed = withRun(network, search, { placed, there, run }, { budget, beforeMin })
    if (!placed) return null
  }
  return placed
}

/** So many runs in a row that find no place: the hours are full. */
const FULL_AFTER = 3

/** Returns the runs, in the order given, that find a place one after another; those that find none are left out. */
export function fitting(network: Network, search: Search, order: readonly number[], budget: Budget): number[] {
  let placed: Placed | null = null
  let refused = 0
  const there = new Set<number>()
  for (const run of order) {
    if (refused === FULL_AFTER || budget.left <= 0) break
    there.add(run)
    const next = withRun(network, search, { placed, there, run }, { budget, beforeMin: Number.POSITIVE_INFINITY })
    if (!next) there.delete(run)
    refused = next ? 0 : refused + 1
    placed = next ?? placed
  }
  return [...there]
}

/**
 * One more run in a plan. After all that is planned there is room, as long as there are hours; ends much sooner are tried first: where
 * little time is allowed a search either finds a place or knows soon that there is none, where much is it may lose its way.
 */
function withRun(
  network: Network,
  search: Search,
  { placed, there, run }: { readonly placed: Placed | null; readonly there: ReadonlySet<number>; readonly run: number },
  { budget, beforeMin }: { readonly budget: Budget; readonly beforeMin: number },
): Placed | null {
  const ask = (fixed: readonly Decision[], endMin: number, own: Budget, first = false): Placed | null => {
    const found = search.find({ runs: there, fixed, beforeMin: endMin, budget: own, first })
    return found.starts && found.closings
      ? { starts: found.starts, closings: found.closings, finishMin: found.finishMin }
      : null
  }
  const within = (fixed: readonly Decision[], endMin: number, visits: number): Placed | null => {
    const own = spend(budget, visits)
    const found = ask(fixed, endMin, own)
    budget.left += own.left
    return found
  }
  if (!placed) return within([], beforeMin, INSERT_VISITS)
  const fixed = ordersOf(network, placed, new Set([...there].filter(other => other !== run)))
  // Whatever is left of the work allowed: a plan there has to be.
  const after = ask([...fixed, lastBefore(network, placed, run, there)], beforeMin, { left: INSERT_VISITS }, true)
  if (!after) return within(fixed, beforeMin, INSERT_VISITS)
  for (const share of SHARES_OF_WAIT) {
    const endMin = placed.finishMin + (after.finishMin - placed.finishMin) * share
    const found = within(fixed, endMin, INSERT_VISITS / SHARES_OF_WAIT.length)
    if (found) return found
  }
  return after
}

/** A run that begins when all that is planned has ended. */
function lastBefore({ tasks }: Network, { starts }: Placed, run: number, there: ReadonlySet<number>): Decision {
  const end = (i: number) => (starts[i] as number) + (tasks[i]?.durationMin ?? 0)
  const others = tasks.flatMap((task, i) => (task.run !== run && there.has(task.run) ? [i] : []))
  const last = others.reduce((latest, i) => (end(i) > end(latest) ? i : latest), others[0] ?? 0)
  const first = tasks.findIndex(task => task.run === run)
  return { arcs: [[last, first, tasks[last]?.durationMin ?? 0]], merge: null }
}

/** A part of what is left, taken out of it. */
function spend(budget: Budget, most: number): Budget {
  const own = { left: Math.max(0, Math.min(budget.left, most)) }
  budget.left -= own.left
  return own
}

/**
 * A plan made better by taking out two or three of its runs and placing them anew between the others, again and again until the
 * budget is spent. Deterministic for its random numbers.
 */
export function improved(
  network: Network,
  search: Search,
  start: Placed,
  { budget, random, boundMin }: { readonly budget: Budget; readonly random: Random; readonly boundMin: number },
): Placed {
  let best = start
  const all = allOf(network)
  while (budget.left > 0 && best.finishMin > boundMin) {
    const out = new Set<number>()
    const size = Math.min(all.length, random.uniform() < 0.5 ? 2 : 3)
    while (out.size < size) out.add(random.pick(all))
    const kept = new Set(all.filter(run => !out.has(run)))
    const own = spend(budget, ANEW_VISITS)
    const before = own.left
    const found = search.find({
      runs: new Set(all),
      fixed: ordersOf(network, best, kept),
      beforeMin: best.finishMin,
      budget: own,
    })
    budget.left += own.left
    // A try that costs nothing still counts: the loop has to end.
    if (before === own.left) budget.left -= 50
    if (found.starts && found.closings)
      best = { starts: found.starts, closings: found.closings, finishMin: found.finishMin }
  }
  return best
}
