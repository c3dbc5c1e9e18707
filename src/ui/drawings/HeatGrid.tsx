import { formatNumber, type System } from '../../core/units/quantity'

const WIDTH = 760
const LEFT = 46
const RIGHT = 12
const FOOT = 22
const HEAD = 10
const PARTS = [0, 0.25, 0.5, 0.75, 1] as const

/** Minutes across, temperature up, in the box of a drawing. */
export interface PlotScale {
  readonly width: number
  readonly height: number
  readonly bottom: number
  readonly longestMin: number
  readonly hottestC: number
  readonly x: (min: number) => number
  readonly y: (c: number) => number
  /** A line through points, as a path; empty for fewer than two. */
  readonly path: (points: readonly (readonly [min: number, c: number])[]) => string
}

export function plotScale(longestMin: number, hottestC: number, height: number): PlotScale {
  const bottom = height - FOOT
  const x = (min: number) => LEFT + (min / longestMin) * (WIDTH - LEFT - RIGHT)
  const y = (c: number) => bottom - (c / hottestC) * (bottom - HEAD)
  return {
    width: WIDTH,
    height,
    bottom,
    longestMin,
    hottestC,
    x,
    y,
    path: points =>
      points.length > 1 ? `M${points.map(([m, c]) => `${x(m).toFixed(1)} ${y(c).toFixed(1)}`).join('L')}` : '',
  }
}

/** Lines of equal temperature and minutes below, behind any drawing of temperatures over time. */
export function HeatGrid({ scale, system }: { scale: PlotScale; system: System }) {
  const step = scale.hottestC > 700 ? 200 : 100
  const lines = Array.from({ length: Math.floor(scale.hottestC / step) }, (_, i) => (i + 1) * step)
  return (
    <>
      {lines.map(c => (
        <g key={c}>
          <line
            x1={LEFT}
            x2={WIDTH - RIGHT}
            y1={scale.y(c)}
            y2={scale.y(c)}
            className="stroke-rule"
            strokeWidth={0.7}
          />
          <text x={LEFT - 6} y={scale.y(c) + 4} fontSize={11.5} textAnchor="end" className="fill-ink-2">
            {formatNumber(c, 'temperature', system)}
          </text>
        </g>
      ))}
      {PARTS.map(part => (
        <text
          key={part}
          x={scale.x(part * scale.longestMin)}
          y={scale.height - 6}
          fontSize={11.5}
          textAnchor={part === 1 ? 'end' : 'middle'}
          className="fill-ink-2"
        >
          {Math.round(part * scale.longestMin)} min
        </text>
      ))}
    </>
  )
}
