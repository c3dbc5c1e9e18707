import { halfWidth95 } from '../../core/numeric/coverage'
import type { OffsetEstimate, OffsetObservation } from '../../core/oven/correction'
import { formatDifference, formatNumber, type System } from '../../core/units/quantity'
import { temperatureTicks } from '../ticks'
import { Wide } from '../Wide'
import { OffsetGrid } from './OffsetGrid'

interface Props {
  readonly observations: readonly OffsetObservation[]
  readonly line: (atC: number) => OffsetEstimate
  readonly system: System
}

const WIDTH = 760
const HEIGHT = 210
const LEFT = 58
const BOTTOM = 182
const [COLD, HOT] = [100, 1200]
const SHAPES = { sensor: 'sensor check', survey: 'survey', hardness: 'hardness' } as const

/** Blades against display over temperature: what was measured, and the line with its 95 % band. Kinds differ by shape. */
export function CorrectionChart({ observations, line, system }: Props) {
  const reach = Math.max(10, ...observations.map(o => Math.abs(o.offsetK) + 2 * o.sdK))
  const most = Math.ceil((Math.min(60, reach) + 1) / 5) * 5
  const x = (c: number) => LEFT + ((c - COLD) / (HOT - COLD)) * (WIDTH - LEFT - 14)
  const y = (k: number) => BOTTOM / 2 + 6 - (Math.max(-most, Math.min(most, k)) / most) * (BOTTOM / 2 - 12)
  const steps = Array.from({ length: 45 }, (_, i) => COLD + (i * (HOT - COLD)) / 44)
  const edge = (side: number) => steps.map(c => [x(c), y(line(c).meanK + side * halfWidth95(line(c).sdK))] as const)
  const text = (points: readonly (readonly [number, number])[]) =>
    points.map(([a, b]) => `${a.toFixed(1)} ${b.toFixed(1)}`).join('L')
  return (
    <figure>
      <Wide leastPx={WIDTH} label="Correction">
        <svg
          viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
          className="w-full"
          role="img"
          aria-label={`Blades against display: ${observations.map(o => `${SHAPES[o.kind]} ${formatDifference(o.offsetK, system)} at ${formatNumber(o.atC, 'temperature', system)}`).join(', ')}`}
        >
          <OffsetGrid
            levels={[-most, -most / 2, 0, most / 2, most]}
            y={y}
            left={LEFT}
            right={WIDTH - 14}
            system={system}
          />
          {temperatureTicks(COLD, HOT, 6, system).map(({ value, c }) => (
            <text
              key={value}
              x={x(c)}
              y={HEIGHT - 8}
              fontSize={13}
              textAnchor={c > HOT - 30 ? 'end' : 'middle'}
              className="fill-ink-2"
            >
              {value}
            </text>
          ))}
          <path d={`M${text(edge(1))}L${text([...edge(-1)].reverse())}Z`} className="fill-ember" opacity={0.14} />
          <path
            d={`M${text(steps.map(c => [x(c), y(line(c).meanK)] as const))}`}
            fill="none"
            className="stroke-ember"
            strokeWidth={2}
          />
          {observations.map(o => (
            <g key={o.id} className="stroke-ink fill-raised" strokeWidth={1.6}>
              <line
                x1={x(o.atC)}
                x2={x(o.atC)}
                y1={y(o.offsetK - halfWidth95(o.sdK))}
                y2={y(o.offsetK + halfWidth95(o.sdK))}
              />
              {o.kind === 'sensor' && <circle cx={x(o.atC)} cy={y(o.offsetK)} r={4.5} />}
              {o.kind === 'survey' && <rect x={x(o.atC) - 4.5} y={y(o.offsetK) - 4.5} width={9} height={9} />}
              {o.kind === 'hardness' && <path d={`M${x(o.atC)} ${y(o.offsetK) - 6}l6 11h-12z`} />}
            </g>
          ))}
        </svg>
      </Wide>
      <figcaption className="text-note text-ink-2">
        Blades against the display over its temperature: ○ sensor check, □ survey, △ hardness; line and 95 % band from
        all of them.
      </figcaption>
    </figure>
  )
}
