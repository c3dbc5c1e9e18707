import { useEffect, useMemo, useState } from 'react'
import { problem } from '../../core/codes/problem'
import { fail } from '../../core/codes/result'
import { decodeText } from '../../core/files/encoding'
import {
  matchColumns,
  oldRecords,
  RECORD_FIELDS,
  type RecordColumns,
  type RecordUnits,
  readTable,
  unitsOf,
} from '../../core/files/old-records'
import { batchesOfRecords } from '../../core/files/old-records-data'
import { gradesWith } from '../../core/steel/grades'
import { useOwnGrades } from '../../store/hooks'
import { SelectField } from '../../ui/PlainFields'
import { Problems } from '../../ui/Problems'
import { toast } from '../../ui/toast'
import { useSay } from '../../ui/Units'
import { counted } from '../../words/lists'
import { addedRecordsWords, FIELD_NAMES, recordWords } from '../../words/old-records'
import { problemWords, rowWords } from '../../words/problems'
import { startFiles } from '../../workers/files-client'

/** A list of old notes is small; what is larger is something else, MB. */
const MOST_MB = 10
const SHOWN = 4

interface Table {
  readonly head: readonly string[]
  readonly rows: readonly string[][]
}

/** Notes of years on paper, as a table somebody typed in: which column holds what, what was understood, and into the log. */
export default function OldRecords({ file, onDone }: { file: File; onDone: () => void }) {
  const say = useSay()
  const [table, setTable] = useState<Table | null>(null)
  const [trouble, setTrouble] = useState<string | null>(null)
  // biome-ignore lint/correctness/useExhaustiveDependencies: the file is read once, whatever units are spoken in
  useEffect(() => {
    void read(file).then(found =>
      found.ok ? setTable(found.value) : setTrouble(found.problems.map(one => problemWords(one, say)).join(' ')),
    )
  }, [file])
  if (trouble)
    return (
      <p role="alert" className="my-3 border-l-3 border-bad pl-3 text-bad">
        {trouble}
      </p>
    )
  return table ? <Matched table={table} onDone={onDone} /> : <p className="my-3 text-ink-2">Reading …</p>
}

async function read(file: File) {
  if (file.size > MOST_MB * 1e6) return fail('records-too-large', { mostMegabytes: MOST_MB })
  return readTable(decodeText(new Uint8Array(await file.arrayBuffer())))
}

function Matched({ table: { head, rows }, onDone }: { table: Table; onDone: () => void }) {
  const say = useSay()
  const own = useOwnGrades()
  const [columns, setColumns] = useState<RecordColumns>(() => matchColumns(head))
  const [units, setUnits] = useState<RecordUnits>(() => unitsOf(head, rows, matchColumns(head)))
  const [isAdding, setAdding] = useState(false)
  const read = useMemo(() => oldRecords(rows, columns, units, gradesWith(own ?? [])), [rows, columns, units, own])
  const batches = useMemo(() => (read.ok ? batchesOfRecords(read.value.records).length : 0), [read])
  const add = async () => {
    setAdding(true)
    const { door, broken, stop } = startFiles()
    const done = await Promise.race([door.addRecords(rows, columns, units), broken]).catch(() => null)
    stop()
    setAdding(false)
    if (done && 'stored' in done) {
      toast(addedRecordsWords(done.stored))
      onDone()
    } else toast(problemWords(done?.problem ?? problem('worker-failed', {}), say))
  }
  return (
    <div className="space-y-3">
      <p className="text-small text-ink-2">{counted(rows.length, 'line')}. Which column holds what?</p>
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
      {!read.ok && <Problems of={read.problems} />}
      {read.ok && (
        <section aria-label="What was understood" className="border-l-3 border-rule-strong pl-3 text-small">
          <ul>
            {read.value.records.slice(0, SHOWN).map(record => (
              <li key={record.line}>{recordWords(record, say)}</li>
            ))}
          </ul>
          {read.value.records.length > SHOWN && <p>And {read.value.records.length - SHOWN} more.</p>}
          {read.value.skipped.slice(0, SHOWN).map(found => (
            <p key={found.path} className="text-bad">
              {rowWords(found, say)}
            </p>
          ))}
          {read.value.skipped.length > SHOWN && (
            <p className="text-bad">And {read.value.skipped.length - SHOWN} more lines are left out.</p>
          )}
        </section>
      )}
      <p className="text-small text-ink-2">
        What was not noted stands at what is usual for the steel, a temper’s hold at two hours. Your own readings teach
        the predictions from then on.
      </p>
      {read.ok && (
        <button type="button" className="btn btn-ember" disabled={isAdding} onClick={() => void add()}>
          {isAdding
            ? 'Adding …'
            : `Add ${counted(read.value.records.length, 'blade')} in ${counted(batches, 'batch', 'batches')}`}
        </button>
      )}
    </div>
  )
}
