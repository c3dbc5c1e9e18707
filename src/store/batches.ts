import { takeBack } from '../core/record/merge'
import type { Batch } from '../core/record/schemas'
import { batchSchema } from '../core/record/schemas'
import { db } from './database'
import { saving } from './save-state'

interface Edit {
  readonly batchId: string
  readonly label: string
  readonly before: Batch
  readonly after: Batch
}

/** This tab's edits, newest last. */
const edits: Edit[] = []
const MOST_EDITS = 200

/** Batches whose last write was refused: kept here so that nothing typed is lost, and shown instead of the stored ones. */
const unsaved = new Map<string, Batch>()
const listeners = new Set<() => void>()
let unsavedVersion = 0

const touchUnsaved = () => {
  unsavedVersion++
  for (const listener of listeners) listener()
}

export const unsavedBatches = {
  version: () => unsavedVersion,
  get: (id: string) => unsaved.get(id),
  subscribe(listener: () => void) {
    listeners.add(listener)
    return () => listeners.delete(listener)
  },
}

const COUNTED: readonly (keyof Batch)[] = ['rev', 'updatedAt']

/** Applies a change to the newest stored state, so that a second tab's edits are kept. */
async function write(id: string, change: (batch: Batch) => Batch): Promise<{ before: Batch; after: Batch } | null> {
  let outcome: { before: Batch; after: Batch } | null = null
  await db.transaction('rw', db.batches, async () => {
    const before = unsaved.get(id) ?? (await db.batches.get(id))
    if (!before) return
    const after = batchSchema.parse({ ...change(before), rev: before.rev + 1, updatedAt: new Date().toISOString() })
    await db.batches.put(after)
    outcome = { before, after }
  })
  if (unsaved.delete(id)) touchUnsaved()
  return outcome
}

/** Changes a batch and remembers how to take it back. A refused write is kept on the page. */
export async function editBatch(shown: Batch, label: string, change: (batch: Batch) => Batch): Promise<void> {
  const saved = await saving(
    async () => {
      const outcome = await write(shown.id, change)
      if (!outcome) return
      edits.push({ batchId: shown.id, label, ...outcome })
      if (edits.length > MOST_EDITS) edits.shift()
    },
    // What is kept on the page already holds the change.
    () => write(shown.id, batch => batch),
  )
  if (!saved) {
    unsaved.set(shown.id, change(unsaved.get(shown.id) ?? shown))
    touchUnsaved()
  }
}

export type Undone = { readonly done: true; readonly label: string } | { readonly done: false; readonly why: string }

/** Takes this tab's last edit of a batch back, unless the same part was changed elsewhere since. */
export async function undoLast(batchId: string): Promise<Undone> {
  const index = edits.findLastIndex(edit => edit.batchId === batchId)
  const edit = edits[index]
  if (!edit) return { done: false, why: 'Nothing to undo in this tab.' }
  edits.splice(index, 1)
  let clash = false
  const saved = await saving(() =>
    write(batchId, now => {
      const restored = takeBack(now, edit.before, edit.after, COUNTED)
      clash = restored === null
      return restored ?? now
    }),
  )
  if (clash) return { done: false, why: `“${edit.label}” was changed again in another tab, so it stays as it is.` }
  return saved ? { done: true, label: edit.label } : { done: false, why: 'The browser refused to save.' }
}

export const addBatch = (batch: Batch): Promise<boolean> => saving(() => db.batches.add(batchSchema.parse(batch)))

/** Deleted batches rest until taken back; they are left out of every list. */
export const setDeleted = (batch: Batch, deleted: boolean): Promise<void> =>
  editBatch(batch, deleted ? 'Delete batch' : 'Bring batch back', b => ({
    ...b,
    deletedAt: deleted ? new Date().toISOString() : null,
  }))

/** Stored batches with what could not be stored laid over them. */
export const withUnsaved = (stored: readonly Batch[]): Batch[] => {
  const ids = new Set(stored.map(batch => batch.id))
  return [
    ...stored.map(batch => unsaved.get(batch.id) ?? batch),
    ...[...unsaved.values()].filter(batch => !ids.has(batch.id)),
  ]
}
