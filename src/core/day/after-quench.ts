import { AMBIENT_C } from '../oven/chamber'
import type { Builder } from './network-builder'
import { ACT_MIN, type DayGroup, type DayProblem, temperOvenOf } from './problem'

/** From the last press until blades can go into the cold, and until they can go into a temper without it. */
const TO_COLD_MIN = 5
const TO_TEMPER_MIN = 10
/** Blades out of the cold warm up before their temper. */
const WARM_MIN = 20
/** A blade out of its temper stays warm enough to be straightened for so long. Common practice, no published source. */
const STILL_WARM_MIN = 5
/** Grace period: a task that should have been done is planned within it and reported as late, min. */
const GRACE_MIN = 60

/** Blades that go on together. */
export interface Unit {
  readonly run: number
  readonly unit: number
  readonly groups: readonly number[]
  readonly group: DayGroup
  readonly count: number
}

/** When blades can go on: after a task of theirs, or from a minute on. */
export interface Ready {
  /** Their pull, where it is still to come. */
  readonly pull: number | null
  readonly task: number | null
  /** How long that task takes. */
  readonly endMin: number
  readonly atMin: number | null
}

/** Units of a run whose cold is the same go into it as one act, each out of it in its own time; that act, by the cold they have. */
export function coldInTogether(
  builder: Builder,
  units: readonly { readonly unit: Unit; readonly ready: Ready }[],
): ReadonlyMap<string, number> {
  const into = new Map<string, number>()
  for (const { unit } of units) {
    const { cold } = unit.group
    const key = JSON.stringify(cold)
    if (!cold || into.has(key)) continue
    const same = units.filter(other => JSON.stringify(other.unit.group.cold) === key)
    // The delay counts from the first that was quenched.
    const first = same.reduce((one, other) => ((other.ready.pull ?? 0) < (one.ready.pull ?? 0) ? other : one))
    const groups = same.flatMap(other => other.unit.groups)
    into.set(key, coldIn(builder, { ...unit, groups }, cold, first.ready))
  }
  return into
}

/** Cold and tempers of blades that go on together, from where they stand; `intoCold`: the act they go into it with, where it is shared. */
export function afterQuench(
  builder: Builder,
  problem: DayProblem,
  unit: Unit,
  quenched: Ready | null,
  intoCold: number | undefined,
) {
  const { group } = unit
  const { progress } = group
  const past = (kinds: readonly string[]) => progress !== undefined && kinds.includes(progress.kind)
  let ready = quenched ?? standing(progress?.atMin ?? builder.nowMin)
  let thenMin = afterPullMin(ready, TO_TEMPER_MIN)
  if (group.cold && !past(['thawed', 'in-temper', 'tempered'])) {
    ready = coldPart(builder, unit, group.cold, intoCold ?? coldIn(builder, unit, group.cold, ready))
    thenMin = WARM_MIN
  } else if (past(['thawed'])) thenMin = WARM_MIN
  const done = progress && 'round' in progress ? progress.round - (progress.kind === 'in-temper' ? 1 : 0) : 0
  if (done > 0) thenMin = problem.coolBetweenMin
  group.tempers.forEach((temper, i) => {
    if (i < done) return
    const inSince = progress?.kind === 'in-temper' && progress.round === i + 1 ? progress.atMin : null
    ready = temperPart(builder, problem, unit, { ...temper, round: i + 1, inSince, thenMin }, ready)
    if (i === 0 && group.straightenMin) ready = straightenPart(builder, unit, group.straightenMin, ready)
    thenMin = problem.coolBetweenMin
  })
}

/** Returns the lag after a pull, min; an inspection in between has absorbed it. */
const afterPullMin = ({ pull, task }: Ready, min: number): number => (pull !== null && task !== pull ? 0 : min)

/** Blades that stand since a minute. */
const standing = (atMin: number): Ready => ({ pull: null, task: null, endMin: 0, atMin })

/** The least and the most after blades are ready, as an earliest and a latest, or as ties to the task before. */
function follow(
  builder: Builder,
  ready: Ready,
  add: (between: { fromMin?: number; toMin?: number }) => number,
  { least, most }: { readonly least: number; readonly most: number },
): number {
  if (ready.task !== null) {
    const task = add({})
    builder.tie(ready.task, task, ready.endMin + least, ready.endMin + most)
    return task
  }
  const atMin = ready.atMin ?? builder.nowMin
  return add({ fromMin: atMin + least, toMin: Math.max(atMin + most, builder.nowMin + GRACE_MIN) })
}

