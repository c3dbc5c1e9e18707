import type { Network } from './day-network'
import type { DayPlan, PlannedTask } from './day-plan'
import type { Placed } from './improve'
import type { DayProblem, HotRun } from './problem'

/** A plan as it is told: tempers that share a closing are one task. */
export function planOf(
  problem: DayProblem,
  runs: readonly HotRun[],
  network: Network,
  placed: Placed,
  lowerBoundMin: number,
): DayPlan {
  const idOf = (group: number) => problem.groups[group]?.id ?? ''
  const firstLoad = runs.map((_, i) => runs.slice(0, i).reduce((sum, run) => sum + run.loads.length, 0))
  const closingOf = new Map(
    network.stays.flatMap((stay, i): [number, number][] =>
      stay.key === null
        ? []
        : [
            [stay.first, placed.closings[i] as number],
            [stay.last, placed.closings[i] as number],
          ],
    ),
  )
  const tasks = new Map<string, PlannedTask>()
  network.tasks.forEach((task, i) => {
    const startMin = placed.starts[i] as number
    const closing = closingOf.get(i)
    const key = closing === undefined ? `${i}` : `${closing} ${task.kind}`
    const ids = task.groups.map(idOf)
    const before = tasks.get(key)
    const rounds = task.round === null ? null : Object.fromEntries(ids.map(id => [id, task.round as number]))
    tasks.set(key, {
      kind: task.kind,
      load: task.load === null ? null : (firstLoad[task.run] ?? 0) + task.load,
      groups: [...(before?.groups ?? []), ...ids],
      rounds: rounds && { ...before?.rounds, ...rounds },
      startMin,
      endMin: startMin + task.durationMin,
      byHelper: false,
    })
  })
  return {
    finishMin: placed.finishMin,
    lowerBoundMin: Math.min(lowerBoundMin, placed.finishMin),
    proven: lowerBoundMin >= placed.finishMin,
    loads: runs.flatMap(run => run.loads.map(load => ({ ...load, groups: load.groups.map(idOf) }))),
    tasks: shared([...tasks.values()].sort((a, b) => a.startMin - b.startMin || a.endMin - b.endMin)),
  }
}

/** Tasks in order of their start: what begins while the maker is at another is the helper's. */
function shared(tasks: readonly PlannedTask[]): PlannedTask[] {
  let busyUntil = Number.NEGATIVE_INFINITY
  return tasks.map(task => {
    const byHelper = task.startMin < busyUntil
    if (!byHelper) busyUntil = task.endMin
    return { ...task, byHelper }
  })
}
