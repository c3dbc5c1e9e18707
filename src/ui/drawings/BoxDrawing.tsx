import type { BoxBlade, BoxMm, BoxPlace } from '../../core/cold/box'
import { formatNumber, formatQuantity } from '../../core/units/quantity'
import { useSystem } from '../Units'
import { Wide } from '../Wide'
import type { Glow } from './glow'

interface Props {
  readonly box: BoxMm
  readonly blades: readonly BoxBlade[]
  readonly places: readonly BoxPlace[]
  /** The bath's surface from the floor, mm; null without one. */
  readonly levelMm: number | null
  readonly says: string
  /** The moment shown; null: the blades as they stand in the box. */
  readonly glow: Glow | null
}

const HEIGHT = 170
const WALL = 7
const HEAD = 22
const FOOT = 6
const BETWEEN = 34

/** The cold box to scale: a cut across it with the bath's level, and from above; the blades on edge where they stand. */
export function BoxDrawing({ box, blades, places, levelMm, says, glow }: Props) {
  const system = useSystem()
  const side = (mm: number) => formatNumber(mm, 'length', system)
  const size = `${side(box.length)} × ${side(box.width)} × ${formatQuantity(box.depth, 'length', system)}`
  const scale = Math.min(
    (HEIGHT - HEAD - FOOT - 2 * WALL) / Math.max(box.depth, box.width),
    (740 - BETWEEN - 4 * WALL) / (box.width + box.length),
  )
  const cut = { x: WALL, y: HEAD + WALL, w: box.width * scale, h: box.depth * scale }
  const above = { x: cut.x + cut.w + WALL + BETWEEN, y: cut.y, w: box.length * scale, h: box.width * scale }
  const surface = levelMm === null ? null : Math.min(box.depth, levelMm) * scale
  return (
    <Wide leastPx={760} label="Cold box">
      <svg
        viewBox={`0 0 760 ${HEIGHT}`}
        className="max-h-[190px] w-full"
        preserveAspectRatio="xMinYMid meet"
        role="img"
        aria-label={`Cold box, ${places.length} blades in it, ${says}`}
      >
        <text x={cut.x} y={12} fontSize={13} className="fill-ink-2">
          cut across, lid loose
        </text>
        <text x={above.x} y={12} fontSize={13} className="fill-ink-2">
          from above, {size} inside; {says}
        </text>
        <path d={`M${cut.x - WALL} ${HEAD - 1} H${cut.x + cut.w + WALL}`} className="stroke-ink" strokeWidth={3} />
        {surface !== null && (
          <>
            <rect x={cut.x} y={cut.y + cut.h - surface} width={cut.w} height={surface} className="fill-ice-wash" />
            <path d={`M${cut.x} ${cut.y + cut.h - surface} h${cut.w}`} className="stroke-ice" strokeWidth={1.4} />
            <rect x={above.x} y={above.y} width={above.w} height={above.h} className="fill-ice-wash" />
          </>
        )}
        {(glow === null || glow.where === 'cold') &&
          places.map(({ blade, alongMm, acrossMm, upMm }) => {
            const size = blades[blade]
            if (!size) return null
            return (
              <g key={blade} className="fill-ink-2" style={glow ? { fill: glow.colour } : undefined}>
                <rect
                  x={cut.x + acrossMm * scale}
                  y={cut.y + cut.h - (upMm + size.widthMm) * scale}
                  width={Math.max(1.2, size.thicknessMm * scale)}
                  height={size.widthMm * scale}
                />
                <rect
                  x={above.x + alongMm * scale}
                  y={above.y + acrossMm * scale}
                  width={size.lengthMm * scale}
                  height={Math.max(1.2, size.thicknessMm * scale)}
                />
              </g>
            )
          })}
        {[cut, above].map(({ x, y, w, h }) => (
          <rect
            key={x}
            x={x - WALL / 2}
            y={y - WALL / 2}
            width={w + WALL}
            height={h + WALL}
            fill="none"
            className="stroke-rule-strong"
            strokeWidth={WALL}
          />
        ))}
      </svg>
    </Wide>
  )
}
