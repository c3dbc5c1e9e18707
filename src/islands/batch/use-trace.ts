import { useEffect, useMemo, useState } from 'react'
import type { BatchModel, GroupModel } from '../../core/job/batch-model'
import { logTrace } from '../../core/job/log-trace'
import { ovenEventsOf } from '../../core/job/oven-events'
import { logOf } from '../../core/job/oven-log'
import { runSecondsAt } from '../../core/job/run-state'
import { measuredTrace, type TracePoint } from '../../core/job/run-trace'
import type { OvenLog } from '../../core/shop/oven-log'
import type { Run } from '../../core/shop/run'
import { createSimulatedOven } from '../../simulators/simulated-oven'
import { useBatchLogs, useRunsOf } from '../../store/hooks'

/** How often a run in progress is drawn anew on the Heat Line, ms. */
const REDRAW_MS = 4000

const NO_RUNS: readonly Run[] = []

/** The heat and every temper of a group that were logged, in the plan's order. */
const tracesOf = (logs: readonly OvenLog[], { group, stretches }: GroupModel): TracePoint[] =>
  [0, ...group.route.tempers.map((_, i) => i + 1)].flatMap(temper => {
    const log = logOf(logs, group.id, temper)
    return log ? logTrace(log, stretches) : []
  })

/** What the oven showed, laid over a group's plan: a measured log where there is one, else the practice run's own oven. */
export function useTrace(
  { batch, shop, blades, chamber }: BatchModel,
  shown: GroupModel | undefined,
): { trace: readonly TracePoint[]; now: TracePoint | null; run: Run | null; runs: readonly Run[] } {
  const runs = useRunsOf(batch.id) ?? NO_RUNS
  const run = runs.at(-1) ?? null
  const logs = useBatchLogs(batch.id)
  const [nowMs, setNowMs] = useState(() => Date.now())
  const going = run !== null && run.endedAt === null
  useEffect(() => {
    if (!going) return
    const timer = setInterval(() => setNowMs(Date.now()), REDRAW_MS)
    return () => clearInterval(timer)
  }, [going])
  const traced = useMemo(() => {
    if (!shown) return { trace: [], now: null }
    const logged = tracesOf(logs ?? [], shown)
    if (!run || !chamber) return { trace: logged, now: null }
    const ids = new Set(blades.filter(b => b.group.id === shown.group.id).map(b => b.id))
    const lastS = run.events.at(-1)?.atS ?? 0
    const nowS = run.endedAt === null ? runSecondsAt(run.clock, nowMs) : lastS
    const simulated = createSimulatedOven(chamber)
    simulated.tell(ovenEventsOf(run, batch, shop))
    const { trace, now } = measuredTrace(run, shown.stretches, ids, nowS, atS => simulated.read(atS))
    return {
      trace: logged.length > 0 || run.mode !== 'practice' ? logged : trace,
      now: run.endedAt === null ? now : null,
    }
  }, [run, logs, shown, batch, shop, blades, chamber, nowMs])
  return { ...traced, run, runs }
}
