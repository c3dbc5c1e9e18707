import { AMBIENT_C } from '../oven/chamber'
import { afterQuench, coldInTogether, type Ready, type Unit } from './after-quench'
import type { Network } from './day-network'
import { createBuilder } from './network-builder'
import {
  ACT_MIN,
  type BeforeHeat,
  type DayGroup,
  type DayOven,
  type DayProblem,
  type HotRun,
  upToGrid,
} from './problem'

/** Groups of a run that go on together after the quench. */
const unitKeyOf = ({ cold, tempers, maxToTemperMin, deadlineMin, straightenMin }: DayGroup): string =>
  JSON.stringify([cold, tempers, maxToTemperMin, deadlineMin, straightenMin])

/** When a run may be loaded, at the earliest and at the latest, min, and what its blades go through before. */
export interface LoadBetween {
  readonly before: readonly BeforeHeat[]
  readonly fromMin: number
  readonly toMin: number
}
const ANY_TIME: LoadBetween = { before: [], fromMin: 0, toMin: Number.POSITIVE_INFINITY }

/** The network of some hot runs. */
export function networkOf(problem: DayProblem, runs: readonly HotRun[], between: readonly LoadBetween[] = []): Network {
  const builder = createBuilder(problem.nowMin ?? 0)
  let unitCount = 0
  runs.forEach((run, runIndex) => {
    const own = hotPart(builder, problem, run, { runIndex, between: between[runIndex] ?? ANY_TIME })
    const units = unitsOf(problem, run).flatMap((groups): { unit: Unit; ready: Ready | null }[] => {
      const group = problem.groups[groups[0] as number] as DayGroup
      const pull = own[run.pullOf.get(groups[0] as number) ?? -1] ?? null
      const after = own[run.readyAfter ?? -1] ?? pull
      if ((pull === null || after === null) && !group.progress) return []
      const count = groups.reduce((sum, i) => sum + (problem.groups[i]?.count ?? 0), 0)
      const ready =
        pull === null || after === null
          ? null
          : { pull, task: after, endMin: builder.tasks[after]?.durationMin ?? 0, atMin: null }
      return [{ unit: { run: runIndex, groups, group, count, unit: unitCount++ }, ready }]
    })
    const intoCold =
      run.readyAfter === undefined
        ? null
        : coldInTogether(
            builder,
            units.flatMap(({ unit, ready }) => (ready ? [{ unit, ready }] : [])),
          )
    const [load] = own
    if (load !== undefined && run.begunMin === undefined)
      for (const heat of between[runIndex]?.before ?? [])
        beforeLoad(builder, problem, heat, { run: runIndex, load, unit: unitCount++ })
    for (const { unit, ready } of units)
      afterQuench(builder, problem, unit, ready, ready ? intoCold?.get(JSON.stringify(unit.group.cold)) : undefined)
  })
  const { stays } = builder
  return {
    ...builder.done(),
    setups: stays.map(({ oven, outC }) =>
      Float64Array.from(stays, next =>
        next.oven === oven ? upToGrid((problem.ovens[oven] as DayOven).transMin(outC, next.inC)) : 0,
      ),
    ),
    runs: runs.length,
  }
}

/** The tasks of a run at its oven; each at its fixed time after the first. */
function hotPart(
  builder: ReturnType<typeof createBuilder>,
  problem: DayProblem,
  run: HotRun,
  { runIndex, between }: { readonly runIndex: number; readonly between: LoadBetween },
): number[] {
  const heatMin = upToGrid(problem.ovens[run.oven]?.transMin(AMBIENT_C, run.firstC) ?? 0)
  const own = run.tasks.map(({ kind, load, durationMin, allHands = false }, i) => {
    const groups = groupsOfTask(run, kind, load)
    const task = { kind, run: runIndex, load, groups, round: null, durationMin, allHands }
    if (run.begunMin !== undefined)
      return builder.stood(task, run.begunMin + (run.tasks[i]?.offsetMin ?? 0), i < (run.done ?? 0))
    return builder.add(
      task,
      i === 0 ? { fromMin: Math.max(between.fromMin, (problem.nowMin ?? 0) + heatMin), toMin: between.toMin } : {},
    )
  })
  const [first] = own
  if (first === undefined) return own
  if (problem.heatsAlone === false && run.begunMin === undefined) builder.late(first, heatMin)
  own.slice(1).forEach((task, i) => {
    const gap = (run.tasks[i + 1]?.offsetMin ?? 0) - (run.tasks[i]?.offsetMin ?? 0)
    builder.tie(own[i] as number, task, gap, gap)
  })
  const last = own[run.tasks.findLastIndex(({ kind }) => kind === 'pull')] ?? first
  const { firstC: inC, lastC: outC, oven } = run
  builder.stays.push({
    run: runIndex,
    oven,
    first,
    last,
    inC,
    outC,
    count: 0,
    key: null,
    unit: -1,
    begun: run.begunMin !== undefined,
  })
  return own
}

/** A heat before the load: into the oven, out of it, and the load once its blades have cooled and are wrapped. */
function beforeLoad(
  builder: ReturnType<typeof createBuilder>,
  problem: DayProblem,
  heat: BeforeHeat,
  { run, load, unit }: { readonly run: number; readonly load: number; readonly unit: number },
) {
  const { kind, groups, oven, inC, outC, stayMin, inSinceMin, key, count } = heat
  const hands = { run, load: null, groups, round: null, durationMin: ACT_MIN } as const
  const isIn = inSinceMin !== null
  const into = isIn
    ? builder.stood({ ...hands, kind: `${kind}-in` }, inSinceMin, true)
    : builder.add(
        { ...hands, kind: `${kind}-in` },
        { fromMin: (problem.nowMin ?? 0) + (problem.ovens[oven]?.transMin(AMBIENT_C, inC) ?? 0) },
      )
  const out = builder.add({ ...hands, kind: `${kind}-out` }, isIn ? { fromMin: inSinceMin + stayMin[0] } : {})
  if (!isIn) builder.tie(into, out, stayMin[0], stayMin[1])
  builder.tie(out, load, ACT_MIN + heat.thenMin, Number.POSITIVE_INFINITY)
  builder.stays.push({ run, oven, first: into, last: out, inC, outC, count, key: isIn ? null : key, unit, begun: isIn })
}

/** A load's own groups; all of them are looked at. */
const groupsOfTask = (run: HotRun, kind: HotRun['tasks'][number]['kind'], load: number): readonly number[] =>
  kind === 'inspect' ? [...run.pullOf.keys()] : (run.loads[load]?.groups ?? [])

/** Groups of a run that go on together: pulled at once, and with all that follows the same. */
function unitsOf({ groups }: DayProblem, run: HotRun): number[][] {
  const units = new Map<string, number[]>()
  for (const [group, pull] of run.pullOf) {
    const key = `${pull} ${unitKeyOf(groups[group] as DayGroup)}`
    units.set(key, [...(units.get(key) ?? []), group])
  }
  return [...units.values(), ...(run.going ?? []).map(group => [group])]
}
