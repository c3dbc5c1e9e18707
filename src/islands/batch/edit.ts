import { toast } from 'sonner'
import type { Batch, BatchGroup, Blade } from '../../core/record/schemas'
import { editBatch, undoLast } from '../../store/batches'

/** Changes one group of a batch, and remembers it for undo. */
export const editGroup = (batch: Batch, groupId: string, label: string, change: (group: BatchGroup) => BatchGroup) =>
  editBatch(batch, label, b => ({ ...b, groups: b.groups.map(g => (g.id === groupId ? change(g) : g)) }))

export const editBlade = (batch: Batch, bladeId: string, label: string, change: Partial<Blade>) =>
  editBatch(batch, label, b => ({
    ...b,
    blades: b.blades.map(blade => (blade.id === bladeId ? { ...blade, ...change } : blade)),
  }))

/** Takes the last edit back and says what it was. */
export async function undo(batchId: string) {
  const outcome = await undoLast(batchId)
  if (outcome.done) toast(`Undone: ${outcome.label.toLowerCase()}`)
  else toast(outcome.why)
}

/** A message with its own way back. */
export const sayWithUndo = (message: string, batchId: string) =>
  toast(message, { action: { label: 'Undo', onClick: () => void undo(batchId) }, duration: 10_000 })

export const newId = () => crypto.randomUUID()
