import type { Saving } from '../core/codes/result'
import type { Batch } from '../core/shop/batch'
import { keepUnsaved, unsavedBatches } from './unsaved-batches'
import { restUntilHere, writing } from './writing'

/** Changes a batch and remembers how to take it back. What does not fit is told; a refused write is kept on the page. */
export function editBatch(shown: Batch, label: string, change: (batch: Batch) => Batch): Promise<Saving> {
  const now = () => unsavedBatches.get().get(shown.id) ?? shown
  // A browser may never fetch again what it could not fetch once: the next page then writes it.
  const ended = restUntilHere(() => ({ of: 'batch', before: now(), after: change(now()) }))
  return writing(
    async writers => {
      const outcome = await writers.editBatch(shown, label, change)
      ended()
      return outcome
    },
    () => {
      keepUnsaved(shown.id, change(now()))
      // What is kept on the page already holds the change.
      return async writers => {
        const outcome = await writers.editBatch(shown, label, batch => batch)
        if (outcome.saved) ended()
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
