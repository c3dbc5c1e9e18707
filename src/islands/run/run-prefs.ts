import * as z from 'zod/mini'
import { createSubscribable } from '../../core/subscribable'

/** How a run is heard on this machine; another machine has its own. */
const prefsSchema = z.object({
  sound: z.boolean(),
  /** Cues are spoken. */
  voice: z.boolean(),
  /** The voice they are spoken with, by its name; null: the first that lives on the machine. */
  voiceName: z.nullable(z.string().check(z.maxLength(200))),
  notify: z.boolean(),
  /** A key of a pedal or a remote that confirms, beside the usual ones. */
  boundKey: z.nullable(z.string().check(z.maxLength(40))),
})
export type RunPrefs = z.infer<typeof prefsSchema>

const KEY = 'tawny-ember-run-sound'
const USUAL: RunPrefs = { sound: true, voice: false, voiceName: null, notify: false, boundKey: null }

function stored(): RunPrefs {
  try {
    const parsed = prefsSchema.safeParse(JSON.parse(localStorage.getItem(KEY) ?? 'null'))
    return parsed.success ? parsed.data : USUAL
  } catch {
    return USUAL
  }
}

export const runPrefs = createSubscribable<RunPrefs>(USUAL)

/** Reads what was chosen on this machine. */
export const loadRunPrefs = () => runPrefs.set(stored())

export function setRunPrefs(part: Partial<RunPrefs>) {
  runPrefs.set({ ...runPrefs.get(), ...part })
  try {
    localStorage.setItem(KEY, JSON.stringify(runPrefs.get()))
  } catch {
    // Storage may be blocked: the choice then lasts for this page.
  }
}
