import { useCallback, useEffect, useState } from 'react'
import { type Problem, problem } from '../core/codes/problem'
import { db } from '../store/database'
import { noteOwn, wasOwn } from '../store/keeping'
import { refusalOf } from '../store/save-state'
import { isSeeded, seedOnce } from '../store/seed'
import { finishUnfinished } from '../store/unfinished'

/** Any number gives a workshop of its own; this one is shown. */
export const DEMO_SEED = 20260

export const demoWorkshop = async () =>
  (await import('../simulators/demo/make-demo')).makeDemoWorkshop(DEMO_SEED, new Date())

/** Lays down what a first visit finds: the demo workshop, or settings and nothing in them. Later visits change nothing. */
async function begin(first: 'demo' | 'empty'): Promise<void> {
  await seedOnce(first === 'demo' ? demoWorkshop : null)
  if (!db.isNewer) await finishUnfinished()
}

type Beginning = 'reading' | 'emptied' | 'ready'

/** Nothing is put in the place of a log that was lost before its maker has seen that it was. */
async function beginOnce(): Promise<Beginning> {
  if (!(await isSeeded()) && wasOwn()) return 'emptied'
  await begin(document.documentElement.dataset.demo === 'on' ? 'demo' : 'empty')
  return 'ready'
}

/** How a page begins: its data laid down or found, or found gone where somebody's own workshop was. */
export function useBeginning() {
  const [state, setState] = useState<Beginning>('reading')
  const [refused, setRefused] = useState<Problem | null>(null)
  const settle = useCallback(async (beginning: Promise<Beginning>) => {
    const next = await beginning.catch(error => {
      setRefused(refusalOf(error))
      return 'ready' as const
    })
    if (db.isNewer) setRefused(problem('storage-newer', {}))
    setState(next)
  }, [])
  useEffect(() => void settle(beginOnce()), [settle])
  return {
    state,
    refused,
    /** Goes on after it was emptied: with what was read back, or with a first visit's data. */
    goOn: (first: 'demo' | 'empty') => {
      // A demo is not missed.
      if (first === 'demo') noteOwn(false)
      void settle(begin(first).then(() => 'ready'))
    },
  }
}
