import { useState } from 'react'
import { setDeleted } from '../../store/batches'
import { useDeletedBatches, useDeletedLogs } from '../../store/hooks'
import { bringBackLog } from '../../store/records'
import { ago } from '../../ui/dates'
import { toast } from '../../ui/toast'
import { counted } from '../../words/lists'

/** Deleted batches and logs rest here until they are brought back, also after the page that deleted them is long closed. */
export function DeletedPart() {
  // All batches are looked through for it: only when it is wished.
  const [open, setOpen] = useState(false)
  return (
    <details className="mt-4" onToggle={event => setOpen(event.currentTarget.open)}>
      <summary className="min-h-touch cursor-pointer content-center">Deleted batches and logs</summary>
      {open && <DeletedList />}
    </details>
  )
}

function DeletedList() {
  const deleted = useDeletedBatches()
  const logs = useDeletedLogs()
  if (!deleted || !logs) return <p className="text-ink-2">Looking …</p>
  if (deleted.length + logs.length === 0) return <p className="text-ink-2">None: nothing was deleted.</p>
  return (
    <ul className="max-h-80 max-w-2xl overflow-auto">
      {deleted.map(batch => (
        <Row
          key={batch.id}
          name={batch.name}
          says={`, ${counted(batch.blades.length, 'blade')}`}
          at={batch.deletedAt ?? batch.updatedAt}
          onBack={() => setDeleted(batch, false)}
        />
      ))}
      {logs.map(log => (
        <Row
          key={log.id}
          name={log.name}
          says=", a log of an oven"
          at={log.deletedAt ?? log.addedAt}
          onBack={() => bringBackLog(log)}
        />
      ))}
    </ul>
  )
}

interface RowProps {
  readonly name: string
  readonly says: string
  readonly at: string
  readonly onBack: () => Promise<{ readonly saved: boolean }>
}

const Row = ({ name, says, at, onBack }: RowProps) => (
  <li className="flex min-h-touch items-center gap-3 border-b border-rule py-1">
    <span className="min-w-0 flex-1">
      <strong>{name}</strong>
      {says}
      <span className="text-ink-2"> deleted {ago(at)}</span>
    </span>
    <button
      type="button"
      className="btn"
      aria-label={`Bring back ${name}`}
      onClick={() => void onBack().then(({ saved }) => saved && toast(`${name} is back in the log.`))}
    >
      Bring back
    </button>
  </li>
)
