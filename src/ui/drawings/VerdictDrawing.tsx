interface Bar {
  readonly mean: number
  readonly half: number
}

import { Wide } from '../Wide'

interface Props {
  readonly target: { readonly min: number; readonly max: number }
  readonly measured: Bar
  readonly options: readonly (Bar & { readonly label: string })[]
}

const LEFT = 130
const WIDTH = 640
const ROW = 26

/** Plots the measured hardness and the result of each option, with 95 % intervals, against the target. */
export function VerdictDrawing({ target, measured, options }: Props) {
  const rows = [{ label: 'measured', ...measured }, ...options]
  const low = Math.floor(Math.min(target.min, ...rows.map(r => r.mean - Math.min(4, r.half))) - 0.5)
  const high = Math.ceil(Math.max(target.max, ...rows.map(r => r.mean + Math.min(4, r.half))) + 0.5)
  const x = (hrc: number) => LEFT + ((Math.min(high, Math.max(low, hrc)) - low) / (high - low)) * (WIDTH - LEFT - 20)
  const height = rows.length * ROW + 34
  return (
    <Wide leastPx={520} label="Options">
      <svg
        viewBox={`0 0 ${WIDTH} ${height}`}
        className="max-h-[160px] w-full"
        preserveAspectRatio="xMinYMid meet"
        role="img"
        aria-label={rows.map(r => `${r.label} ${r.mean.toFixed(1)} ± ${r.half.toFixed(1)}`).join('; ')}
      >
        <rect
          x={x(target.min)}
          width={x(target.max) - x(target.min)}
          y={0}
          height={height - 22}
          className="fill-ember-wash"
        />
        <text
          x={x((target.min + target.max) / 2)}
          y={height - 6}
          textAnchor="middle"
          fontSize={13}
          className="fill-ember"
        >
          target {target.min} to {target.max}
        </text>
        {rows.map((row, i) => {
          const y = 18 + i * ROW
          return (
            <g key={row.label}>
              <text x={0} y={y + 4} fontSize={13} className="fill-ink">
                {row.label}
              </text>
              <line
                x1={x(row.mean - row.half)}
                x2={x(row.mean + row.half)}
                y1={y}
                y2={y}
                className="stroke-ink-2"
                strokeWidth={2}
              />
              <circle cx={x(row.mean)} cy={y} r={5} className={i === 0 ? 'fill-ink' : 'fill-ember'} />
              <text x={x(row.mean)} y={y - 8} textAnchor="middle" fontSize={13} fontWeight={600} className="fill-ink">
                {row.mean.toFixed(1)}
              </text>
            </g>
          )
        })}
      </svg>
    </Wide>
  )
}
