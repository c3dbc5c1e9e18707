import { median } from 'simple-statistics'
import { PACE } from '../../data/pace'
import { realMsAt } from '../run/clock'
import { type Confirmed, runStateAt } from '../run/run-state'
import type { Run } from '../shop/run'
import { TASK_KINDS, type TaskKind } from './task-kinds'

/** One thing hands were to do, min from midnight. */
export interface PlannedAct {
  readonly kind: TaskKind
  readonly batchId: string
  readonly bladeIds: readonly string[]
  /** Round of a temper; 0 for all else. */
  readonly round: number
  readonly startMin: number
}

/** The same, and when it was done, min; null: not yet, or not as planned. */
export interface WentAct extends PlannedAct {
  readonly doneMin: number | null
}

interface Done {
  readonly kind: TaskKind
  readonly bladeId: string
  readonly round: number
  readonly atMs: number
}

const isTask = (kind: string): kind is TaskKind => (TASK_KINDS as readonly string[]).includes(kind)
const MINUTE_MS = 60_000

/** Returns the confirmed steps of each blade, in the order of the runs given, oldest first. */
function doneOf(runs: readonly Run[]): Done[] {
  const rounds = new Map<string, number>()
  return runs
    .filter(run => run.mode === 'shop')
    .flatMap(run =>
      runStateAt(run, 0).confirmed.flatMap(({ step: { kind, bladeIds }, atS }) =>
        isTask(kind)
          ? bladeIds.map((bladeId): Done => {
              if (kind === 'load') rounds.set(bladeId, 0)
              if (kind === 'temper-in') rounds.set(bladeId, (rounds.get(bladeId) ?? 0) + 1)
              const isTemper = kind === 'temper-in' || kind === 'temper-out'
              const round = isTemper ? (rounds.get(bladeId) ?? 0) : 0
              return { kind, bladeId, round, atMs: realMsAt(run.clock, atS) }
            })
          : [],
      ),
    )
}

/**
 * A day's plan against what was confirmed on it: an act was done when the first of its blades was. `fromMs`: the midnight from which
 * the plan counts; what was done before it is not of this day.
 */
export function howItWent(planned: readonly PlannedAct[], runs: readonly Run[], fromMs: number): WentAct[] {
  const done = doneOf(runs).filter(one => one.atMs >= fromMs)
  return planned.map(act => {
    const own = done.filter(
      one => one.kind === act.kind && one.round === act.round && act.bladeIds.includes(one.bladeId),
    )
    return { ...act, doneMin: own.length === 0 ? null : (Math.min(...own.map(one => one.atMs)) - fromMs) / MINUTE_MS }
  })
}

export interface InspectTime {
  readonly minutes: number
  readonly runs: number
}

/** Fewer runs teach nothing. */
const LEAST_RUNS = 3
/** The newest runs count: hands get quicker. */
const MOST_RUNS = 10
/** Who is longer away did something else, min. */
const LONGEST_MIN = 120

/**
 * How long it really takes from the end of a load's last quench until its blades go into the cold: the median of the newest runs,
 * oldest first; null where too few were guided that far.
 */
export function inspectTimeOf(runs: readonly Run[]): InspectTime | null {
  const times = runs
    .filter(run => run.mode === 'shop')
    .flatMap(run => {
      const { confirmed } = runStateAt(run, 0)
      const into = confirmed.find(({ step }) => step.kind === 'cold-in')
      const pull = confirmed.findLast(({ step, atS }) => step.kind === 'pull' && into && atS < into.atS)
      if (!into || !pull) return []
      const minutes = (realMsAt(run.clock, into.atS) - realMsAt(run.clock, pull.atS)) / MINUTE_MS - PACE.clampedS / 60
      return minutes > 0 && minutes <= LONGEST_MIN ? [minutes] : []
    })
    .slice(-MOST_RUNS)
  return times.length < LEAST_RUNS ? null : { minutes: Math.round(median(times)), runs: times.length }
}

export interface PullTime {
  /** So much later than it could have come a pull came, s. */
  readonly moreS: number
  readonly pulls: number
}

/** Fewer pulls that waited for hands teach nothing. */
const LEAST_PULLS = 6

/**
 * How much longer hands really take from one pull to the next than was reckoned with: the median of the newest runs that began after
 * `since`, when the present figure was taken. Only pulls whose soak was over before hands were ready tell; null where too few do.
 */
export function pullTimeOf(runs: readonly Run[], since: string | null): PullTime | null {
  const late = runs
    .filter(run => run.mode === 'shop' && (since === null || run.startedAt > since))
    .slice(-MOST_RUNS)
    .flatMap(latePulls)
  return late.length < LEAST_PULLS ? null : { moreS: Math.round(median(late)), pulls: late.length }
}

function latePulls(run: Run): number[] {
  const { confirmed } = runStateAt(run, 0)
  const pulls = confirmed.filter(({ step }) => step.kind === 'pull')
  return pulls.slice(1).flatMap((pull, i) => {
    const overS = overSoakS(run, pull)
    const { wait } = pull.step
    if (overS === null || wait?.kind !== 'soak') return []
    const lateS = pull.atS - (pulls[i] as Confirmed).atS - (run.people === 2 ? wait.apartS : wait.apartAloneS)
    // What was soaked for less longer than that was waited for by its soak, or by another load.
    return overS >= lateS ? [lateS] : []
  })
}

/** How much longer than asked a pulled blade had soaked, s; null where it is not known. */
function overSoakS({ blades }: Run, { step, event }: Confirmed): number | null {
  const blade = blades?.find(one => one.bladeId === step.bladeIds[0])
  return blade && event.soakedS !== undefined ? event.soakedS - blade.soakMin * 60 : null
}
