import { useState } from 'react'
import { toast } from 'sonner'
import { setDeleted } from '../../store/batches'
import { useDeletedBatches } from '../../store/hooks'
import { ago } from '../../ui/dates'
import { counted } from '../../words/lists'

/** Deleted batches rest here until they are brought back, also after the page that deleted them is long closed. */
export function DeletedPart() {
  // All batches are looked through for it: only when it is wished.
  const [open, setOpen] = useState(false)
  return (
    <details className="mt-4" onToggle={event => setOpen(event.currentTarget.open)}>
      <summary className="min-h-touch cursor-pointer content-center">Deleted batches</summary>
      {open && <DeletedList />}
    </details>
  )
}

function DeletedList() {
  const deleted = useDeletedBatches()
  if (!deleted) return <p className="text-ink-2">Looking …</p>
  if (deleted.length === 0) return <p className="text-ink-2">None: no batch was deleted.</p>
  return (
    <ul className="max-h-80 max-w-2xl overflow-auto">
      {deleted.map(batch => (
        <li key={batch.id} className="flex min-h-touch items-center gap-3 border-b border-rule py-1">
          <span className="min-w-0 flex-1">
            <strong>{batch.name}</strong>, {counted(batch.blades.length, 'blade')}
            <span className="text-ink-2"> deleted {ago(batch.deletedAt ?? batch.updatedAt)}</span>
          </span>
          <button
            type="button"
            className="btn"
            aria-label={`Bring back ${batch.name}`}
            onClick={() =>
              void setDeleted(batch, false).then(({ saved }) => saved && toast(`${batch.name} is back in the log.`))
            }
          >
            Bring back
          </button>
        </li>
      ))}
    </ul>
  )
}
