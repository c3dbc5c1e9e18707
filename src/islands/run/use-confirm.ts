import { useCallback, useEffect, useRef, useState } from 'react'
import { runSecondsAt } from '../../core/run/clock'
import type { Run } from '../../core/shop/run'
import { confirmStep } from './run-log'
import type { RunOven } from './use-run-oven'

/** A press before the time asks for a second one within this, ms: a pedal is easily brushed. */
const SURE_MS = 4000
/** Presses closer together are one press of a bouncing pedal or a nervous hand, ms. */
const BOUNCE_MS = 400
const BOUNCE_S = 0.4

/** Confirms the present step; before its time only on the second press, and never twice for one press that bounced. */
export function useConfirm(run: Run, { state, known, shownBy }: RunOven) {
  const { step, ready } = state
  const [early, setEarly] = useState<string | null>(null)
  const lastMs = useRef(Number.NEGATIVE_INFINITY)
  const busy = useRef(false)
  useEffect(() => {
    if (!early) return
    const timer = setTimeout(() => setEarly(null), SURE_MS)
    return () => clearTimeout(timer)
  }, [early])
  const confirm = useCallback(
    (atMs: number) => {
      if (!step || busy.current || Math.abs(atMs - lastMs.current) < BOUNCE_MS) return
      // One press may reach two open tabs: the other one's is already in the log.
      const loggedAtS = run.events.findLast(event => event.kind === 'confirm')?.atS ?? Number.NEGATIVE_INFINITY
      if (Math.abs(runSecondsAt(run.clock, atMs) - loggedAtS) < BOUNCE_S) return
      lastMs.current = atMs
      if (!ready && early !== step.id) return setEarly(step.id)
      setEarly(null)
      busy.current = true
      // Who presses although the model says that the oven is not there has read the display: the model goes by that.
      const shownC = !ready && shownBy === 'model' && state.oven !== null ? wantedC(step) : null
      void Promise.resolve(confirmStep(run, state, known.arrivedS, { atMs, shownC })).finally(() => {
        busy.current = false
      })
    },
    [run, state, known, shownBy, step, ready, early],
  )
  return { confirm, early: step !== null && early === step.id }
}

/** Returns the display temperature at which a step's wait for the oven is over, °C. */
export const wantedC = ({ wait, ovenSetC }: Run['steps'][number]): number | null =>
  wait?.kind === 'oven-below' ? wait.atMostC : wait?.kind === 'oven' ? Math.max(wait.atLeastC, ovenSetC) : null
