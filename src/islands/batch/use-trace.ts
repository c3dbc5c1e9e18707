import { useEffect, useMemo, useState } from 'react'
import { logTrace } from '../../core/plan/log-trace'
import { measuredTrace, type TracePoint } from '../../core/plan/measured'
import { ovenEventsOf } from '../../core/plan/oven-events'
import { runSecondsAt } from '../../core/plan/run-state'
import { piecesOf } from '../../core/plan/tray'
import { logOf } from '../../core/record/oven-log'
import { chamberOf, ovenOf } from '../../core/record/oven-record'
import type { Batch, OvenLog, Run, Workshop } from '../../core/record/schemas'
import { createSimulatedOven } from '../../simulators/simulated-oven'
import { useBatchLogs, useRunsOf } from '../../store/hooks'
import type { GroupPlan } from './use-plan'

/** How often a run in progress is drawn anew on the Heat Line, ms. */
const REDRAW_MS = 4000

/** The heat and every temper of a group that were logged, in the plan's order. */
const tracesOf = (logs: readonly OvenLog[], { group, stretches }: GroupPlan): TracePoint[] =>
  [0, ...group.route.tempers.map((_, i) => i + 1)].flatMap(temper => {
    const log = logOf(logs, group.id, temper)
    return log ? logTrace(log, stretches) : []
  })

/** What the oven showed, laid over a group's plan: a measured log where there is one, else the practice run's own oven. */
export function useTrace(
  batch: Batch,
  shop: Workshop,
  plan: GroupPlan | undefined,
): { trace: readonly TracePoint[]; now: TracePoint | null; run: Run | null } {
  const run = useRunsOf(batch.id)?.at(-1) ?? null
  const logs = useBatchLogs(batch.id)
  const [nowMs, setNowMs] = useState(() => Date.now())
  const going = run !== null && run.endedAt === null
  useEffect(() => {
    if (!going) return
    const timer = setInterval(() => setNowMs(Date.now()), REDRAW_MS)
    return () => clearInterval(timer)
  }, [going])
  const traced = useMemo(() => {
    if (!plan) return { trace: [], now: null }
    const logged = tracesOf(logs ?? [], plan)
    if (!run) return { trace: logged, now: null }
    const marks = new Set(
      piecesOf(batch)
        .filter(p => p.group.id === plan.group.id)
        .map(p => p.mark),
    )
    const lastS = run.events[run.events.length - 1]?.atS ?? 0
    const nowS = run.endedAt === null ? runSecondsAt(run.clock, nowMs) : lastS
    const oven = createSimulatedOven(chamberOf(ovenOf(shop, batch)))
    oven.tell(ovenEventsOf(run, batch, shop))
    const { trace, now } = measuredTrace(run, plan.stretches, marks, nowS, atS => oven.read(atS))
    return {
      trace: logged.length > 0 || run.mode !== 'practice' ? logged : trace,
      now: run.endedAt === null ? now : null,
    }
  }, [run, logs, plan, batch, shop, nowMs])
  return { ...traced, run }
}
