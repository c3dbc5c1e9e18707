import { useEffect, useMemo, useState } from 'react'
import { coolDownMin, heatUpMin } from '../../core/oven/chamber'
import type { OvenDisplay } from '../../core/oven/controller'
import { ovenEventsOf } from '../../core/plan/oven-events'
import { type RunState, runSecondsAt, runStateAt } from '../../core/plan/run-state'
import { countOf, steelKgOf } from '../../core/plan/tray'
import { chamberOf, ovenOf } from '../../core/record/oven-record'
import type { Batch, Run, Workshop } from '../../core/record/schemas'
import { createSimulatedOven } from '../../simulators/simulated-oven'

const REDRAW_MS = 250

export interface RunClock {
  readonly nowS: number
  readonly state: RunState
  readonly display: OvenDisplay | null
  /** Seconds the oven model still needs to the temperature waited for; null when none is, or none is known. */
  readonly ovenWaitS: number | null
}

/** The run as it stands now: state from stored instants, and the simulated oven's display in practice. */
export function useRunClock(run: Run, batch: Batch, shop: Workshop): RunClock {
  const [nowMs, setNowMs] = useState(() => Date.now())
  useEffect(() => {
    const timer = setInterval(() => setNowMs(Date.now()), REDRAW_MS)
    return () => clearInterval(timer)
  }, [])
  const oven = useMemo(() => createSimulatedOven(chamberOf(ovenOf(shop, batch))), [shop, batch])
  const events = useMemo(() => ovenEventsOf(run, batch, shop), [run, batch, shop])
  const nowS = runSecondsAt(run.clock, nowMs)
  let display: OvenDisplay | null = null
  if (run.mode === 'practice') {
    oven.tell(events)
    display = oven.read(nowS)
  }
  const state = runStateAt(run, nowS, display?.indicatedC ?? null)
  return { nowS, state, display, ovenWaitS: display && ovenWaitS(state, display.indicatedC, batch, shop) }
}

function ovenWaitS({ step, inOven, ready }: RunState, fromC: number, batch: Batch, shop: Workshop): number | null {
  if (!step?.wait || step.wait.kind === 'seconds' || ready) return null
  if (step.wait.kind === 'oven-below') return coolDownMin(chamberOf(ovenOf(shop, batch)), fromC, step.wait.atMostC) * 60
  const count = Math.max(1, countOf(batch.blades))
  return (
    heatUpMin(chamberOf(ovenOf(shop, batch)), fromC, step.wait.atLeastC, (steelKgOf(batch.blades) * inOven) / count) *
    60
  )
}
