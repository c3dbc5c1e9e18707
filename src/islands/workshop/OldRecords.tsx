import { proxy } from 'comlink'
import { useEffect, useState } from 'react'
import { problem } from '../../core/codes/problem'
import { fail, type Result } from '../../core/codes/result'
import { RECORD_FIELDS } from '../../core/files/old-records'
import { megabytesOf } from '../../core/units/bytes'
import { SelectField } from '../../ui/PlainFields'
import { Problems } from '../../ui/Problems'
import { toast } from '../../ui/toast'
import { useSay } from '../../ui/Units'
import { counted } from '../../words/lists'
import { addedRecordsWords, FIELD_NAMES, recordWords } from '../../words/old-records'
import { problemWords, rowWords } from '../../words/problems'
import { percentText } from '../../words/speaker'
import type { OpenedRecords, ShownRecords } from '../../workers/files.worker'
import { type FilesWorker, inTime, startFiles } from '../../workers/files-client'

/** A list of old notes is small; what is larger is something else, MB. */
const MOST_MB = 10

interface Opened {
  readonly worker: FilesWorker
  readonly table: OpenedRecords
}

/** Notes of years on paper, as a table somebody typed in: which column holds what, what was understood, and into the log. */
export default function OldRecords({ file, onDone }: { file: File; onDone: () => void }) {
  const opened = useOpened(file)
  if (!opened) return <p className="my-3 text-ink-2">Reading …</p>
  if (!opened.ok) return <Problems of={opened.problems} className="my-3" />
  return <Matched opened={opened.value} onDone={onDone} />
}

/** The notes, read in a worker that keeps them for as long as they are looked at; undefined while they are read. */
function useOpened(file: File): Result<Opened> | undefined {
  const [opened, setOpened] = useState<Result<Opened>>()
  useEffect(() => {
    if (megabytesOf(file.size) > MOST_MB) return setOpened(fail('records-too-large', { mostMegabytes: MOST_MB }))
    const worker = startFiles()
    let isLeft = false
    void inTime(worker, door => door.openRecords(file)).then(
      table => isLeft || setOpened(table.ok ? { ok: true, value: { worker, table: table.value } } : table),
    )
    return () => {
      isLeft = true
      worker.stop()
    }
  }, [file])
  return opened
}

function Matched({ opened: { worker, table }, onDone }: { opened: Opened; onDone: () => void }) {
  const say = useSay()
  const { head, lines } = table
  const [columns, setColumns] = useState(table.columns)
  const [units, setUnits] = useState(table.units)
  const [added, setAdded] = useState<number | null>(null)
  const [read, setRead] = useState<Result<ShownRecords>>()
  useEffect(() => {
    let isOld = false
    void inTime(worker, door => door.showRecords(columns, units)).then(shown => isOld || setRead(shown))
    return () => {
      isOld = true
    }
  }, [worker, columns, units])
  const add = async () => {
    setAdded(0)
    const told = proxy((share: number) => setAdded(was => (was === null ? was : share)))
    const done = await Promise.race([worker.door.addRecords(columns, units, told), worker.broken]).catch(() => null)
    setAdded(null)
    if (done && 'stored' in done) {
      toast(addedRecordsWords(done.stored))
      onDone()
    } else toast(problemWords(done?.problem ?? problem('worker-failed', {}), say))
  }
  return (
    <div className="space-y-3">
      <p className="text-small text-ink-2">{counted(lines, 'line')}. Which column holds what?</p>
      <div className="grid grid-cols-2 gap-2 sm:grid-cols-3">
        {RECORD_FIELDS.map(field => (
          <SelectField
            key={field}
            label={FIELD_NAMES[field]}
            value={String(columns[field] ?? '')}
            options={[
              ['', 'in none'] as const,
              ...head.map((name, i) => [String(i), name || `column ${i + 1}`] as const),
            ]}
            onCommit={at =>
              setColumns(({ [field]: _, ...rest }) => (at === '' ? rest : { ...rest, [field]: Number(at) }))
            }
          />
        ))}
        <SelectField
          label="Temperatures in"
          value={units.temperature}
          options={[
            ['C', '°C'],
            ['F', '°F'],
          ]}
          onCommit={temperature => setUnits({ ...units, temperature })}
        />
        <SelectField
          label="Thickness in"
          value={units.length}
          options={[
            ['mm', 'mm'],
            ['in', 'inches'],
          ]}
          onCommit={length => setUnits({ ...units, length })}
        />
        <SelectField
          label="A day such as 3/4/19 is"
          value={units.dates}
          options={[
            ['day-first', '3 April'],
            ['month-first', '4 March'],
          ]}
          onCommit={dates => setUnits({ ...units, dates })}
        />
      </div>
      {!read && <p className="text-small text-ink-2">Reading …</p>}
      {read?.ok === false && <Problems of={read.problems} />}
      {read?.ok && (
        <section aria-label="What was understood" className="border-l-3 border-rule-strong pl-3 text-small">
          <ul>
            {read.value.records.map(record => (
              <li key={record.line}>{recordWords(record, say)}</li>
            ))}
          </ul>
          {read.value.blades > read.value.records.length && (
            <p>And {read.value.blades - read.value.records.length} more.</p>
          )}
          {read.value.skipped.map(found => (
            <p key={found.path} className="text-bad">
              {rowWords(found, say)}
            </p>
          ))}
          {read.value.moreSkipped > 0 && (
            <p className="text-bad">And {read.value.moreSkipped} more lines are left out.</p>
          )}
        </section>
      )}
      <p className="text-small text-ink-2">
        What was not noted stands at what is usual for the steel, a temper’s hold at two hours. Your own readings teach
        the predictions from then on.
      </p>
      {read?.ok && (
        <button type="button" className="btn btn-ember" disabled={added !== null} onClick={() => void add()}>
          {added !== null
            ? `Adding … ${percentText(added)}`
            : `Add ${counted(read.value.blades, 'blade')} in ${counted(read.value.batches, 'batch', 'batches')}`}
        </button>
      )}
    </div>
  )
}
