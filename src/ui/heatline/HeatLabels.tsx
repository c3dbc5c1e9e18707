import { formatBoth, formatQuantity, type System } from '../../core/units/quantity'
import { stretchWords } from '../../words/heatline'
import { type Label, placeLabels } from './place-labels'
import type { HeatScale, PlacedStretch } from './scale'

/** Soak, temper and cold are named at the curve; an oven's temperature stands in both scales. */
export function HeatLabels({ scale, system, right }: { scale: HeatScale; system: System; right: number }) {
  const labels = scale.placed.flatMap(placed => labelOf(placed, scale, system))
  return (
    <g fontSize={13}>
      {placeLabels(labels, scale, right).map(({ key, x, y, text, fill }) => (
        <text key={key} x={x} y={y} fill={fill}>
          {text}
        </text>
      ))}
    </g>
  )
}

function labelOf({ stretch, x0, x1 }: PlacedStretch, scale: HeatScale, system: System): Label[] {
  const c = stretch.points[0]?.[1] ?? 20
  const shown = formatQuantity(c, 'temperature', system)
  const at = (fill: string, text: string, matters: number): Label[] => [
    { key: `${x0}`, middle: (x0 + x1) / 2, text, fill, matters },
  ]
  if (stretch.phase === 'soak') return at('#ffd9a6', `${formatBoth(c, system)}, ${stretchWords(stretch.note)}`, 3)
  if (stretch.phase === 'temper') return at('#ecdcae', `${shown} ${stretchWords(stretch.note)}`, 2)
  if (stretch.phase === 'cold') return at('#a9dcf7', `${shown} ${stretchWords(stretch.note)}`, 2)
  if (stretch.note?.code !== 'load') return []
  const text = `load at ${shown}`
  return [{ key: `${x0}`, beside: { x: x0 - 8, y: scale.y(c) - 2 }, text, fill: '#f0a877', matters: 1 }]
}
