import type { Batch } from '../core/shop/batch'
import { createSubscribable, type Subscribable } from '../core/subscribable'

/** Batches whose last write was refused: kept here so that nothing typed is lost, and shown instead of the stored ones. */
const unsaved = createSubscribable<ReadonlyMap<string, Batch>>(new Map())
export const unsavedBatches: Subscribable<ReadonlyMap<string, Batch>> = unsaved

/** Keeps a batch on the page, or lets it go: null. */
export const keepUnsaved = (id: string, batch: Batch | null) => {
  const next = new Map(unsaved.get())
  if (batch) next.set(id, batch)
  else next.delete(id)
  unsaved.set(next)
}
