import { lazy, Suspense, useMemo, useState } from 'react'
import { NOTHING } from '../../core/codes/said'
import { findRows } from '../../core/job/find-rows'
import type { LogRow } from '../../core/job/logbook'
import { temperOf } from '../../core/job/stages'
import { useRecipes } from '../../store/hooks'
import { readShopLog } from '../../store/shop-log'
import { SelectField } from '../../ui/PlainFields'
import { Problems } from '../../ui/Problems'
import { SearchField } from '../../ui/SearchField'
import { ViewChoice } from '../../ui/ViewChoice'
import { useAnswer } from '../../workers/use-answer'
import { Place } from '../Place'
import { download } from '../save-everything'
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

const LogTable = lazy(() => import('./LogTable'))
const OffChart = lazy(() => import('../../ui/charts/OffChart'))
const SideBySide = lazy(() => import('./SideBySide'))
const YearCostView = lazy(() => import('./YearCostView'))

export default function LogbookPlace() {
  return (
    <Place>
      <Logbook />
    </Place>
  )
}

/** Every reading as CSV, read from the log as it is now. */
async function saveReadings() {
  const [{ readings, batches }, { readingsCsv }] = await Promise.all([
    readShopLog(),
    import('../../core/files/readings-csv'),
  ])
  download('readings.csv', 'text/csv', readingsCsv(readings, batches))
}

/** Every blade's readings beside what was predicted: over a year one sees the oven drift. */
function Logbook() {
  const recipes = useRecipes()
  const [view, setView] = useState<(typeof VIEWS)[number][0]>('readings')
  const [grade, setGrade] = useState('all')
  const [wanted, setWanted] = useState('')
  const answer = useAnswer('logbook', NOTHING)
  const rows = answer?.ok ? answer.value : NO_ROWS
  const grades = useMemo(() => [...new Set(rows.map(r => r.gradeName))].sort(), [rows])
  const shown = useMemo(
    () => findRows(grade === 'all' ? rows : rows.filter(r => r.gradeName === grade), wanted),
    [rows, grade, wanted],
  )
  const finished = useMemo(() => shown.filter(r => temperOf(r.stage) !== null), [shown])
  const points = useMemo(
    () =>
      finished
        .slice(0, MOST_DRAWN)
        .flatMap(r => (r.off === null ? [] : [{ at: Date.parse(r.at), off: r.off, label: `${r.batch} ${r.mark}` }])),
    [finished],
  )
  if (!answer) return <p className="p-6 text-ink-2">Reading the log …</p>
  if (!answer.ok) return <Problems of={answer.problems} className="p-6" />
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
            <button type="button" className="btn" onClick={() => void saveReadings()}>
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
      ) : rows.length === 0 ? (
        <p className="border border-dashed border-rule-strong p-6">
          No reading yet. Record some at a batch’s Measure bench; each then stands here beside its prediction.
        </p>
      ) : (
        <>
          <h2 className="mb-1 text-small font-normal text-ink-2">
            Measured less predicted, {finished.length > MOST_DRAWN ? `the newest ${MOST_DRAWN} ` : ''}finished blades,
            HRC
          </h2>
          <div className="mb-5 h-[190px]">
            <Suspense fallback={null}>
              <OffChart rows={points} />
            </Suspense>
          </div>
          {shown.length === 0 ? (
            <p className="py-6">
              Nothing in the log has all of “{wanted}”. It is looked for in marks, serials, batches, steels, bars,
              ovens, buyers, states, edge results, dates (2026-05) and hardness (60, 58..60).
            </p>
          ) : (
            <Suspense fallback={null}>
              <LogTable rows={shown} />
            </Suspense>
          )}
        </>
      )}
    </div>
  )
}
