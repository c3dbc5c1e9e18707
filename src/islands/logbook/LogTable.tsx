import { createSortedRowModel, rowSortingFeature, sortFns, tableFeatures, useTable } from '@tanstack/react-table'
import { useVirtualizer } from '@tanstack/react-virtual'
import { useMemo, useRef } from 'react'
import { temperOf } from '../../core/batch/hardness-stages'
import type { LogRow } from '../../core/logbook/logbook'
import { format } from '../../ui/dates'
import { ScrollRegion } from '../../ui/ScrollRegion'
import { hrcText, signedText } from '../../words/speaker'
import { stageName } from '../../words/stages'

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

/** Every row of the log, sorted by any column; of a long one only those are drawn that are looked at. */
export default function LogTable({ rows }: { rows: readonly LogRow[] }) {
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
