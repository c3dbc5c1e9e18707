import { formatDifference, type System } from '../../core/units/quantity'

interface Props {
  /** Differences to draw a line at, K. */
  readonly levels: readonly number[]
  readonly y: (k: number) => number
  readonly left: number
  readonly right: number
  readonly system: System
}

/** Lines of equal difference behind a drawing of blades against their oven's display. */
export function OffsetGrid({ levels, y, left, right, system }: Props) {
  return levels.map(k => (
    <g key={k}>
      <line
        x1={left}
        x2={right}
        y1={y(k)}
        y2={y(k)}
        className={k === 0 ? 'stroke-ink-2' : 'stroke-rule'}
        strokeWidth={0.8}
      />
      <text x={left - 6} y={y(k) + 4} fontSize={13} textAnchor="end" className="fill-ink-2">
        {formatDifference(k, system)}
      </text>
    </g>
  ))
}
