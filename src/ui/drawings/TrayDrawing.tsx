import { type Outline, outlinePath } from '../../core/rockwell/outline'

import type { Glow } from './glow'

export interface TrayRow {
  readonly id: string
  readonly mark: string
  readonly lengthMm: number
  readonly widthMm: number
  readonly thicknessMm: number
  readonly count: number
  readonly outline?: Outline | undefined
}

/** The tray of blanks to one scale: an outline a line, with its mark and its thickness as a bar. */
export function TrayDrawing({ rows, glow }: { rows: readonly TrayRow[]; glow: Glow | null }) {
  if (rows.length === 0) return null
  const longest = Math.max(...rows.map(r => r.lengthMm))
  const gap = 16
  const columns = rows.length > 3 ? 2 : 1
  const columnMm = longest + 90
  const perColumn = Math.ceil(rows.length / columns)
  const heights = Array.from({ length: columns }, (_, c) =>
    rows.slice(c * perColumn, (c + 1) * perColumn).reduce((sum, r) => sum + r.widthMm + gap, 0),
  )
  return (
    <svg
      viewBox={`-1 -1 ${columnMm * columns + 2} ${Math.max(...heights) + 2}`}
      className="max-h-[210px] w-full"
      preserveAspectRatio="xMinYMin meet"
      role="img"
      aria-label={`Tray to scale: ${rows.map(r => `${r.count} of ${r.mark}`).join(', ')}`}
    >
      {rows.map((row, i) => {
        const column = Math.floor(i / perColumn)
        const above = rows.slice(column * perColumn, i).reduce((sum, r) => sum + r.widthMm + gap, 0)
        return (
          <g key={row.id} transform={`translate(${column * columnMm} ${above})`}>
            <path
              d={outlinePath(row)}
              className="fill-raised stroke-ink"
              strokeWidth={1}
              style={glow ? { fill: glow.colour } : undefined}
            />
            <rect x={row.lengthMm + 8} y={0} width={row.thicknessMm} height={row.widthMm} className="fill-ink-2" />
            <text
              x={row.lengthMm * 0.5}
              y={row.widthMm * 0.62}
              textAnchor="middle"
              fontSize={15}
              fontWeight={650}
              className="fill-ink"
            >
              {row.count > 1 ? `${row.mark} × ${row.count}` : row.mark}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
