import type { System } from '../../core/units/quantity'
import { minuteTicks, temperatureTicks } from '../ticks'

/** Where the frame is not laid out yet, px. */
export const USUAL_WIDTH = 760
/** Room a time below, and a temperature beside, takes, px. */
const TIME_PX = 86
const LEFT = 46
const RIGHT = 12
const FOOT = 22
const HEAD = 10
const ROOM_C = 20

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

export function plotScale(longestMin: number, hottestC: number, height: number, width = USUAL_WIDTH): PlotScale {
  const bottom = height - FOOT
  const x = (min: number) => LEFT + (min / longestMin) * (width - LEFT - RIGHT)
  const y = (c: number) => bottom - (c / hottestC) * (bottom - HEAD)
  return {
    width,
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
  const lines = temperatureTicks(ROOM_C, scale.hottestC, 6, system)
  const times = minuteTicks(scale.longestMin, Math.max(2, Math.floor(scale.width / TIME_PX)))
  return (
    <>
      {lines.map(({ value, c }) => (
        <g key={value}>
          <line
            x1={LEFT}
            x2={scale.width - RIGHT}
            y1={scale.y(c)}
            y2={scale.y(c)}
            className="stroke-rule"
            strokeWidth={0.7}
          />
          <text x={LEFT - 6} y={scale.y(c) + 4} fontSize={13} textAnchor="end" className="fill-ink-2">
            {value}
          </text>
        </g>
      ))}
      {times.map(({ min, label }) => (
        <text
          key={min}
          x={scale.x(min)}
          y={scale.height - 6}
          fontSize={13}
          textAnchor={scale.x(min) > scale.width - RIGHT - 20 ? 'end' : 'middle'}
          className="fill-ink-2"
        >
          {label}
        </text>
      ))}
    </>
  )
}
