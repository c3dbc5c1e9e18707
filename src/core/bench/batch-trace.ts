import type { BatchBlade } from '../batch/tray'
import { runSecondsAt } from '../run/clock'
import type { OvenLog } from '../shop/oven-log'
import type { Run } from '../shop/run'
import { momentIn } from '../trace/cursor-time'
import { logTrace } from '../trace/log-trace'
import { logOf } from '../trace/oven-log'
import { measuredTrace, readingsOf, type TracePoint } from '../trace/run-trace'
import type { GroupModel } from './batch-model'

export interface BatchTrace {
  readonly trace: readonly TracePoint[]
  /** Where a run that goes on stands in the plan; null without one. */
  readonly now: TracePoint | null
}

interface Read {
  readonly run: Run | null
  readonly logs: readonly OvenLog[]
  readonly blades: readonly BatchBlade[]
  readonly nowMs: number
}

/** Returns the oven temperature over a group's plan: from a measured log if there is one, else from the display readings of a run. */
export function batchTrace(shown: GroupModel, { run, logs, blades, nowMs }: Read): BatchTrace {
  const logged = tracesOf(logs, shown)
  if (!run) return { trace: logged, now: null }
  const ids = new Set(blades.filter(b => b.group.id === shown.group.id).map(b => b.id))
  const nowS = run.endedAt === null ? runSecondsAt(run.clock, nowMs) : null
  const { trace, now } = measuredTrace(run, shown.stretches, ids, readingsOf(run), nowS)
  return {
    trace: logged.length > 0 ? logged : trace,
    // Where it stands is known; how hot it is there is the plan's.
    now: now && { ...now, c: momentIn(shown.stretches, now.index, now.planMin)?.c ?? 0 },
  }
}

/** The heat and every temper of a group that were logged, in the plan's order. */
const tracesOf = (logs: readonly OvenLog[], { group, stretches }: GroupModel): TracePoint[] =>
  [0, ...group.route.tempers.map((_, i) => i + 1)].flatMap(temper => {
    const log = logOf(logs, group.id, temper)
    return log ? logTrace(log, stretches) : []
  })
