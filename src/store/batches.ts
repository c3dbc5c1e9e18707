import type { Saving } from '../core/codes/result'
import type { Batch } from '../core/shop/batch'
import { putDown } from './put-down'
import { keepUnsaved, unsavedBatches } from './unsaved-batches'
import { writing } from './writing'

/** Changes a batch and remembers how to take it back. What does not fit is told; a refused write is kept on the page. */
export const editBatch = (shown: Batch, label: string, change: (batch: Batch) => Batch): Promise<Saving> =>
  writing(
    writers => writers.editBatch(shown, label, change),
    () => {
      const before = unsavedBatches.get().get(shown.id) ?? shown
      const after = change(before)
      keepUnsaved(shown.id, after)
      // A browser may never fetch again what it could not fetch once: the next page then writes it.
      const ended = putDown({ of: 'batch', before, after })
      // What is kept on the page already holds the change.
      return async writers => {
        const outcome = await writers.editBatch(shown, label, batch => batch)
        if (outcome.saved) ended()
        return outcome
      }
    },
  )

/** A batch that begins here. */
export const addBatch = (batch: Batch): Promise<Saving> => writing(writers => writers.addBatch(batch))

/** Deleted batches rest until taken back; they are left out of every list. */
export const setDeleted = (batch: Batch, deleted: boolean): Promise<Saving> =>
  editBatch(batch, deleted ? 'Delete batch' : 'Bring batch back', b => ({
    ...b,
    deletedAt: deleted ? new Date().toISOString() : null,
  }))
