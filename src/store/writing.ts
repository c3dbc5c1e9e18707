import { problem } from '../core/codes/problem'
import type { Saving } from '../core/codes/result'
import { continuing, isContinuing } from '../core/continuing'
import { importWriters } from './fetch-writers'
import { saveTrouble } from './save-state'

export type Writers = Awaited<ReturnType<typeof importWriters>>

let here: Writers | null = null
let fetched: Promise<Writers> | null = null

/** Fetches what writes. A page does so as soon as it stands; a fetch that failed is tried anew the next time. */
export function fetchWriters(): Promise<Writers> {
  fetched ??= importWriters().then(
    writers => {
      here = writers
      return writers
    },
    error => {
      fetched = null
      throw error
    },
  )
  return fetched
}

/** Does something with what writes: at once where it is here, so that what is put down rests before the page can go. */
export function withWriters<T>(act: (writers: Writers) => Promise<T>): Promise<T> {
  if (here) return act(here)
  const goesOn = isContinuing()
  return fetchWriters().then(writers => (goesOn ? continuing(() => act(writers)) : act(writers)))
}

type Act = (writers: Writers) => Promise<Saving>

/**
 * Writes; where what writes cannot be fetched, that is said with a way to try again. `kept` then keeps the change on the page, and
 * gives what to try instead where doing it again would do it twice.
 */
export async function writing(act: Act, kept: () => Act = () => act): Promise<Saving> {
  try {
    return await withWriters(act)
  } catch (error) {
    // What writes answers for itself.
    if (here) throw error
    const again = kept()
    const found = problem('writers-missing', {})
    saveTrouble.set({ problem: found, retry: () => writing(again) })
    return { saved: false, problems: [found] }
  }
}
