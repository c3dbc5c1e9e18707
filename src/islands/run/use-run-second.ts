import { useEffect, useState } from 'react'
import { runSecondsAt } from '../../core/run/clock'
import type { Run } from '../../core/shop/run'
import { startTicker } from '../../workers/ticker'

const TICK_MS = 500

/** Returns the second of a run’s clock now. Questions about the clock are asked where the run is led. */
export function useRunSecond({ clock }: Run): number {
  const [nowMs, setNowMs] = useState(Date.now)
  useEffect(() => startTicker(TICK_MS, () => setNowMs(Date.now())), [])
  return Math.max(0, runSecondsAt(clock, nowMs))
}
