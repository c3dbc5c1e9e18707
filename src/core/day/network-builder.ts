import type { BoxStay, Network, NetworkTask, Stay } from './day-network'
import { downToGrid, upToGrid } from './problem'

/** Gathers the tasks of a network and what ties them. */
export function createBuilder(nowMin: number) {
  const tasks: NetworkTask[] = []
  const arcs: [number, number, number][] = []
  const stays: Stay[] = []
  const box: BoxStay[] = []
  const [earliest, latest, lates]: [number[], number[], number[]] = [[], [], []]
  const stood: boolean[] = []
  const put = (task: NetworkTask, from: number, to: number): number => {
    earliest.push(from)
    latest.push(to)
    lates.push(0)
    stood.push(false)
    return tasks.push(task) - 1
  }
  return {
    tasks,
    stays,
    box,
    nowMin,
    /** A task still to be done. */
    add: (task: NetworkTask, { fromMin = 0, toMin = Number.POSITIVE_INFINITY } = {}): number =>
      put(task, upToGrid(Math.max(fromMin, nowMin)), downToGrid(toMin)),
    /** A task at a time that is not to be moved: it was done, or is being done. */
    stood(task: NetworkTask, atMin: number, isOver: boolean): number {
      const at = Math.max(0, downToGrid(atMin))
      // What was done needs no hands any more.
      const index = put(isOver ? { ...task, durationMin: 0 } : task, at, at)
      stood[index] = true
      return index
    },
    /** It can be so long after hands came back at the earliest. */
    late(task: number, minutes: number) {
      lates[task] = minutes
    },
    /** `to` starts at least `least` and at most `most` after `from` does. */
    tie(from: number, to: number, least: number, most: number) {
      arcs.push([from, to, upToGrid(least)])
      if (Number.isFinite(most)) arcs.push([to, from, -downToGrid(most)])
    },
    done: (): Omit<Network, 'setups' | 'runs'> => ({
      tasks,
      arcs,
      stays,
      box,
      earliest: Float64Array.from(earliest),
      latest: Float64Array.from(latest),
      lates: Float64Array.from(lates),
      stood: Uint8Array.from(stood, Number),
      tails: tailsOf(tasks, arcs),
    }),
  }
}

export type Builder = ReturnType<typeof createBuilder>

/** The longest way from each task to the end of all, by the arcs alone. */
function tailsOf(tasks: readonly NetworkTask[], arcs: Network['arcs']): Float64Array {
  const tails = Float64Array.from(tasks, task => task.durationMin)
  for (const _ of tasks) {
    let changed = false
    for (const [from, to, lag] of arcs) {
      const tail = lag + (tails[to] as number)
      if (tail > (tails[from] as number)) {
        tails[from] = tail
        changed = true
      }
    }
    if (!changed) break
  }
  return tails
}
