import { useEffect, useMemo, useState } from 'react'
import type { BatchModel, GroupModel } from '../../core/job/batch-model'
import { logTrace } from '../../core/job/log-trace'
import { momentIn } from '../../core/job/moment'
import { logOf } from '../../core/job/oven-log'
import { measuredTrace, readingsOf, type TracePoint } from '../../core/job/run-trace'
import { runSecondsAt } from '../../core/run/clock'
import type { OvenLog } from '../../core/shop/oven-log'
import type { Run } from '../../core/shop/run'
import { useBatchLogs } from '../../store/hooks'
import { useRunsOf } from '../../store/run-hooks'

/** How often a run in progress is drawn anew on the Heat Line, ms. */
const REDRAW_MS = 4000

const NO_RUNS: readonly Run[] = []

/** The heat and every temper of a group that were logged, in the plan's order. */
const tracesOf = (logs: readonly OvenLog[], { group, stretches }: GroupModel): TracePoint[] =>
  [0, ...group.route.tempers.map((_, i) => i + 1)].flatMap(temper => {
    const log = logOf(logs, group.id, temper)
    return log ? logTrace(log, stretches) : []
  })

/** What the oven was read at, laid over a group's plan: a measured log where there is one, else what a run's display showed. */
export function useTrace(
  { batch, blades }: BatchModel,
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
    if (!run) return { trace: logged, now: null }
    const ids = new Set(blades.filter(b => b.group.id === shown.group.id).map(b => b.id))
    const samples = readingsOf(run)
    const nowS = run.endedAt === null ? runSecondsAt(run.clock, nowMs) : null
    const { trace, now } = measuredTrace(run, shown.stretches, ids, samples, nowS)
    return {
      trace: logged.length > 0 ? logged : trace,
      // Where it stands is known; how hot it is there is the plan's.
      now: now && { ...now, c: momentIn(shown.stretches, now.index, now.planMin)?.c ?? 0 },
    }
  }, [run, logs, shown, blades, nowMs])
  return { ...traced, run, runs }
}
