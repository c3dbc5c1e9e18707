import { halfWidth95 } from '../../core/numeric/coverage'
import type { OffsetEstimate } from '../../core/oven/correction'
import { formatDifference, type System } from '../../core/units/quantity'
import { day } from '../dates'
import { Wide } from '../Wide'
import { OffsetGrid } from './OffsetGrid'

interface Props {
  /** The estimate as it stood after each piece of evidence, oldest first; at least two. */
  readonly drift: readonly (OffsetEstimate & { readonly at: string })[]
  readonly system: System
}

const [WIDTH, HEIGHT, LEFT, RIGHT, BOTTOM] = [330, 110, 50, 8, 88]

/** How far the blades are from the display, at one temperature, as it came to be known over time; bars are 95 %. */
export function DriftChart({ drift, system }: Props) {
  const times = drift.map(d => Date.parse(d.at))
  const [start, end] = [Math.min(...times), Math.max(...times)]
  const most = Math.ceil(Math.max(5, ...drift.map(d => Math.abs(d.meanK) + halfWidth95(d.sdK))) / 5) * 5
  const x = (ms: number) => LEFT + 8 + ((ms - start) / Math.max(1, end - start)) * (WIDTH - LEFT - RIGHT - 16)
  const y = (k: number) => BOTTOM / 2 + 4 - (k / most) * (BOTTOM / 2 - 8)
  const [first, last] = [drift[0], drift.at(-1)]
  return (
    <Wide leastPx={WIDTH} label="Drift">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        className="w-full"
        role="img"
        aria-label={`Drift: ${drift.map(d => `${formatDifference(d.meanK, system)} by ${day(d.at)}`).join(', ')}`}
      >
        <OffsetGrid levels={[-most, 0, most]} y={y} left={LEFT} right={WIDTH - RIGHT} system={system} />
        <path
          d={`M${drift.map((d, i) => `${x(times[i] as number).toFixed(1)} ${y(d.meanK).toFixed(1)}`).join('L')}`}
          fill="none"
          className="stroke-ember"
          strokeWidth={1.6}
        />
        {drift.map((d, i) => (
          <g key={`${d.at} ${i}`} className="stroke-ink fill-raised" strokeWidth={1.4}>
            <line
              x1={x(times[i] as number)}
              x2={x(times[i] as number)}
              y1={y(d.meanK - halfWidth95(d.sdK))}
              y2={y(d.meanK + halfWidth95(d.sdK))}
            />
            <circle cx={x(times[i] as number)} cy={y(d.meanK)} r={3} />
          </g>
        ))}
        {first && last && (
          <>
            <text x={LEFT} y={HEIGHT - 6} fontSize={13} className="fill-ink-2">
              {day(first.at)}
            </text>
            <text x={WIDTH - RIGHT} y={HEIGHT - 6} fontSize={13} textAnchor="end" className="fill-ink-2">
              {day(last.at)}
            </text>
          </>
        )}
      </svg>
    </Wide>
  )
}
