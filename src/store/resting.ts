/**
 * Changes whose write has not ended. A write takes a moment, and a page that goes takes its writes with it: what was to be written
 * rests under this prefix, where it can be put down at once (journal.ts), and is finished by the next page.
 */
export const PREFIX = 'tawny-ember-unfinished/'

/** Of another page's changes only those this old are taken up: what is younger it may be writing right now, ms. */
export const LEFT_ALONE_MS = 2000

/** Whether a change still rests. Where that cannot be read none does. */
export function isResting(intent: string): boolean {
  try {
    return localStorage.getItem(intent) !== null
  } catch {
    return false
  }
}
