import type { ControlChart } from '../../core/rockwell/control-chart'
import { Wide } from '../Wide'

interface Props {
  readonly values: readonly { readonly value: number; readonly label: string; readonly day: string }[]
  readonly chart: ControlChart
  readonly unit: string
}

const WIDTH = 900
const HEIGHT = 230
const RANGE_HEIGHT = 90
const LEFT = 54
const RIGHT = 96
const DAYS_HEIGHT = 16
const MOST_DAYS = 14

/** Individuals above, moving ranges below: centre, limits, and points that a rule names, marked by shape and number. */
export function ControlChartDrawing({ values, chart, unit }: Props) {
  const all = [...values.map(v => v.value), chart.upper, chart.lower]
  const [low, high] = [Math.min(...all) - 0.2, Math.max(...all) + 0.2]
  const x = (i: number) => LEFT + ((i + 0.5) / values.length) * (WIDTH - LEFT - RIGHT)
  const y = (v: number) => 12 + ((high - v) / (high - low)) * (HEIGHT - 24)
  const yr = (r: number) =>
    HEIGHT + RANGE_HEIGHT - 6 - (r / Math.max(0.1, chart.upperRange, ...chart.ranges)) * (RANGE_HEIGHT - 16)
  const signalled = new Map<number, number>()
  chart.signals.forEach((s, n) => {
    if (!signalled.has(s.index)) signalled.set(s.index, n + 1)
  })
  const rule = (v: number, name: string, dash?: string) => (
    <g key={name}>
      <line
        x1={LEFT}
        x2={WIDTH - RIGHT}
        y1={y(v)}
        y2={y(v)}
        className="stroke-ink-2"
        strokeWidth={0.8}
        strokeDasharray={dash}
      />
      <text x={WIDTH - RIGHT + 6} y={y(v) + 4} fontSize={13} className="fill-ink-2">
        {name} {v.toFixed(1).replace('-', '−')}
      </text>
    </g>
  )
  return (
    <Wide leastPx={WIDTH} label="Control chart">
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT + RANGE_HEIGHT + DAYS_HEIGHT}`}
        className="w-full"
        role="img"
        aria-label={`Control chart of ${values.length} batches, ${unit}: centre ${chart.centre.toFixed(2)}, limits ${chart.lower.toFixed(2)} to ${chart.upper.toFixed(2)}, ${chart.signals.length} signals`}
      >
        {rule(chart.upper, 'upper', '5 3')}
        {rule(chart.centre, 'centre')}
        {rule(chart.lower, 'lower', '5 3')}
        <path
          d={`M${values.map((v, i) => `${x(i).toFixed(1)} ${y(v.value).toFixed(1)}`).join('L')}`}
          fill="none"
          className="stroke-ink"
          strokeWidth={1.2}
        />
        {values.map((v, i) => {
          const n = signalled.get(i)
          return (
            <g key={i}>
              {n === undefined ? (
                <circle cx={x(i)} cy={y(v.value)} r={3.2} className="fill-ink" />
              ) : (
                <>
                  <rect
                    x={x(i) - 5}
                    y={y(v.value) - 5}
                    width={10}
                    height={10}
                    className="fill-ember"
                    transform={`rotate(45 ${x(i)} ${y(v.value)})`}
                  />
                  <text
                    x={x(i)}
                    y={y(v.value) - 10}
                    fontSize={13}
                    fontWeight={650}
                    textAnchor="middle"
                    className="fill-ember"
                  >
                    {n}
                  </text>
                </>
              )}
              <title>{`${v.label}: ${v.value.toFixed(2)}`}</title>
            </g>
          )
        })}
        {values.map(
          (v, i) =>
            i % Math.ceil(values.length / MOST_DAYS) === 0 && (
              <text
                key={i}
                x={x(i)}
                y={HEIGHT + RANGE_HEIGHT + DAYS_HEIGHT - 4}
                fontSize={13}
                textAnchor="middle"
                className="fill-ink-2"
              >
                {v.day}
              </text>
            ),
        )}
        <line
          x1={LEFT}
          x2={WIDTH - RIGHT}
          y1={yr(chart.upperRange)}
          y2={yr(chart.upperRange)}
          className="stroke-ink-2"
          strokeWidth={0.8}
          strokeDasharray="5 3"
        />
        <text x={WIDTH - RIGHT + 6} y={yr(chart.upperRange) + 4} fontSize={13} className="fill-ink-2">
          range {chart.upperRange.toFixed(1)}
        </text>
        <path
          d={`M${chart.ranges.map((r, i) => `${x(i + 1).toFixed(1)} ${yr(r).toFixed(1)}`).join('L')}`}
          fill="none"
          className="stroke-ink-2"
          strokeWidth={1}
        />
        <text x={LEFT - 8} y={y(chart.centre) + 4} fontSize={13} textAnchor="end" className="fill-ink-2">
          {unit}
        </text>
        <text x={LEFT - 8} y={HEIGHT + RANGE_HEIGHT / 2} fontSize={13} textAnchor="end" className="fill-ink-2">
          range
        </text>
      </svg>
    </Wide>
  )
}
