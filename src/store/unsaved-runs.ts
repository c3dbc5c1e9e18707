import type { Run } from '../core/shop/run'
import { createSubscribable } from '../core/subscribable'

export type RunChange = (run: Run) => Run

/** Changes of runs that the browser would not store, by run: they are in force on this page, and tried again. */
export const unsavedRuns = createSubscribable<ReadonlyMap<string, readonly RunChange[]>>(new Map())

/** A run with some changes in it, in order. */
export const withChanges = (run: Run, changes: readonly RunChange[]): Run =>
  changes.reduce((changed, change) => change(changed), run)
