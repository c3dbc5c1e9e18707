import { useEffect, useMemo, useState } from 'react'
import type { OvenDisplay } from '../../core/oven/controller'
import { ovenEventsOf } from '../../core/plan/oven-events'
import { type RunState, runSecondsAt, runStateAt } from '../../core/plan/run-state'
import type { Batch, Run, Workshop } from '../../core/record/schemas'
import { createSimulatedOven } from '../../simulators/simulated-oven'
import { ovenOf } from '../batch/use-plan'

const REDRAW_MS = 250

/** The run as it stands now: state from stored instants, and the simulated oven's display in practice. */
export function useRunClock(
  run: Run,
  batch: Batch,
  shop: Workshop,
): { nowS: number; state: RunState; display: OvenDisplay | null } {
  const [nowMs, setNowMs] = useState(() => Date.now())
  useEffect(() => {
    const timer = setInterval(() => setNowMs(Date.now()), REDRAW_MS)
    return () => clearInterval(timer)
  }, [])
  const oven = useMemo(() => createSimulatedOven(ovenOf(shop)), [shop])
  const events = useMemo(() => ovenEventsOf(run, batch), [run, batch])
  const nowS = runSecondsAt(run.clock, nowMs)
  let display: OvenDisplay | null = null
  if (run.mode === 'practice') {
    oven.tell(events)
    display = oven.read(nowS)
  }
  return { nowS, state: runStateAt(run, nowS, display?.indicatedC ?? null), display }
}
