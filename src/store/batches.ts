import type { Saving } from '../core/codes/result'
import type { Batch } from '../core/shop/batch'
import { changedBy, NOT_PUT_DOWN, type PutDown, putDown } from './put-down'
import { keepUnsaved, unsavedBatches } from './unsaved-batches'
import { writing } from './writing'

/** Batches as the changes of this page leave them: what is shown comes a moment later. */
const ahead = new Map<string, Batch>()

/**
 * Puts a change down from where the changes before it leave the batch: begun from what is shown a moment too late it would clash with
 * them, and the next page would not finish it.
 */
function rest(shown: Batch, change: (batch: Batch) => Batch): PutDown {
  const [known, left] = [unsavedBatches.get().get(shown.id) ?? shown, ahead.get(shown.id)]
  const before = left && left.rev > known.rev ? left : known
  const changed = changedBy(change, before)
  if (!changed) return NOT_PUT_DOWN
  const after = { ...changed, rev: before.rev + 1 }
  ahead.set(shown.id, after)
  const { intent, end } = putDown({ of: 'batch', before, after })
  return {
    intent,
    end: saved => {
      if (!saved) ahead.delete(shown.id)
      end(saved)
    },
  }
}

/** Changes a batch and remembers how to take it back. What does not fit is told; a refused write is kept on the page. */
export function editBatch(shown: Batch, label: string, change: (batch: Batch) => Batch): Promise<Saving> {
  const { intent, end } = rest(shown, change)
  return writing(
    async writers => {
      const outcome = await writers.editBatch(shown, label, change, intent)
      end(outcome.saved)
      return outcome
    },
    // A browser may never fetch again what it could not fetch once: it rests for the next page, and is kept on this one.
    () => {
      keepUnsaved(shown.id, change(unsavedBatches.get().get(shown.id) ?? shown))
      // What is kept on the page already holds the change.
      return async writers => {
        const outcome = await writers.editBatch(shown, label, batch => batch, intent)
        if (outcome.saved) end(true)
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
