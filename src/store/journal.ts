import * as z from 'zod/mini'
import { type Batch, batchSchema } from '../core/shop/batch'
import { type Workshop, workshopSchema } from '../core/shop/workshop'
import { LEFT_ALONE_MS, PREFIX } from './resting'

const intentSchema = z.discriminatedUnion('of', [
  z.object({ of: z.literal('batch'), before: batchSchema, after: batchSchema }),
  z.object({ of: z.literal('shop'), before: workshopSchema, after: workshopSchema }),
])

/** A change by what stood there before it and after it. */
export type Intent =
  | { readonly of: 'batch'; readonly before: Batch; readonly after: Batch }
  | { readonly of: 'shop'; readonly before: Workshop; readonly after: Workshop }

let count = 0
/** This page, until it goes: what it put down it is writing itself. */
const PAGE = crypto.randomUUID()
/** The tab this page is in, over its reloads; of its own tab no other page is writing. */
function tab(): string {
  const known = sessionStorage.getItem(TAB)
  if (known) return known
  const fresh = crypto.randomUUID()
  sessionStorage.setItem(TAB, fresh)
  return fresh
}
const TAB = 'tawny-ember-tab'

/** Puts a change down before it is written; call what comes back when the write has ended, one way or the other. */
export function putDown(intent: Intent): () => void {
  let key: string
  try {
    key = `${PREFIX}${Date.now()}-${count++}.${PAGE}.${tab()}`
    localStorage.setItem(key, JSON.stringify(intent))
  } catch {
    // Where nothing can be put down the write itself is all there is.
    return () => undefined
  }
  return () => localStorage.removeItem(key)
}

/**
 * Takes up what was put down and never written, oldest first: all of this tab's, and of another's what it is not writing any more.
 * Each rests where it is until its `end` is called, so that a page that goes while it finishes one leaves it to the next; finished
 * twice it is as once. What cannot be read is let go.
 */
export function takeUp(nowMs = Date.now()): { readonly intent: Intent; readonly end: () => void }[] {
  try {
    const keys = Object.keys(localStorage)
      .filter(key => key.startsWith(PREFIX) && !key.includes(PAGE))
      .filter(key => key.endsWith(tab()) || !(nowMs - Number.parseInt(key.slice(PREFIX.length), 10) < LEFT_ALONE_MS))
      .sort()
    return keys.flatMap(key => {
      const end = () => localStorage.removeItem(key)
      const read = intentSchema.safeParse(parsed(localStorage.getItem(key)))
      if (read.success) return [{ intent: read.data as Intent, end }]
      end()
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
