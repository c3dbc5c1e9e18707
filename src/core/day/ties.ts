import type { Network } from './day-network'
import { ordersOf, type Placed } from './improve'
import type { Budget, Search } from './search'

/** How much later each stay is tried, min. */
const LATER_MIN = [15, 30, 60, 120, 240, 480]
/** A plan has to cost so much less to be taken for the one that is sooner at its work. */
const WORTH_SHARE = 0.005

/**
 * Among plans that end no later, one that costs less: each stay in an oven is put off as far as the end lets it, where that is
 * cheaper. The order of all that is planned stays; no blade waits longer for its cold or its first temper than it would.
 */
export function cheapest(
  network: Network,
  search: Search,
  best: Placed,
  { costOf, budget }: { readonly costOf: (placed: Placed) => number; readonly budget: Budget },
): Placed {
  const runs = new Set(Array.from({ length: network.runs }, (_, i) => i))
  const firsts = network.stays.flatMap(({ first }) => (network.stood[first] ? [] : [first]))
  let placed = best
  let cost = costOf(placed)
  for (let isBetter = true; isBetter && budget.left > 0; ) {
    isBetter = false
    for (const first of firsts)
      for (const later of LATER_MIN) {
        if (budget.left <= 0) break
        const notBefore = [first, (placed.starts[first] as number) + later] as const
        const found = search.find({
          runs,
          fixed: [...ordersOf(network, placed, runs), { arcs: [], merge: null, notBefore }],
          beforeMin: best.finishMin + 1,
          budget,
          first: true,
        })
        // Where so much later is too late, still later is as well.
        if (!found.starts || !found.closings) break
        const next = { starts: found.starts, closings: found.closings, finishMin: found.finishMin }
        if (waitsLonger(network, best, next)) continue
        const nextCost = costOf(next)
        if (nextCost > cost * (1 - WORTH_SHARE)) continue
        ;[placed, cost, isBetter] = [next, nextCost, true]
      }
  }
  return placed
}

/** Whether blades of some run stand longer between their load and their cold or first temper. */
function waitsLonger({ tasks }: Network, before: Placed, after: Placed): boolean {
  const loads = new Map<number, number>()
  tasks.forEach(({ kind, run }, i) => {
    if (kind === 'load' && !loads.has(run)) loads.set(run, i)
  })
  return tasks.some(({ kind, run, round }, i) => {
    if (kind !== 'cold-in' && !(kind === 'temper-in' && round === 1)) return false
    const load = loads.get(run)
    const since = ({ starts }: Placed) => (starts[i] as number) - (load === undefined ? 0 : (starts[load] as number))
    return since(after) > since(before)
  })
}
