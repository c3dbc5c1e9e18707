import Trash2 from 'lucide-react/icons/trash-2'
import { useState } from 'react'
import { countOf } from '../../core/batch/tray'
import type { Batch } from '../../core/shop/batch'
import { setDeleted } from '../../store/batches'
import { useNewestBatches } from '../../store/hooks'
import { useRunsOfSome } from '../../store/run-hooks'
import { ago } from '../../ui/dates'
import { SearchField } from '../../ui/SearchField'
import { bladesBySteel } from '../../words/lists'
import { Place } from '../Place'
import { undoable } from '../undo'
import { MiniLine } from './MiniLine'
import { NewBatchButton } from './NewBatchButton'

export default function BatchesPlace() {
  return (
    <Place>
      <Batches />
    </Place>
  )
}

/** Batches shown at a time. */
const STEP = 60

/** Every batch as its own small Heat Line, newest first. */
function Batches() {
  const [most, setMost] = useState(STEP)
  const [text, setText] = useState('')
  const found = useNewestBatches(most, text)
  const batches = found?.batches
  const runs = useRunsOfSome(batches)
  if (!found || !batches || !runs) return <p className="p-6 text-ink-2">Reading …</p>
  const remove = (batch: Batch) =>
    void setDeleted(batch, true).then(({ saved }) => saved && undoable(`${batch.name} deleted`))
  return (
    <div className="px-4 py-6 md:px-8">
      <header className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <h1 className="text-page">Batches</h1>
        <div className="flex flex-wrap items-end gap-2">
          {(found.total > STEP || text !== '') && <SearchField label="Find a batch" value={text} onChange={setText} />}
          <NewBatchButton />
        </div>
      </header>
      {batches.length === 0 && text !== '' && (
        <p className="py-6">No batch has “{text}” in its name, steels or note.</p>
      )}
      {batches.length === 0 && text === '' && (
        <div className="border border-dashed border-rule-strong p-6">
          <p>
            No batch yet. A batch is the blades you treat as one job: give it a name and a first steel, and the rest has
            a suggestion.
          </p>
        </div>
      )}
      <ul>
        {batches.map(batch => {
          const run = runs.find(r => r.batchIds.includes(batch.id))
          return (
            <li
              key={batch.id}
              className="grid grid-cols-[minmax(0,1fr)_auto] items-center gap-x-4 border-b border-rule py-2 sm:grid-cols-[220px_minmax(0,1fr)_auto_44px]"
            >
              <div className="hidden sm:block">
                <MiniLine batch={batch} />
              </div>
              <a href={`/batch/${batch.id}/choose`} className="min-w-0 py-2">
                <span className="block text-lead font-semibold">{batch.name}</span>
                <span className="text-ink-2">
                  {bladesBySteel(batch)}
                  {batch.note && <span className="hidden md:inline">. {batch.note}</span>}
                </span>
              </a>
              <span className="text-right text-small text-ink-2">
                {run
                  ? run.endedAt
                    ? `ran ${ago(run.startedAt)}`
                    : 'hot now'
                  : countOf(batch) > 0
                    ? 'planned'
                    : 'no blades yet'}
              </span>
              <button
                type="button"
                className="btn btn-plain w-11"
                aria-label={`Delete ${batch.name}`}
                onClick={() => remove(batch)}
              >
                <Trash2 size={16} aria-hidden="true" />
              </button>
            </li>
          )
        })}
      </ul>
      {batches.length < found.total && (
        <button type="button" className="btn mt-4" onClick={() => setMost(most + STEP)}>
          Show older ones ({found.total - batches.length} more)
        </button>
      )}
    </div>
  )
}
