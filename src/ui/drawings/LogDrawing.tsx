import { useRef } from 'react'
import type { System } from '../../core/units/quantity'
import { useWidth } from '../use-width'
import { HeatGrid, plotScale, USUAL_WIDTH } from './HeatGrid'

export interface LogLine {
  readonly name: string
  readonly points: readonly (readonly [min: number, c: number])[]
  readonly look: 'logged' | 'model' | 'blade'
}

interface Props {
  readonly lines: readonly LogLine[]
  readonly system: System
  readonly label: string
  /** Temperature to mark across, °C. */
  readonly targetC?: number
  /** Moments to mark, minutes. */
  readonly marks?: readonly { readonly min: number; readonly name: string }[]
  readonly height?: number
}

const LOOKS: Readonly<Record<LogLine['look'], { className: string; width: number; dash?: string }>> = {
  logged: { className: 'stroke-ink', width: 1.6 },
  model: { className: 'stroke-ember', width: 1.6, dash: '5 3' },
  blade: { className: 'stroke-ember', width: 2.4 },
}

/** Temperatures over minutes, as they were logged and as the model has them. Lines are told apart by dash and name too. */
export function LogDrawing({ lines, system, label, targetC, marks = [], height = 220 }: Props) {
  const frame = useRef<HTMLElement>(null)
  const told = useWidth(frame)
  const width = told || USUAL_WIDTH
  const all = lines.flatMap(line => line.points)
  if (all.length === 0) return null
  const longest = Math.max(1, ...all.map(([min]) => min))
  const hottest = Math.max(200, targetC ?? 0, ...all.map(([, c]) => c)) * 1.04
  const scale = plotScale(longest, hottest, height, width)
  const { x, y, bottom } = scale
  return (
    <figure ref={frame}>
      {/* Until its width is told, its text would be drawn small for a moment. */}
      <svg
        viewBox={`0 0 ${width} ${height}`}
        className={`w-full ${told === 0 ? 'invisible' : ''}`}
        role="img"
        aria-label={label}
      >
        <HeatGrid scale={scale} system={system} />
        {targetC !== undefined && (
          <line
            x1={x(0)}
            x2={x(longest)}
            y1={y(targetC)}
            y2={y(targetC)}
            className="stroke-ember"
            strokeWidth={0.8}
            strokeDasharray="1 3"
          />
        )}
        {marks.map(mark => (
          <g key={mark.name}>
            <line
              x1={x(mark.min)}
              x2={x(mark.min)}
              y1={10}
              y2={bottom}
              className="stroke-ink-2"
              strokeWidth={0.8}
              strokeDasharray="2 3"
            />
            <text
              x={x(mark.min) + (mark.min > 0.9 * longest ? -4 : 4)}
              y={bottom - 6}
              fontSize={13}
              textAnchor={mark.min > 0.9 * longest ? 'end' : 'start'}
              className="fill-ink-2"
            >
              {mark.name}
            </text>
          </g>
        ))}
        {lines.map(line => {
          const look = LOOKS[line.look]
          return (
            <path
              key={line.name}
              d={scale.path(line.points)}
              fill="none"
              className={look.className}
              strokeWidth={look.width}
              strokeDasharray={look.dash}
              strokeLinejoin="round"
            />
          )
        })}
      </svg>
      <figcaption className="flex flex-wrap gap-x-5 text-note text-ink-2">
        {lines.map(line => (
          <span key={line.name} className="inline-flex items-center gap-1.5">
            <svg width="26" height="8" aria-hidden="true">
              <line
                x1="0"
                x2="26"
                y1="4"
                y2="4"
                className={LOOKS[line.look].className}
                strokeWidth={LOOKS[line.look].width}
                strokeDasharray={LOOKS[line.look].dash}
              />
            </svg>
            {line.name}
          </span>
        ))}
      </figcaption>
    </figure>
  )
}
