import { useEffect } from 'react'
import type { Run } from '../core/shop/run'
import { DAY_MS } from '../core/units/time'
import { usePickedFolder } from '../store/back-up-folder'
import { useLastRun } from '../store/run-hooks'
import { backUp } from './back-up'

/** A day without a back-up is enough. */
const EVERY_MS = DAY_MS
/** How often a page that is left open looks whether one is due, ms. */
const LOOK_MS = 1_800_000

/** Whether a back-up is due: a day after the last, or when a run ended since; never in a run, which wants the machine for itself. */
export function isDue(lastAt: string | null, run: Pick<Run, 'startedAt' | 'endedAt'> | null, now: number): boolean {
  // One that nobody ended is not waited for any longer than a day.
  if (run?.endedAt === null && now - Date.parse(run.startedAt) < EVERY_MS) return false
  if (lastAt === null || now - Date.parse(lastAt) > EVERY_MS) return true
  return typeof run?.endedAt === 'string' && run.endedAt > lastAt
}

/** Backs up by itself into the picked folder: each day, and after each run. Shows nothing; it comes after the page stands. */
export function BackUps({ isOwn }: { readonly isOwn: boolean }): null {
  const picked = usePickedFolder()
  const run = useLastRun()
  const lastAt = picked?.last?.at ?? null
  const isPicked = Boolean(picked)
  useEffect(() => {
    if (!isOwn || !isPicked || run === undefined) return
    const look = () => {
      if (isDue(lastAt, run, Date.now())) void backUp({ ask: false })
    }
    look()
    const timer = setInterval(look, LOOK_MS)
    return () => clearInterval(timer)
  }, [isOwn, isPicked, lastAt, run])
  return null
}
