import type { Run } from '../core/shop/run'
import { createSubscribable } from '../core/subscribable'

export type RunChange = (run: Run) => Run

/** Changes of a run that the browser would not store, and the run with them in it; null where it could not be read either. */
export interface UnsavedRun {
  readonly changes: readonly RunChange[]
  readonly whole: Run | null
}

/** Runs the browser would not store, by id: their changes are in force on this page, and tried again. */
export const unsavedRuns = createSubscribable<ReadonlyMap<string, UnsavedRun>>(new Map())

/** Runs as they were last read or changed here: what to keep of one when the browser neither stores nor reads it. */
export const lastKnown = new Map<string, Run>()

/** Returns a run with some changes in it, in order. */
export const withChanges = (run: Run, changes: readonly RunChange[]): Run =>
  changes.reduce((changed, change) => change(changed), run)

/** A copy of an unsaved run rests here, in a second kind of storage: the first may be full while this one is not. */
export const RUN_PREFIX = 'tawny-ember-run/'

/** Rests a run beside the database, at once; null takes it away. Where nothing can be rested the page and its file are all there is. */
export function restRun(id: string, whole: Run | null): void {
  try {
    if (whole) localStorage.setItem(RUN_PREFIX + id, JSON.stringify(whole))
    else localStorage.removeItem(RUN_PREFIX + id)
  } catch {
    // The run stays on the page, which asks before it goes.
  }
}
