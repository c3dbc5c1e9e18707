import { lazy, Suspense, useEffect, useMemo, useState } from 'react'
import { temperOf } from '../../core/batch/hardness-stages'
import { NOTHING } from '../../core/codes/said'
import { findRows } from '../../core/logbook/find-rows'
import type { LogRow } from '../../core/logbook/logbook'
import { useRecipes } from '../../store/hooks'
import { fetchedAhead } from '../../ui/fetched-ahead'
import { SelectField } from '../../ui/PlainFields'
import { Problems } from '../../ui/Problems'
import { SearchField } from '../../ui/SearchField'
import { ViewChoice } from '../../ui/ViewChoice'
import { useAnswer, useWarmUp } from '../../workers/use-answer'
import { Place } from '../Place'
import { saveTable } from '../save-table'
import { TrendsView } from './TrendsView'

const VIEWS = [
  ['readings', 'Readings'],
  ['trends', 'Trends'],
  ['compare', 'Two batches'],
  ['cost', 'Year’s cost'],
] as const

/** Points drawn over time: more are a cloud that says nothing. */
const MOST_DRAWN = 800
const NO_ROWS: LogRow[] = []

const [LogTable, fetchTable] = fetchedAhead(() => import('./LogTable'))
const OffChart = lazy(() => import('../../ui/charts/OffChart'))
const SideBySide = lazy(() => import('./SideBySide'))
const YearCostView = lazy(() => import('./YearCostView'))

export default function LogbookPlace() {
  useWarmUp(['logbook-newest'])
  useEffect(fetchTable, [])
  return (
    <Place>
      <Logbook />
    </Place>
  )
}

/** Every blade's readings beside what was predicted: over a year one sees the oven drift. */
function Logbook() {
  const recipes = useRecipes()
  const [view, setView] = useState<(typeof VIEWS)[number][0]>('readings')
  const [grade, setGrade] = useState('all')
  const [wanted, setWanted] = useState('')
  const { answer, isWhole } = useLogRows()
  const rows = answer?.ok ? answer.value : NO_ROWS
  const grades = useMemo(() => [...new Set(rows.map(r => r.gradeName))].sort(), [rows])
  const shown = useMemo(
    () => findRows(grade === 'all' ? rows : rows.filter(r => r.gradeName === grade), wanted),
    [rows, grade, wanted],
  )
  return (
    <div className="px-4 py-6 md:px-8">
      <header className="mb-4 flex flex-wrap items-end justify-between gap-3">
        <h1 className="text-page">Logbook</h1>
        <ViewChoice views={VIEWS} view={view} onView={setView} />
        {view === 'readings' && (
          <div className="flex items-end gap-2">
            <SearchField
              label="Find in the log"
              placeholder="26-014, gull 2, cook, 58..60, 2026-05"
              value={wanted}
              onChange={setWanted}
            />
            <SelectField
              label="Steel"
              value={grade}
              options={[['all', 'every steel'] as const, ...grades.map(g => [g, g] as const)]}
              onCommit={setGrade}
            />
            <button type="button" className="btn" onClick={() => void saveTable('readings')}>
              CSV
            </button>
          </div>
        )}
      </header>
      {view === 'compare' ? (
        <Suspense fallback={<p className="py-6 text-ink-2">Opening …</p>}>
          <SideBySide />
        </Suspense>
      ) : view === 'cost' ? (
        <Suspense fallback={<p className="py-6 text-ink-2">Opening …</p>}>
          <YearCostView />
        </Suspense>
      ) : view === 'trends' ? (
        <TrendsView recipes={recipes ?? []} />
      ) : !answer ? (
        <p className="text-ink-2">Reading the log …</p>
      ) : !answer.ok ? (
        <Problems of={answer.problems} />
      ) : rows.length === 0 ? (
        <p className="border border-dashed border-rule-strong p-6">
          No reading yet. Record some at a batch’s Measure bench; each then stands here beside its prediction.
        </p>
      ) : (
        <Readings shown={shown} wanted={wanted} isWhole={isWhole} />
      )}
    </div>
  )
}

/** Every blade that was read; of a long log the newest at once, and all of it when it was read. */
function useLogRows() {
  const newest = useAnswer('logbook-newest', NOTHING)
  const whole = useAnswer('logbook', newest ? NOTHING : null)
  return { answer: whole ?? newest, isWhole: whole !== undefined }
}

interface ReadingsProps {
  readonly shown: readonly LogRow[]
  readonly wanted: string
  readonly isWhole: boolean
}

/** Rows that were looked for, and how far their finished blades are off over time. */
function Readings({ shown, wanted, isWhole }: ReadingsProps) {
  const finished = useMemo(() => shown.filter(r => temperOf(r.stage) !== null), [shown])
  const points = useMemo(
    () =>
      finished
        .slice(0, MOST_DRAWN)
        .flatMap(r => (r.off === null ? [] : [{ at: Date.parse(r.at), off: r.off, label: `${r.batch} ${r.mark}` }])),
    [finished],
  )
  return (
    <>
      {!isWhole && (
        <p role="status" className="mb-2 border-l-3 border-ember pl-3 text-small">
          The newest batches. The years before are still being read; what is searched is not all there yet.
        </p>
      )}
      <h2 className="mb-1 text-small font-normal text-ink-2">
        Measured less predicted, {finished.length > MOST_DRAWN ? `the newest ${MOST_DRAWN} ` : ''}finished blades, HRC
      </h2>
      <div className="mb-5 h-[190px]">
        <Suspense fallback={null}>
          <OffChart rows={points} />
        </Suspense>
      </div>
      {shown.length === 0 ? (
        <p className="py-6">
          Nothing in the log has all of “{wanted}”. It is looked for in marks, serials, batches, steels, bars, ovens,
          buyers, states, edge results, dates (2026-05) and hardness (60, 58..60).
        </p>
      ) : (
        <Suspense fallback={null}>
          <LogTable rows={shown} />
        </Suspense>
      )}
    </>
  )
}
