import type { Saving } from '../core/codes/result'
import type { Batch } from '../core/shop/batch'
import { changedBy, putDown } from './put-down'
import { keepUnsaved, unsavedBatches } from './unsaved-batches'
import { writing } from './writing'

/** Batches as the changes of this page leave them: what is shown comes a moment later. */
const ahead = new Map<string, Batch>()

/**
 * Puts a change down from where the changes before it leave the batch: begun from what is shown a moment too late it would clash with
 * them, and the next page would not finish it. Call what comes back when it was written, or refused.
 */
function rest(shown: Batch, change: (batch: Batch) => Batch): (saved: boolean) => void {
  const [known, left] = [unsavedBatches.get().get(shown.id) ?? shown, ahead.get(shown.id)]
  const before = left && left.rev > known.rev ? left : known
  const changed = changedBy(change, before)
  if (!changed) return () => undefined
  const after = { ...changed, rev: before.rev + 1 }
  ahead.set(shown.id, after)
  const end = putDown({ of: 'batch', before, after })
  return saved => {
    if (!saved) ahead.delete(shown.id)
    end()
  }
}

/** Changes a batch and remembers how to take it back. What does not fit is told; a refused write is kept on the page. */
export function editBatch(shown: Batch, label: string, change: (batch: Batch) => Batch): Promise<Saving> {
  const ended = rest(shown, change)
  return writing(
    async writers => {
      const outcome = await writers.editBatch(shown, label, change)
      ended(outcome.saved)
      return outcome
    },
    // A browser may never fetch again what it could not fetch once: it rests for the next page, and is kept on this one.
    () => {
      keepUnsaved(shown.id, change(unsavedBatches.get().get(shown.id) ?? shown))
      // What is kept on the page already holds the change.
      return async writers => {
        const outcome = await writers.editBatch(shown, label, batch => batch)
        if (outcome.saved) ended(true)
        return outcome
      }
    },
  )
}

/** A batch that begins here. */
export const addBatch = (batch: Batch): Promise<Saving> => writing(writers => writers.addBatch(batch))

/** Deleted batches rest until taken back; they are left out of every list. */
export const setDeleted = (batch: Batch, deleted: boolean): Promise<Saving> =>
  editBatch(batch, deleted ? 'Delete batch' : 'Bring batch back', b => ({
    ...b,
    deletedAt: deleted ? new Date().toISOString() : null,
  }))
