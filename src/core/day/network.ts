import { AMBIENT_C } from '../oven/chamber'
import { type DayGroup, type DayOven, type DayProblem, downToGrid, GRID_MIN, type HotRun, upToGrid } from './problem'

/** What hands do in a plan. */
export const TASK_KINDS = ['load', 'pull', 'cold-in', 'cold-out', 'temper-in', 'temper-out'] as const
export type TaskKind = (typeof TASK_KINDS)[number]

/** Every task but a pull takes so long, min. */
export const TASK_LENGTH_MIN = 5
/** From the last press until blades can go into the cold, and until they can go into a temper without it. */
const TO_COLD_MIN = 5
const TO_TEMPER_MIN = 10
/** Blades out of the cold warm up before their temper. */
const WARM_MIN = 20

export interface NetworkTask {
  readonly kind: TaskKind
  readonly run: number
  /** Which load of the run, for load and pull. */
  readonly load: number | null
  readonly groups: readonly number[]
  /** Round of a temper, from 1. */
  readonly round: number | null
  readonly durationMin: number
}

/** What stands in an oven, from the task that opens it to the one that empties it. */
export interface Stay {
  readonly run: number
  readonly oven: 0 | 1
  readonly first: number
  readonly last: number
  readonly inC: number
  readonly outC: number
  readonly count: number
  /** Tempers of one key may share a closing; null: nothing shares it. */
  readonly key: string | null
  readonly unit: number
}

/** What is in the cold box. */
export interface BoxStay {
  readonly run: number
  readonly in: number
  readonly out: number
  readonly count: number
}

/**
 * A plan's tasks and what ties them: each start is at least another's and a lag, [from, to, lag]. Nothing ties two runs to each
 * other but hands, ovens and the box: those the search decides on.
 */
export interface Network {
  readonly tasks: readonly NetworkTask[]
  readonly arcs: readonly (readonly [from: number, to: number, lagMin: number])[]
  readonly stays: readonly Stay[]
  readonly box: readonly BoxStay[]
  /** The earliest each task can start, and the latest, by itself. */
  readonly earliest: Float64Array
  readonly latest: Float64Array
  /** From each task's start to the end of all that must follow it, at the least. */
  readonly tails: Float64Array
  /** Minutes between two stays of one oven, [stay][next stay]. */
  readonly setups: readonly Float64Array[]
  readonly runs: number
}

/** Groups of a run that go on together after the quench. */
export const unitKeyOf = ({ cold, tempers, maxToTemperMin, deadlineMin }: DayGroup): string =>
  JSON.stringify([cold, tempers, maxToTemperMin, deadlineMin])

