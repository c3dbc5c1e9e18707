import { createSortedRowModel, rowSortingFeature, sortFns, tableFeatures, useTable } from '@tanstack/react-table'
import { useVirtualizer } from '@tanstack/react-virtual'
import { lazy, Suspense, useMemo, useRef, useState } from 'react'
import { NOTHING } from '../../core/codes/said'
import { readingsCsv } from '../../core/files/readings-csv'
import { findRows } from '../../core/job/find-rows'
import type { LogRow } from '../../core/job/logbook'
import { temperOf } from '../../core/job/stages'
import { useRecipes } from '../../store/hooks'
import { readShopLog } from '../../store/shop-log'
import { format } from '../../ui/dates'
import { SelectField } from '../../ui/PlainFields'
import { Problems } from '../../ui/Problems'
import { ScrollRegion } from '../../ui/ScrollRegion'
import { ViewChoice } from '../../ui/ViewChoice'
import { hrcText, signedText } from '../../words/speaker'
import { stageName } from '../../words/stages'
import { useAnswer } from '../../workers/use-answer'
import { Place } from '../Place'
import { download } from '../save-everything'
import { TrendsView } from './TrendsView'

const VIEWS = [
  ['readings', 'Readings'],
  ['trends', 'Trends'],
  ['compare', 'Two batches'],
] as const

/** Points drawn over time: more are a cloud that says nothing. */
const MOST_DRAWN = 800
const NO_ROWS: LogRow[] = []

const OffChart = lazy(() => import('../../ui/charts/OffChart'))
const SideBySide = lazy(() => import('./SideBySide'))

export default function LogbookPlace() {
  return (
    <Place>
      <Logbook />
    </Place>
  )
}

/** Every reading as CSV, read from the log as it is now. */
async function saveReadings() {
  const { readings, batches } = await readShopLog()
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
            <label className="grid gap-1">
              <span className="label">Find in the log</span>
              <input
                type="search"
                className="field w-64"
                placeholder="26-014, gull 2, cook, 58..60, 2026-05"
                maxLength={80}
                value={wanted}
                onChange={event => setWanted(event.target.value)}
              />
            </label>
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
            <LogTable rows={shown} />
          )}
        </>
      )}
    </div>
  )
}

/** Height of a row before it is measured, px. */
const ROW_PX = 37

/** Room for rows that are not in sight: of a long log only those are drawn that are looked at. */
const Gap = ({ px, columns }: { px: number; columns: number }) => (
  // biome-ignore lint/a11y/noAriaHiddenOnFocusable: a row of a table takes no focus.
  <tr aria-hidden="true">
    <td colSpan={columns} className="!border-0 !p-0" style={{ height: px }} />
  </tr>
)

const features = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel(), sortFns })

function LogTable({ rows }: { rows: LogRow[] }) {
  const columns = useMemo(
    () => [
      { accessorKey: 'at' as const, header: 'When', cell: (row: LogRow) => format(row.at) },
      {
        accessorKey: 'batch' as const,
        header: 'Batch',
        cell: (row: LogRow) => (
          <a className="link" href={`/batch/${row.batchId}/measure`}>
            {row.batch}
          </a>
        ),
      },
      {
        accessorKey: 'mark' as const,
        header: 'Blade',
        cell: (row: LogRow) => (
          <a className="link" href={`/blade/${row.bladeId}`}>
            {row.mark}
          </a>
        ),
      },
      { accessorKey: 'serial' as const, header: 'Serial', cell: (row: LogRow) => row.serial },
      { accessorKey: 'gradeName' as const, header: 'Steel', cell: (row: LogRow) => row.gradeName },
      { accessorKey: 'stage' as const, header: 'Stage', cell: (row: LogRow) => stageName(row.stage) },
      { accessorKey: 'hrc' as const, header: 'HRC', cell: (row: LogRow) => hrcText(row.hrc) },
      { accessorKey: 'n' as const, header: 'Mean of', cell: (row: LogRow) => String(row.n) },
      {
        accessorKey: 'off' as const,
        header: 'Measured less predicted',
        cell: (row: LogRow) => (row.off === null ? '—' : signedText(row.off)),
      },
      {
        accessorKey: 'inTarget' as const,
        header: 'Target',
        cell: (row: LogRow) => (temperOf(row.stage) !== null ? (row.inTarget ? 'in' : 'out') : ''),
      },
    ],
    [],
  )
  const region = useRef<HTMLElement>(null)
  const table = useTable({
    features,
    data: rows,
    columns: columns.map(({ accessorKey, header }) => ({ accessorKey, header })),
    initialState: { sorting: [{ id: 'at', desc: true }] },
  })
  const sorted = table.getRowModel().rows
  const shown = useVirtualizer({
    count: sorted.length,
    getScrollElement: () => region.current,
    estimateSize: () => ROW_PX,
    // What is not laid out, as on a hidden page, has no height: the usual one stands in.
    measureElement: row => row.getBoundingClientRect().height || ROW_PX,
    overscan: 12,
    // What has no size of its own, as in print, still shows its first rows.
    initialRect: { width: 900, height: 600 },
  })
  const items = shown.getVirtualItems()
  const above = items[0]?.start ?? 0
  const below = shown.getTotalSize() - (items.at(-1)?.end ?? 0)
  return (
    <ScrollRegion ref={region} label="Readings" className="max-h-[max(320px,calc(100dvh-350px))] overflow-auto">
      <table className="sheet min-w-[760px]" aria-rowcount={sorted.length + 1}>
        <thead className="sticky top-0 bg-ash">
          <tr>
            {table.getHeaderGroups()[0]?.headers.map(header => {
              const sorted = header.column.getIsSorted()
              return (
                <th
                  key={header.id}
                  aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                >
                  <button
                    type="button"
                    className="min-h-row text-left"
                    onClick={header.column.getToggleSortingHandler()}
                  >
                    {String(header.column.columnDef.header)}
                    {sorted === 'asc' ? ' ↑' : sorted === 'desc' ? ' ↓' : ''}
                  </button>
                </th>
              )
            })}
          </tr>
        </thead>
        <tbody>
          {above > 0 && <Gap px={above} columns={columns.length} />}
          {items.map(({ index }) => {
            const row = sorted[index]
            return (
              row && (
                <tr key={row.original.key} data-index={index} ref={shown.measureElement} aria-rowindex={index + 2}>
                  {columns.map(column => (
                    <td key={column.accessorKey} className={column.accessorKey === 'hrc' ? 'font-semibold' : undefined}>
                      {column.cell(row.original)}
                    </td>
                  ))}
                </tr>
              )
            )
          })}
          {below > 0 && <Gap px={below} columns={columns.length} />}
        </tbody>
      </table>
    </ScrollRegion>
  )
}
