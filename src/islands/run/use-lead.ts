import { useEffect } from 'react'
import { isShared } from '../../store/shared-mark'
import { useSharing } from '../sharing/use-sharing'
import type { RunPrefs } from './run-prefs'

const say = (run: string | null) => void import('../../sharing/link').then(link => link.leadRun(run))

/** Which of several screens leads a run: alarms and voice are its. */
export interface Lead {
  /** Ways to be heard on this screen: none while another leads. */
  readonly heard: RunPrefs
  /** Name of the other screen that leads; null: none does. */
  readonly other: string | null
  readonly take: () => void
}

/** Leads a run from here where no other screen does, as also when the one that led is gone. */
export function useLead(runId: string, prefs: RunPrefs): Lead {
  const { phase, screens, you } = useSharing()
  const leader = screens.find(one => one.leads === runId)
  const isFree = isShared() && phase === 'in-step' && !leader
  useEffect(() => {
    if (isFree) say(runId)
  }, [isFree, runId])
  useEffect(() => () => void (isShared() && say(null)), [])
  const other = phase === 'in-step' && leader && leader.id !== you ? leader.name : null
  const heard = other === null ? prefs : { ...prefs, sound: false, voice: false, notify: false }
  return { heard, other, take: () => say(runId) }
}
