import { useEffect, useMemo, useState } from 'react'
import { steelKgOf } from '../../core/job/loads'
import { ovenEventsOf } from '../../core/job/oven-events'
import { ovenOf } from '../../core/job/ovens'
import { type RunState, runSecondsAt, runStateAt } from '../../core/job/run-state'
import { bladesOf } from '../../core/job/tray'
import { type ChamberModel, coolDownMin, heatUpMin } from '../../core/oven/chamber'
import type { OvenDisplay } from '../../core/oven/controller'
import type { Batch } from '../../core/shop/batch'
import type { Run } from '../../core/shop/run'
import { createSimulatedOven } from '../../simulators/simulated-oven'
import { useShopNow } from '../shop-context'
import { useChamber } from '../use-chamber'

const REDRAW_MS = 250

export interface RunClock {
  readonly nowS: number
  readonly state: RunState
  readonly display: OvenDisplay | null
  /** Seconds the oven model still needs to the temperature waited for; null when none is, or none is known. */
  readonly ovenWaitS: number | null
}

/** The run as it stands now: state from stored instants, and the simulated oven's display in practice. */
export function useRunClock(run: Run, batch: Batch): RunClock {
  const shop = useShopNow()
  const [nowMs, setNowMs] = useState(() => Date.now())
  useEffect(() => {
    const timer = setInterval(() => setNowMs(Date.now()), REDRAW_MS)
    return () => clearInterval(timer)
  }, [])
  const found = ovenOf(shop, batch)
  const chamber = useChamber(found.ok ? found.value : null)
  const oven = useMemo(() => chamber && createSimulatedOven(chamber), [chamber])
  const events = useMemo(() => ovenEventsOf(run, batch, shop), [run, batch, shop])
  const nowS = runSecondsAt(run.clock, nowMs)
  let display: OvenDisplay | null = null
  if (run.mode === 'practice' && oven) {
    oven.tell(events)
    display = oven.read(nowS)
  }
  const state = runStateAt(run, nowS, display?.indicatedC ?? null)
  return { nowS, state, display, ovenWaitS: display && chamber && ovenWaitS(state, display.indicatedC, batch, chamber) }
}

function ovenWaitS(
  { step, inOven, ready }: RunState,
  fromC: number,
  batch: Batch,
  chamber: ChamberModel,
): number | null {
  if (!step?.wait || step.wait.kind === 'seconds' || ready) return null
  if (step.wait.kind === 'oven-below') return coolDownMin(chamber, fromC, step.wait.atMostC) * 60
  const blades = bladesOf(batch)
  const inOvenKg = (steelKgOf(blades) * inOven) / Math.max(1, blades.length)
  return heatUpMin(chamber, fromC, step.wait.atLeastC, inOvenKg) * 60
}
