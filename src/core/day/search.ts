import type { Calendar } from './calendar'
import { type Clash, createClashes, type Decision } from './clashes'
import type { Network } from './day-network'
import type { Capacity } from './problem'

/** Work that may still be done, in visits of a task's start: the same plan on any machine, however fast. */
export interface Budget {
  left: number
}

export interface Found {
  /** The best starts by task, better than what was asked for; null: none was found. */
  readonly starts: Float64Array | null
  /** For each stay, the lowest stay it shares its closing with, in the plan that was found. */
  readonly closings: Int16Array | null
  readonly finishMin: number
  /** No plan under these decisions ends before this, min; infinite where none is feasible before the end that was asked for. */
  readonly boundMin: number
}

interface Node {
  readonly starts: Float64Array
  readonly closings: Int16Array
  readonly boundMin: number
}

/**
 * Plans of a network that end before `beforeMin`. Every start is the earliest its ties allow; where two tasks then need the same
 * hands, or two stays the same oven, the search decides which comes first (or that two tempers share a closing) and goes on. Where
 * nothing clashes the plan is the best under its decisions, so that going through all of them proves it.
 */
export function createSearch(network: Network, calendar: Calendar, capacity: Capacity) {
  const { tasks, tails, latest, lates, stood } = network
  const count = tasks.length
  const lags = tasks.map(() => [] as number[])
  const nexts = tasks.map(() => [] as number[])
  const lengths = Float64Array.from(tasks, task => task.durationMin)
  for (const [from, to, lag] of network.arcs) {
    nexts[from]?.push(to)
    lags[from]?.push(lag)
  }
  const clashes = createClashes(network, capacity)
  const queue = new Int32Array(count)
  const queued = new Uint8Array(count)
  const active = new Uint8Array(count)

  /** Pushes starts up until every tie holds; false where one would be past its latest. */
  function settle(starts: Float64Array, from: readonly number[], beforeMin: number, budget: Budget): boolean {
    let [head, size] = [0, 0]
    const push = (task: number) => {
      if (queued[task]) return
      queued[task] = 1
      queue[(head + size++) % count] = task
    }
    for (const task of from) push(task)
    let fits = true
    while (size > 0) {
      const task = queue[head] as number
      head = (head + 1) % count
      size--
      queued[task] = 0
      if (!fits) continue
      budget.left--
      const start = starts[task] as number
      const [next, lag] = [nexts[task] as number[], lags[task] as number[]]
      for (let i = 0; i < next.length; i++) {
        const to = next[i] as number
        const least = start + (lag[i] as number)
        if (least <= (starts[to] as number)) continue
        const at = calendar.nextStart(least, lengths[to] as number, lates[to] as number)
        if (!(at <= (latest[to] as number)) || at + (tails[to] as number) >= beforeMin) {
          fits = false
          break
        }
        starts[to] = at
        push(to)
      }
    }
    return fits
  }

  const add = ({ arcs }: Decision) => {
    for (const [from, to, lag] of arcs) {
      nexts[from]?.push(to)
      lags[from]?.push(lag)
    }
  }
  const remove = ({ arcs }: Decision) => {
    for (const [from] of arcs) {
      nexts[from]?.pop()
      lags[from]?.pop()
    }
  }

  const boundOf = (starts: Float64Array): number => {
    let bound = 0
    for (let i = 0; i < count; i++) if (active[i]) bound = Math.max(bound, (starts[i] as number) + (tails[i] as number))
    return bound
  }

  const sumOf = (starts: Float64Array): number => {
    let sum = 0
    for (let i = 0; i < count; i++) if (active[i]) sum += starts[i] as number
    return sum
  }

  /** Computes the earliest starts within working hours; `fits` is false if a limit is already exceeded. */
  function earliestStarts(fixed: readonly Decision[]) {
    const starts = network.earliest.slice()
    for (const { notBefore: [task, min] = [-1, 0] } of fixed)
      if (task >= 0) starts[task] = Math.max(starts[task] as number, min)
    const seeds: number[] = []
    let fits = true
    for (let i = 0; i < count; i++) {
      if (!active[i]) continue
      if (!stood[i]) starts[i] = calendar.nextStart(starts[i] as number, lengths[i] as number, lates[i] as number)
      const start = starts[i] as number
      if (!(start < Number.POSITIVE_INFINITY) || start > (latest[i] as number)) fits = false
      seeds.push(i)
    }
    return { starts, seeds, fits }
  }

  /** A node with one more decision taken; null where it cannot be, or would end too late. */
  function after(node: Node, decision: Decision, beforeMin: number, budget: Budget): Node | null {
    const starts = node.starts.slice()
    const from = decision.arcs.map(([task]) => task)
    if (decision.notBefore) {
      const [task, min] = decision.notBefore
      const at = calendar.nextStart(
        Math.max(min, starts[task] as number),
        lengths[task] as number,
        lates[task] as number,
      )
      if (stood[task] || !(at <= (latest[task] as number)) || at + (tails[task] as number) >= beforeMin) return null
      starts[task] = at
      from.push(task)
    }
    add(decision)
    const fits = settle(starts, from, beforeMin, budget)
    remove(decision)
    return fits ? { starts, closings: mergedClosings(node.closings, decision.merge), boundMin: boundOf(starts) } : null
  }

  function find(asked: {
    /** Runs to plan; the others are not there. */
    readonly runs: ReadonlySet<number>
    readonly fixed: readonly Decision[]
    readonly beforeMin: number
    readonly budget: Budget
    /** The first plan found is enough. */
    readonly first?: boolean
  }): Found {
    const { budget } = asked
    for (let i = 0; i < count; i++) active[i] = asked.runs.has(tasks[i]?.run ?? -1) ? 1 : 0
    let best: { starts: Float64Array; closings: Int16Array } | null = null
    let beforeMin = asked.beforeMin
    let openMin = Number.POSITIVE_INFINITY
    clashes.among(active)
    for (const decision of asked.fixed) add(decision)
    const { starts, seeds, fits } = earliestStarts(asked.fixed)
    const visit = (node: Node) => {
      if (node.boundMin >= beforeMin || (asked.first && best)) return
      if (budget.left <= 0) {
        openMin = Math.min(openMin, node.boundMin)
        return
      }
      const clash = clashes.worst(node.starts, node.closings)
      if (!clash) {
        best = node
        beforeMin = node.boundMin
        return
      }
      for (const { decision, child } of branchesOf(clash, node)) {
        add(decision)
        visit(child)
        remove(decision)
      }
    }
    const branchesOf = (clash: Clash, node: Node) =>
      clash
        .flatMap(decision => {
          const child = after(node, decision, beforeMin, budget)
          return child ? [{ decision, child }] : []
        })
        .sort((a, b) => a.child.boundMin - b.child.boundMin || sumOf(a.child.starts) - sumOf(b.child.starts))
    if (fits && settle(starts, seeds, beforeMin, budget)) {
      let closings = Int16Array.from(network.stays, (_, i) => i)
      for (const { merge } of asked.fixed) closings = mergedClosings(closings, merge)
      visit({ starts, closings, boundMin: boundOf(starts) })
    }
    for (const decision of [...asked.fixed].reverse()) remove(decision)
    const found = best as { starts: Float64Array; closings: Int16Array } | null
    return {
      starts: found?.starts ?? null,
      closings: found?.closings ?? null,
      finishMin: found ? beforeMin : Number.POSITIVE_INFINITY,
      boundMin: Math.min(openMin, found ? beforeMin : asked.beforeMin),
    }
  }
  return { find }
}

export type Search = ReturnType<typeof createSearch>

function mergedClosings(closings: Int16Array, merge: Decision['merge']): Int16Array<ArrayBuffer> {
  const merged = closings.slice() as Int16Array<ArrayBuffer>
  if (!merge) return merged
  const [a, b] = [closings[merge[0]] as number, closings[merge[1]] as number]
  for (let i = 0; i < merged.length; i++) if (merged[i] === Math.max(a, b)) merged[i] = Math.min(a, b)
  return merged
}