function coldIn(
  builder: Builder,
  { run, groups, group }: Unit,
  cold: NonNullable<DayGroup['cold']>,
  ready: Ready,
): number {
  const task = { run, load: null, groups, round: null, durationMin: ACT_MIN, kind: 'cold-in' } as const
  if (group.progress?.kind === 'in-cold') return builder.stood(task, group.progress.atMin, true)
  const into = follow(builder, ready, between => builder.add(task, between), {
    least: afterPullMin(ready, TO_COLD_MIN),
    most: ready.pull === null ? cold.delayMin : Number.POSITIVE_INFINITY,
  })
  // The blades come out of the plates one after another: the delay is counted from the first.
  if (ready.pull !== null) builder.tie(ready.pull, into, 0, TO_COLD_MIN + cold.delayMin)
  return into
}

function coldPart(builder: Builder, unit: Unit, cold: NonNullable<DayGroup['cold']>, into: number): Ready {
  const { run, groups, group, count } = unit
  const task = { run, load: null, groups, round: null, durationMin: ACT_MIN, kind: 'cold-out' } as const
  const [least, most] = cold.holdMin
  const isIn = group.progress?.kind === 'in-cold'
  // What is in already comes out by when it went in, be it days ago.
  const out = builder.add(task, isIn ? { fromMin: (group.progress?.atMin ?? 0) + least } : {})
  if (!isIn) builder.tie(into, out, least, most)
  builder.box.push({ run, in: into, out, count })
  return { pull: null, task: out, endMin: ACT_MIN, atMin: null }
}

/** Straightened while it is warm from its first temper: hands are there when it comes out. */
function straightenPart(builder: Builder, { run, groups }: Unit, durationMin: number, { task: out }: Ready): Ready {
  const task = builder.add({ run, load: null, groups, round: null, durationMin, kind: 'straighten' })
  if (out !== null) builder.tie(out, task, ACT_MIN, ACT_MIN + STILL_WARM_MIN)
  return { pull: null, task, endMin: durationMin, atMin: null }
}

interface TemperAsked {
  readonly atC: number
  readonly holdMin: number
  readonly round: number
  /** Since when it is in; null: it is still to go in. */
  readonly inSince: number | null
  readonly thenMin: number
}

function temperPart(builder: Builder, problem: DayProblem, unit: Unit, temper: TemperAsked, ready: Ready): Ready {
  const { run, groups, group, count } = unit
  const { atC, holdMin, round, inSince, thenMin } = temper
  const hands = { run, load: null, groups, round, durationMin: ACT_MIN } as const
  const heatMin = temperOvenOf(problem).transMin(AMBIENT_C, atC)
  const most = round === 1 ? group.maxToTemperMin : Number.POSITIVE_INFINITY
  const into =
    inSince === null
      ? follow(
          builder,
          ready,
          between =>
            builder.add(
              { ...hands, kind: 'temper-in' },
              { ...between, fromMin: Math.max(between.fromMin ?? 0, heatMin) },
            ),
          { least: thenMin, most },
        )
      : builder.stood({ ...hands, kind: 'temper-in' }, inSince, true)
  const isLast = round === group.tempers.length
  const toMin = isLast && group.deadlineMin !== null ? group.deadlineMin - ACT_MIN : Number.POSITIVE_INFINITY
  const out = builder.add(
    { ...hands, kind: 'temper-out' },
    inSince === null ? { toMin } : { fromMin: inSince + holdMin },
  )
  if (inSince === null) builder.tie(into, out, holdMin, holdMin + problem.overrunMin)
  builder.stays.push({
    run,
    oven: problem.temperOven,
    first: into,
    last: out,
    inC: atC,
    outC: atC,
    count,
    key: inSince === null ? `${atC} ${holdMin}` : null,
    unit: unit.unit,
    begun: inSince !== null,
  })
  return { pull: null, task: out, endMin: ACT_MIN, atMin: null }
}
