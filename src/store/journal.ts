import * as z from 'zod/mini'
import { batchSchema } from '../core/shop/batch'
import { type Run, runSchema } from '../core/shop/run'
import { workshopSchema } from '../core/shop/workshop'
import { type Intent, PAGE, tab } from './put-down'
import { LEFT_ALONE_MS, PREFIX } from './resting'
import { RUN_PREFIX, unsavedRuns } from './unsaved-runs'

const intentSchema = z.discriminatedUnion('of', [
  z.object({ of: z.literal('batch'), before: batchSchema, after: batchSchema }),
  z.object({ of: z.literal('shop'), before: workshopSchema, after: workshopSchema }),
])

/**
 * Takes up what was put down and never written, oldest first: all of this tab's, and of another's what it is not writing any more.
 * Each rests where it is until its `end` is called, so that a page that goes while it finishes one leaves it to the next. What cannot be read is let go.
 */
export function takeUp(nowMs = Date.now()): {
  readonly key: string
  readonly intent: Intent
  readonly end: () => void
}[] {
  try {
    const keys = Object.keys(localStorage)
      .filter(key => key.startsWith(PREFIX) && !key.includes(PAGE))
      .filter(key => key.endsWith(tab()) || !(nowMs - Number.parseInt(key.slice(PREFIX.length), 10) < LEFT_ALONE_MS))
      .sort()
    return keys.flatMap(key => {
      const end = () => localStorage.removeItem(key)
      const read = intentSchema.safeParse(parsed(localStorage.getItem(key)))
      if (read.success) return [{ key, intent: read.data as Intent, end }]
      end()
      return []
    })
  } catch {
    return []
  }
}

/** Returns the runs that earlier pages could not store. One that cannot be read is let go; of a run this page holds itself nothing is new. */
export function restingRuns(): Run[] {
  try {
    return Object.keys(localStorage)
      .filter(key => key.startsWith(RUN_PREFIX) && !unsavedRuns.get().has(key.slice(RUN_PREFIX.length)))
      .flatMap(key => {
        const read = runSchema.safeParse(parsed(localStorage.getItem(key)))
        if (read.success) return [read.data as Run]
        localStorage.removeItem(key)
        return []
      })
  } catch {
    return []
  }
}

function parsed(text: string | null): unknown {
  try {
    return JSON.parse(text ?? 'null')
  } catch {
    return null
  }
}
