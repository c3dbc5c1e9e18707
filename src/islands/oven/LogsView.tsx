import { useState } from 'react'
import { logCsv } from '../../core/files/oven-log/log-csv'
import type { OvenFit } from '../../core/shop/oven'
import { newLog } from '../../core/trace/oven-log'
import { useOvenLogs } from '../../store/hooks'
import { putLog, removeLog } from '../../store/records'
import { useSay } from '../../ui/Units'
import { newId } from '../batch/edit'
import { download } from '../download'
import { undoable } from '../undo'
import { FitPart } from './FitPart'
import { LogImport } from './LogImport'
import type { OvenProps } from './oven-props'

/** Logs of an oven, and what its model learns from one. */
export default function LogsView({ oven, edit }: OvenProps) {
  const say = useSay()
  const logs = useOvenLogs(oven.id)
  const [chosen, setChosen] = useState<string | null>(null)
  // A log that is still being written stands for no other: a fit begun on the one before would be lost when it arrives.
  const log = (chosen === null ? logs?.[0] : logs?.find(l => l.id === chosen)) ?? null
  return (
    <div className="grid gap-x-10 gap-y-5 lg:grid-cols-[minmax(0,1fr)_330px]">
      <div className="min-w-0 space-y-4">
        <LogImport
          action="Keep this log"
          onTake={(name, points) => {
            const id = newId()
            setChosen(id)
            void putLog(newLog({ id, ovenId: oven.id, name, addedAt: new Date().toISOString() }, points)).then(
              done => !done.saved && setChosen(null),
            )
          }}
        />
        {log && <FitPart key={log.id} log={log} oven={oven} edit={edit} />}
      </div>
      <section>
        <h2 className="border-t border-rule-strong pt-3 text-large">Logs kept</h2>
        {logs?.length === 0 && (
          <p className="mt-2 text-small text-ink-2">
            No log yet. Best for a fit: the empty oven from cold at full power to {say.t(1060)}, ten minutes held, then
            off with the door shut and logged on for two hours.
          </p>
        )}
        <ul>
          {logs?.map(l => (
            <li key={l.id} className="flex items-center gap-2 border-b border-rule py-1">
              <button
                type="button"
                aria-pressed={l === log}
                className={`min-h-touch flex-1 text-left text-small ${l === log ? 'font-semibold text-ember' : 'link'}`}
                onClick={() => setChosen(l.id)}
              >
                {l.name} <span className="text-ink-2">{l.addedAt.slice(0, 10)}</span>
              </button>
              <button
                type="button"
                className="btn btn-plain"
                aria-label={`The log ${l.name} as CSV`}
                onClick={() => download(`log-${l.addedAt.slice(0, 10)}.csv`, 'text/csv', logCsv(l))}
              >
                CSV
              </button>
              <button
                type="button"
                className="btn btn-plain"
                aria-label={`Delete the log ${l.name}`}
                onClick={() => {
                  if (l === log) setChosen(null)
                  void removeLog(l).then(done => done.saved && undoable(`Deleted: ${l.name}`))
                }}
              >
                Delete
              </button>
            </li>
          ))}
        </ul>
        {oven.fit && <FittedNote fit={oven.fit} />}
      </section>
    </div>
  )
}

function FittedNote({ fit }: { fit: OvenFit }) {
  const say = useSay()
  return (
    <p className="mt-3 text-small">
      The oven’s model stands on “{fit.logName}” ({fit.at.slice(0, 10)}), {say.d(fit.residualK)} left.
    </p>
  )
}
