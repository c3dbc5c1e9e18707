import { useEffect, useRef } from 'react'
import { type Cue, cueBetween, type Role, rolesOf } from '../../core/run/cues'
import type { RunStep } from '../../core/shop/run'
import { cueWords } from '../../words/cues'
import type { StepWords } from '../../words/run'
import { type Alarm, sound } from './alarm'
import type { RunPrefs } from './run-prefs'
import { speak } from './voice'

/** An alarm nobody answers sounds again after this, ms. */
const AGAIN_MS = 8000

interface Heard {
  readonly step: RunStep | null
  readonly words: StepWords | null
  readonly nowS: number
  /** When the step is due, s; null while it is not known or it waits for nothing. */
  readonly dueS: number | null
  readonly ready: boolean
  /** Something is wrong that nobody has answered. */
  readonly wrong: boolean
  readonly people: 1 | 2
  readonly prefs: RunPrefs
}

/** Makes a run heard: cues ahead of an act, the act, and again until somebody answers; in the title and as a notification too. */
export function useHeard({ step, words, nowS, dueS, ready, wrong, people, prefs }: Heard) {
  const before = useRef<{ readonly stepId: string; readonly nowS: number } | null>(null)
  const alarm = alarmOf(step, nowS, dueS, ready, wrong)
  const action = words?.action ?? ''
  useEffect(() => {
    document.title = wrong ? 'Look at the run' : ready ? `NOW: ${action}` : `Waiting: ${action}`
  }, [ready, wrong, action])
  useEffect(() => {
    const last = before.current
    before.current = step && { stepId: step.id, nowS }
    if (!step || !words || !prefs.voice || !last || last.stepId !== step.id || dueS === null) return
    const cue = cueBetween(dueS, last.nowS, nowS)
    if (cue) say(cue, words, step, people, prefs)
  }, [step, words, nowS, dueS, people, prefs])
  useEffect(() => {
    if (!alarm) return
    if (prefs.notify && document.hidden) notify(action)
    if (!prefs.sound) return
    sound(alarm)
    const timer = setInterval(() => sound(alarm), AGAIN_MS)
    return () => clearInterval(timer)
  }, [alarm, action, prefs.sound, prefs.notify])
}

function say(cue: Cue, words: StepWords, step: RunStep, people: 1 | 2, { voiceName }: RunPrefs) {
  const roles: readonly (Role | null)[] =
    people === 2 && cue.kind !== 'act' ? [null] : people === 2 ? rolesOf(step) : [null]
  speak(roles.map(role => cueWords(cue, words, role)).join(' '), voiceName)
}

/** Returns the alarm to sound now: none for a step that waits only for the person. */
function alarmOf(
  step: RunStep | null,
  nowS: number,
  dueS: number | null,
  ready: boolean,
  wrong: boolean,
): Alarm | null {
  if (wrong) return 'wrong'
  if (!step?.wait || !ready) return null
  return dueS !== null && nowS - dueS > 60 ? 'late' : 'act'
}

function notify(text: string) {
  if (globalThis.Notification?.permission !== 'granted') return
  new Notification('Now', { body: text, tag: 'run' })
}
