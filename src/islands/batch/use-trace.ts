import { useEffect, useMemo, useState } from 'react'
import { measuredTrace, type TracePoint } from '../../core/plan/measured'
import { ovenEventsOf } from '../../core/plan/oven-events'
import { runSecondsAt } from '../../core/plan/run-state'
import { piecesOf } from '../../core/plan/tray'
import type { Batch, Run, Workshop } from '../../core/record/schemas'
import { createSimulatedOven } from '../../simulators/simulated-oven'
import { useRunsOf } from '../../store/hooks'
import { type GroupPlan, ovenOf } from './use-plan'

/** How often a run in progress is drawn anew on the Heat Line, ms. */
const REDRAW_MS = 4000

/** What the newest run's oven showed, laid over a group's plan. Shop runs have no logger yet, so no line. */
export function useTrace(
  batch: Batch,
  shop: Workshop,
  plan: GroupPlan | undefined,
): { trace: readonly TracePoint[]; now: TracePoint | null; run: Run | null } {
  const run = useRunsOf(batch.id)?.at(-1) ?? null
  const [nowMs, setNowMs] = useState(() => Date.now())
  const going = run !== null && run.endedAt === null
  useEffect(() => {
    if (!going) return
    const timer = setInterval(() => setNowMs(Date.now()), REDRAW_MS)
    return () => clearInterval(timer)
  }, [going])
  const traced = useMemo(() => {
    if (!run || !plan) return { trace: [], now: null }
    const marks = new Set(
      piecesOf(batch)
        .filter(p => p.group.id === plan.group.id)
        .map(p => p.mark),
    )
    const lastS = run.events[run.events.length - 1]?.atS ?? 0
    const nowS = run.endedAt === null ? runSecondsAt(run.clock, nowMs) : lastS
    const oven = createSimulatedOven(ovenOf(shop))
    oven.tell(ovenEventsOf(run, batch, shop))
    const { trace, now } = measuredTrace(run, plan.stretches, marks, nowS, atS => oven.read(atS))
    return { trace: run.mode === 'practice' ? trace : [], now: run.endedAt === null ? now : null }
  }, [run, plan, batch, shop, nowMs])
  return { ...traced, run }
}
