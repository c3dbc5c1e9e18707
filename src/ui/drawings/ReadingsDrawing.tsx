import { type Outline, outlinePath } from '../../core/blade/outline'

interface Props {
  readonly lengthMm: number
  readonly widthMm: number
  readonly outline?: Outline | undefined
  readonly mark: string
  readonly readings: readonly number[]
  /** Distances the indents need, mm. */
  readonly edgeMm: number
  readonly spacingMm: number
}

/** Places a reading hides best: on the flat of the tang, where a scale will cover it. */
const FIRST_AT = 0.06
const SHARE = 0.24

/** A blade with its readings in the order taken, on the tang, and the room each indent needs. */
export function ReadingsDrawing({ lengthMm, widthMm, outline, mark, readings, edgeMm, spacingMm }: Props) {
  const step = Math.max(spacingMm, (lengthMm * SHARE) / Math.max(3, readings.length))
  return (
    <svg
      viewBox={`-4 -26 ${lengthMm + 8} ${widthMm + 34}`}
      className="max-h-[210px] w-full"
      preserveAspectRatio="xMinYMid meet"
      role="img"
      aria-label={`Blade ${mark} with readings ${readings.join(', ') || 'none yet'}`}
    >
      <path d={outlinePath({ lengthMm, widthMm, outline })} className="fill-raised stroke-ink" strokeWidth={0.8} />
      <text x={lengthMm * 0.6} y={widthMm * 0.6} fontSize={widthMm * 0.34} fontWeight={650} className="fill-ink-2">
        {mark}
      </text>
      {readings.map((hrc, i) => {
        const x = lengthMm * FIRST_AT + i * step
        return (
          <g key={i}>
            <circle cx={x} cy={widthMm * 0.3} r={edgeMm} className="fill-ember-wash stroke-ember" strokeWidth={0.4} />
            <circle cx={x} cy={widthMm * 0.3} r={0.6} className="fill-ember" />
            <text
              x={x}
              y={i % 2 === 0 ? -5 : -14}
              textAnchor="middle"
              fontSize={8.5}
              fontWeight={600}
              className="fill-ink"
            >
              {hrc.toFixed(1)}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
