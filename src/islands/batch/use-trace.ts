import { useEffect, useMemo, useState } from 'react'
import type { BatchModel, GroupModel } from '../../core/bench/batch-model'
import type { BatchTrace, batchTrace } from '../../core/bench/batch-trace'
import type { Run } from '../../core/shop/run'
import { useBatchLogs } from '../../store/hooks'
import { useRunsOf } from '../../store/run-hooks'

/** How often a run in progress is drawn anew on the Heat Line, ms. */
const REDRAW_MS = 4000

const NO_RUNS: readonly Run[] = []
const NO_TRACE: BatchTrace = { trace: [], now: null }

/** Returns the oven readings over a group's plan, and the runs of the batch, the newest by itself. */
export function useTrace(
  { batch, blades }: BatchModel,
  shown: GroupModel | undefined,
): BatchTrace & { run: Run | null; runs: readonly Run[] } {
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
  const traceOf = useTracing(run !== null || (logs !== undefined && logs.length > 0))
  const traced = useMemo(
    () => (shown && traceOf ? traceOf(shown, { run, logs: logs ?? [], blades, nowMs }) : NO_TRACE),
    [traceOf, run, logs, shown, blades, nowMs],
  )
  return { ...traced, run, runs }
}

/** Fetches the code that lays a run or a log over the plan, for batches that have one. */
function useTracing(isNeeded: boolean): typeof batchTrace | undefined {
  const [tracing, setTracing] = useState<typeof batchTrace>()
  useEffect(() => {
    if (!isNeeded) return
    import('../../core/bench/batch-trace').then(
      part => setTracing(() => part.batchTrace),
      // Thrown as it is drawn, where the view that failed says so.
      error =>
        setTracing(() => {
          throw error
        }),
    )
  }, [isNeeded])
  return tracing
}