/** The network of some hot runs. `notBeforeMin`: when each may be loaded at the earliest. */
export function networkOf(problem: DayProblem, runs: readonly HotRun[], notBeforeMin: readonly number[] = []): Network {
  const tasks: NetworkTask[] = []
  const arcs: [number, number, number][] = []
  const stays: Stay[] = []
  const box: BoxStay[] = []
  const earliest: number[] = []
  const latest: number[] = []
  const temperOven: 0 | 1 = problem.temperOven ? 1 : 0
  const ovens: readonly DayOven[] = problem.temperOven ? [problem.oven, problem.temperOven] : [problem.oven]
  let unit = 0
  const add = (task: NetworkTask, from = 0, to = Number.POSITIVE_INFINITY): number => {
    earliest.push(from)
    latest.push(to)
    return tasks.push(task) - 1
  }
  /** `to` starts at least `least` and at most `most` after `from` does. */
  const tie = (from: number, to: number, least: number, most: number) => {
    arcs.push([from, to, upToGrid(least)])
    if (Number.isFinite(most)) arcs.push([to, from, -downToGrid(most)])
  }
  runs.forEach((run, runIndex) => {
    const own = run.tasks.map(({ kind, load, durationMin }) =>
      add({ kind, run: runIndex, load, groups: run.loads[load]?.groups ?? [], round: null, durationMin }),
    )
    const [first, last] = [own[0] as number, own.at(-1) as number]
    const startMin = Math.max(notBeforeMin[runIndex] ?? 0, heatUpOf(problem.oven, run.firstC))
    earliest[first] = upToGrid(startMin)
    own.slice(1).forEach((task, i) => {
      const gap = (run.tasks[i + 1]?.offsetMin ?? 0) - (run.tasks[i]?.offsetMin ?? 0)
      tie(own[i] as number, task, gap, gap)
    })
    stays.push({ run: runIndex, oven: 0, first, last, inC: run.firstC, outC: run.lastC, count: 0, key: null, unit: -1 })
    for (const groups of unitsOf(problem, run)) {
      const [group] = groups.map(i => problem.groups[i] as DayGroup)
      const pull = own[run.pullOf.get(groups[0] as number) ?? -1]
      if (!group || pull === undefined) continue
      const count = groups.reduce((sum, i) => sum + (problem.groups[i]?.count ?? 0), 0)
      const hands = { run: runIndex, load: null, groups, durationMin: TASK_LENGTH_MIN }
      const pullMin = tasks[pull]?.durationMin ?? 0
      let ready = { task: pull, endMin: pullMin, thenMin: TO_TEMPER_MIN }
      if (group.cold) {
        const [into, out] = [
          add({ ...hands, kind: 'cold-in', round: null }),
          add({ ...hands, kind: 'cold-out', round: null }),
        ]
        // The blades come out of the plates one after another: the delay is counted from the first, the box opened for the last.
        tie(pull, into, pullMin + TO_COLD_MIN, TO_COLD_MIN + group.cold.delayMin)
        tie(into, out, ...group.cold.holdMin)
        box.push({ run: runIndex, in: into, out, count })
        ready = { task: out, endMin: TASK_LENGTH_MIN, thenMin: WARM_MIN }
      }
      group.tempers.forEach(({ atC, holdMin }, i) => {
        const latestOut =
          i === group.tempers.length - 1 && group.deadlineMin !== null
            ? downToGrid(group.deadlineMin) - TASK_LENGTH_MIN
            : Number.POSITIVE_INFINITY
        const into = add(
          { ...hands, kind: 'temper-in', round: i + 1 },
          upToGrid(heatUpOf(ovens[temperOven] as DayOven, atC)),
        )
        const out = add({ ...hands, kind: 'temper-out', round: i + 1 }, 0, latestOut)
        const most = i === 0 ? ready.endMin + group.maxToTemperMin : Number.POSITIVE_INFINITY
        tie(ready.task, into, ready.endMin + ready.thenMin, most)
        tie(into, out, holdMin, holdMin + problem.overrunMin)
        stays.push({
          run: runIndex,
          oven: temperOven,
          first: into,
          last: out,
          inC: atC,
          outC: atC,
          count,
          key: `${atC} ${holdMin}`,
          unit,
        })
        ready = { task: out, endMin: TASK_LENGTH_MIN, thenMin: problem.coolBetweenMin }
      })
      unit++
    }
  })
  return {
    tasks,
    arcs,
    stays,
    box,
    earliest: Float64Array.from(earliest),
    latest: Float64Array.from(latest),
    tails: tailsOf(tasks, arcs),
    setups: stays.map(({ oven, outC }) =>
      Float64Array.from(stays, next =>
        next.oven === oven ? upToGrid((ovens[oven] as DayOven).transMin(outC, next.inC)) : 0,
      ),
    ),
    runs: runs.length,
  }
}

const heatUpOf = (oven: DayOven, toC: number): number => oven.transMin(AMBIENT_C, toC)

/** Groups of a run that go on together: pulled at once, and with all that follows the same. */
function unitsOf({ groups }: DayProblem, run: HotRun): number[][] {
  const units = new Map<string, number[]>()
  for (const [group, pull] of run.pullOf) {
    const key = `${pull} ${unitKeyOf(groups[group] as DayGroup)}`
    units.set(key, [...(units.get(key) ?? []), group])
  }
  return [...units.values()]
}

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

/** The end of the last of some tasks. */
export const finishOf = (network: Pick<Network, 'tasks'>, starts: ArrayLike<number>): number =>
  network.tasks.reduce((end, { durationMin }, i) => Math.max(end, (starts[i] ?? 0) + durationMin), GRID_MIN)
