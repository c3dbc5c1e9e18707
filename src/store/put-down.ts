import type { Batch } from '../core/shop/batch'
import type { Workshop } from '../core/shop/workshop'
import { PREFIX } from './resting'

/** A change by what stood there before it and after it. */
export type Intent =
  | { readonly of: 'batch'; readonly before: Batch; readonly after: Batch }
  | { readonly of: 'shop'; readonly before: Workshop; readonly after: Workshop }

let count = 0
/** This page, until it goes: what it put down it is writing itself. */
export const PAGE = crypto.randomUUID()
/** The tab this page is in, over its reloads; of its own tab no other page is writing. */
export function tab(): string {
  const known = sessionStorage.getItem(TAB)
  if (known) return known
  const fresh = crypto.randomUUID()
  sessionStorage.setItem(TAB, fresh)
  return fresh
}
const TAB = 'tawny-ember-tab'

/** A change that was put down, until its write has ended. */
export interface PutDown {
  /** Key of the journalled intent, which its write notes as done; null if nothing could be journalled. */
  readonly intent: string | null
  /** To be called when the write has ended, one way or the other. */
  readonly end: (saved: boolean) => void
}

export const NOT_PUT_DOWN: PutDown = { intent: null, end: () => undefined }

/** Puts a change down before it is written. */
export function putDown(intent: Intent): PutDown {
  let key: string
  try {
    key = `${PREFIX}${Date.now()}-${count++}.${PAGE}.${tab()}`
    localStorage.setItem(key, JSON.stringify(intent))
  } catch {
    // Where nothing can be put down the write itself is all there is.
    return NOT_PUT_DOWN
  }
  return { intent: key, end: () => localStorage.removeItem(key) }
}

/** A record with a change in it; null where the change itself fails, which the write of it says. */
export function changedBy<T>(change: (record: T) => T, record: T): T | null {
  try {
    return change(record)
  } catch {
    return null
  }
}
