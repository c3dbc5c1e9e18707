import { formatBoth, formatQuantity, type System } from '../../core/units/quantity'
import { stretchWords } from '../../words/heatline'
import type { HeatScale, PlacedStretch } from './scale'

interface Label {
  readonly x: number
  readonly y: number
  readonly text: string
  readonly fill: string
  readonly anchor: 'start' | 'middle' | 'end'
}

const ABOVE = 9

/** Soak, temper and cold are named at the curve; an oven's temperature stands in both scales. */
export function HeatLabels({ scale, system }: { scale: HeatScale; system: System }) {
  return (
    <g fontSize={12.5}>
      {scale.placed
        .flatMap(placed => labelOf(placed, scale, system))
        .map(label => (
          <text key={`${label.x} ${label.text}`} x={label.x} y={label.y} fill={label.fill} textAnchor={label.anchor}>
            {label.text}
          </text>
        ))}
    </g>
  )
}

function labelOf({ stretch, x0, x1 }: PlacedStretch, scale: HeatScale, system: System): Label[] {
  const c = stretch.points[0]?.[1] ?? 20
  const x = (x0 + x1) / 2
  const shown = formatQuantity(c, 'temperature', system)
  const at = (fill: string, text: string): Label[] => [{ x, y: scale.y(c) - ABOVE, text, fill, anchor: 'middle' }]
  if (stretch.phase === 'soak') return at('#ffd9a6', `${formatBoth(c, system)}, ${stretchWords(stretch.note)}`)
  if (stretch.phase === 'temper') return at('#ecdcae', `${shown} ${stretchWords(stretch.note)}`)
  if (stretch.phase === 'cold') return at('#a9dcf7', `${shown} ${stretchWords(stretch.note)}`)
  if (stretch.note?.code === 'load')
    return [{ x: x0 - 8, y: scale.y(c) - 2, text: `load at ${shown}`, fill: '#f0a877', anchor: 'end' }]
  return []
}
