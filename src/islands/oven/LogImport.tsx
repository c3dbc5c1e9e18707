import { useEffect, useRef, useState } from 'react'
import type { LogLayout } from '../../core/files/oven-log/recognise'
import { formatQuantity, type System } from '../../core/units/quantity'
import { LogDrawing } from '../../ui/drawings/LogDrawing'
import { SelectField } from '../../ui/PlainFields'
import { useSay, useSystem } from '../../ui/Units'
import { timeFormatWords } from '../../words/oven'
import { problemWords, SKIPPED_WORDS } from '../../words/problems'
import { percentText } from '../../words/speaker'
import type { LogReport } from '../../workers/log.worker'
import { startReading } from '../../workers/log-client'
import type { Task } from '../../workers/open-worker'

interface Props {
  /** Text of the button that takes it. */
  readonly action: string
  readonly onTake: (name: string, points: LogReport['points']) => void
}

type State =
  | { readonly kind: 'empty' }
  | { readonly kind: 'reading'; readonly name: string; readonly share: number }
  | { readonly kind: 'trouble'; readonly message: string }
  | { readonly kind: 'read'; readonly file: File; readonly report: LogReport }

/** A log from any logger: chosen or dropped, recognised, shown with what was left out, and only then taken. */
export function LogImport({ action, onTake }: Props) {
  const say = useSay()
  const system = useSystem()
  const [state, setState] = useState<State>({ kind: 'empty' })
  const task = useRef<Task<unknown> | null>(null)
  // Left in mid-reading: nothing of it goes on.
  useEffect(() => () => task.current?.cancel(), [])
  const read = (file: File, layout: LogLayout | null) => {
    task.current?.cancel()
    setState({ kind: 'reading', name: file.name, share: 0 })
    const started = startReading(file, layout, share =>
      setState(now => (now.kind === 'reading' ? { ...now, share } : now)),
    )
    task.current = started
    started.done.then(
      result =>
        setState(
          result.ok
            ? { kind: 'read', file, report: result.value }
            : {
                kind: 'trouble',
                message: `${file.name}: ${result.problems.map(found => problemWords(found, say)).join(' ')}`,
              },
        ),
      () => setState({ kind: 'trouble', message: `${file.name} could not be read. Choose it again.` }),
    )
  }
  const cancel = () => {
    task.current?.cancel()
    setState({ kind: 'empty' })
  }
  return (
    <div>
      <fieldset
        aria-label="Log file"
        className="flex flex-wrap items-center gap-3 border border-dashed border-rule-strong p-3"
        onDragOver={event => event.preventDefault()}
        onDrop={event => {
          event.preventDefault()
          const file = event.dataTransfer.files[0]
          if (file) read(file, null)
        }}
      >
        <label className="btn cursor-pointer focus-within:outline-2">
          Read a log …
          <input
            type="file"
            accept=".csv,.txt,.tsv,.log,text/csv,text/plain"
            className="sr-only"
            onChange={event => {
              const file = event.target.files?.[0]
              if (file) read(file, null)
              event.target.value = ''
            }}
          />
        </label>
        <p className="min-w-52 flex-1 text-note text-ink-2">
          CSV or text from any logger, or drop it here. Delimiter, decimal comma, °C or °F and the way times are written
          are recognised and shown before anything is kept.
        </p>
      </fieldset>
      {state.kind === 'reading' && (
        <div className="mt-3 flex items-center gap-3">
          <progress className="w-60" max={1} value={state.share} aria-label={`Reading ${state.name}`} />
          <span className="text-small">{percentText(state.share)}</span>
          <button type="button" className="btn" onClick={cancel}>
            Cancel
          </button>
        </div>
      )}
      {state.kind === 'trouble' && (
        <p role="alert" className="mt-3 text-bad">
          {state.message}
        </p>
      )}
      {state.kind === 'read' && (
        <Preview
          report={state.report}
          name={state.file.name}
          system={system}
          action={action}
          onLayout={layout => read(state.file, layout)}
          onCancel={cancel}
          onTake={() => {
            onTake(state.file.name, state.report.points)
            setState({ kind: 'empty' })
          }}
        />
      )}
    </div>
  )
}

interface PreviewProps {
  readonly system: System
  readonly report: LogReport
  readonly name: string
  readonly action: string
  readonly onLayout: (layout: LogLayout) => void
  readonly onTake: () => void
  readonly onCancel: () => void
}

function Preview({ report, name, system, action, onLayout, onTake, onCancel }: PreviewProps) {
  const { layout, points } = report
  const hottest = Math.max(...points.map(([, c]) => c))
  return (
    <div className="mt-3 space-y-2">
      <p className="text-small">
        <strong>{name}</strong>: {report.rows.toLocaleString('en')} rows, {report.samples.toLocaleString('en')} taken
        {report.keptOneIn > 1 ? ` (one in ${report.keptOneIn}, it is very long)` : ''}, over{' '}
        {formatQuantity(Math.round(points.at(-1)?.[0] ?? 0), 'duration', system)}, hottest{' '}
        {formatQuantity(hottest, 'temperature', system)}. Times as {timeFormatWords(layout.time)}, decimal{' '}
        {layout.decimal === ',' ? 'comma' : 'point'}.
      </p>
      <LogNotes report={report} system={system} />
      <div className="grid max-w-xl grid-cols-2 gap-3">
        <SelectField
          label="Column of the oven’s temperature"
          value={String(layout.temperatureColumn)}
          options={layout.candidates.map(i => [String(i), layout.headings[i] ?? `column ${i + 1}`] as const)}
          onCommit={column => onLayout({ ...layout, temperatureColumn: Number(column) })}
        />
        <SelectField
          label="It is in"
          value={layout.unit}
          options={[
            ['C', '°C'],
            ['F', '°F'],
          ]}
          hint={
            layout.unitFrom === 'guess'
              ? 'Guessed from how hot it gets, as the file does not say.'
              : `As the ${layout.unitFrom} say.`
          }
          onCommit={unit => onLayout({ ...layout, unit, unitFrom: 'values' })}
        />
      </div>
      <LogDrawing
        lines={[{ name: 'as logged', points, look: 'logged' }]}
        system={system}
        label={`The log ${name}`}
        height={170}
      />
      <div className="flex gap-3">
        <button type="button" className="btn btn-ember" onClick={onTake}>
          {action}
        </button>
        <button type="button" className="btn" onClick={onCancel}>
          Discard this log
        </button>
      </div>
    </div>
  )
}

/** Lists what was left out of a log, why and where. */
function LogNotes({ report, system }: { report: LogReport; system: System }) {
  const duration = (min: number) => formatQuantity(Math.max(1, Math.round(min)), 'duration', system)
  const lines = [
    ...report.skipped.map(
      s =>
        `${s.count} ${s.count === 1 ? 'row' : 'rows'} left out ${SKIPPED_WORDS[s.why]}, the first in line ${s.firstLine}.`,
    ),
    ...report.gaps
      .slice(0, 4)
      .map(gap => `Nothing was logged for ${duration(gap.minutes)} from minute ${Math.round(gap.atMin)} on.`),
    ...(report.gaps.length > 4 ? [`And ${report.gaps.length - 4} more gaps.`] : []),
    ...(report.mixedUnits > 0 ? [`${report.mixedUnits} values are marked in the other unit and were converted.`] : []),
  ]
  if (lines.length === 0) return null
  return (
    <ul className="space-y-1 border-l-3 border-rule-strong pl-3 text-small">
      {lines.map(line => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  )
}
