/**
 * Whether what is kept right now only goes on from what was kept a moment ago, as when a value is kept while it is still being
 * typed: it is taken back as one change. Holds for calls made at once, not for what is awaited.
 */
let isGoingOn = false

/** Whether a call runs inside `continuing` right now. */
export const isContinuing = (): boolean => isGoingOn

/** Calls something as the continuation of what was kept before. */
export function continuing<T>(keep: () => T): T {
  isGoingOn = true
  try {
    return keep()
  } finally {
    isGoingOn = false
  }
}
