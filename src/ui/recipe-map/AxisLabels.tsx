import type { System } from '../../core/units/quantity'
import { temperatureTicks } from '../ticks'
import type { MapAxes } from './axes'

/** Distance of the soak axis's name from the left of the map, and its reach into it, px. */
const NAME_LEFT = 46
const NAME_REACHES = 38
/** Half of a tick's figure, px. */
const HALF_FIGURE = 16

/** Ticks in the shown scale below and left. */
export function AxisLabels({ axes, system }: { axes: MapAxes; system: System }) {
  const { box } = axes
  const unit = system === 'metric' ? '°C' : '°F'
  const narrow = box.right - box.left < 420
  // One that would stand in the axis's name is left out.
  const ticks = temperatureTicks(axes.austenitizeC.min, axes.austenitizeC.max, narrow ? 4 : 7, system).filter(
    ({ c }) => axes.x(c) - HALF_FIGURE >= box.left + NAME_REACHES,
  )
  return (
    <g fontSize={13} style={{ fill: 'var(--ink-2)' }}>
      {ticks.map(({ value, c }) => (
        <g key={value} textAnchor="middle">
          <line
            x1={axes.x(c)}
            x2={axes.x(c)}
            y1={box.bottom}
            y2={box.bottom + 4}
            style={{ stroke: 'var(--rule-strong)' }}
          />
          <text x={axes.x(c)} y={box.bottom + 17}>
            {value}
          </text>
        </g>
      ))}
      {temperatureTicks(axes.temperC.min, axes.temperC.max, 7, system).map(({ value, c }) => (
        <text key={value} x={box.left - 8} y={axes.y(c) + 4} textAnchor="end">
          {value}
        </text>
      ))}
      <text x={box.left - NAME_LEFT} y={box.bottom + 17}>
        austenitize {unit}
      </text>
      <text transform={`translate(${box.left - 42} ${box.top + 56}) rotate(-90)`} textAnchor="middle">
        temper {unit}
      </text>
    </g>
  )
}
