import { formatQuantity, type System } from '../../core/units/quantity'
import { Wide } from '../Wide'
import type { Glow } from './glow'

interface Size {
  readonly lengthMm: number
  readonly thicknessMm: number
}

interface Props {
  readonly plates: Size
  readonly blade: Size
  readonly mark: string
  /** Packets in pull order, the one drawn among them. */
  readonly waiting: readonly string[]
  readonly system: System
  /** The moment shown; null: the blade as it comes from the oven. */
  readonly glow: Glow | null
}

/** Plates from the side: lengths to scale, thicknesses drawn three times as large so that the blade can be seen. */
export function PlatesDrawing({ plates, blade, mark, waiting, system, glow }: Props) {
  const grow = 3
  const thick = Math.min(90, plates.thicknessMm * grow)
  const steel = Math.max(5, blade.thicknessMm * grow)
  const width = Math.max(plates.lengthMm, blade.lengthMm) + 40
  const height = 2 * thick + steel + 34
  const at = waiting.indexOf(mark)
  const between = glow === null || glow.where === 'plates'
  return (
    <figure>
      <Wide leastPx={640} label="Plates">
        <svg
          viewBox={`0 0 ${width + 150} ${height}`}
          className="max-h-[180px] w-full"
          preserveAspectRatio="xMinYMid meet"
          role="img"
          aria-label={`Two plates ${formatQuantity(plates.lengthMm, 'length', system)} long with ${mark} clamped between them`}
        >
          <rect x={0} y={20} width={plates.lengthMm} height={thick} className="fill-rule stroke-rule-strong" />
          <rect
            x={0}
            y={20 + thick + steel}
            width={plates.lengthMm}
            height={thick}
            className="fill-rule stroke-rule-strong"
          />
          <rect
            x={(plates.lengthMm - blade.lengthMm) / 2}
            y={20 + thick}
            width={blade.lengthMm}
            height={steel}
            fill={between ? (glow?.colour ?? '#f98124') : 'none'}
            className={between ? undefined : 'stroke-rule-strong'}
            strokeDasharray={between ? undefined : '6 5'}
          />
          <text x={plates.lengthMm / 2} y={13} fontSize={14.5} textAnchor="middle" className="fill-ink-2">
            {formatQuantity(plates.lengthMm, 'length', system)}, {formatQuantity(plates.thicknessMm, 'length', system)}{' '}
            thick; thickness drawn × {grow}
          </text>
          <text x={12} y={20 + thick / 2 + 4} fontSize={14.5} className="fill-ink">
            upper plate
          </text>
          <text x={12} y={20 + thick * 1.5 + steel + 4} fontSize={14.5} className="fill-ink">
            lower plate
          </text>
          <Waiting marks={waiting.slice(at + 1)} x={plates.lengthMm + 60} height={height} />
          <text
            x={plates.lengthMm + 12}
            y={20 + thick + steel / 2 + 4}
            fontSize={14.5}
            fontWeight={650}
            className="fill-ink"
          >
            {mark}
          </text>
        </svg>
      </Wide>
      <figcaption className="mt-1 text-small text-ink-2">
        Pull order:{' '}
        {waiting.map((name, i) => (
          <span key={name} className={i === at ? 'font-semibold text-ember' : undefined}>
            {name}{' '}
          </span>
        ))}
      </figcaption>
    </figure>
  )
}

const MOST_DRAWN = 10

/** Blades still in the oven, in pull order from the top. */
function Waiting({ marks, x, height }: { marks: readonly string[]; x: number; height: number }) {
  const step = Math.min(22, (height - 24) / Math.max(1, Math.min(marks.length, MOST_DRAWN)))
  return (
    <g>
      {marks.slice(0, MOST_DRAWN).map((mark, i) => (
        <g key={mark}>
          <line x1={x} x2={x + 52} y1={24 + i * step} y2={24 + i * step} stroke="#feb144" strokeWidth={4} />
          <text x={x + 60} y={28 + i * step} fontSize={14.5} className="fill-ink-2">
            {mark}
          </text>
        </g>
      ))}
    </g>
  )
}
