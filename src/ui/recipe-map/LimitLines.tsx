import { memo } from 'react'
import type { RecipeMap } from '../../core/steel/recipe-map'
import type { AusteniteLimit } from './austenite-limit'
import type { MapAxes, MapLimits } from './axes'
import { linePath } from './contours'

/** Least corrosion index of a stainless steel: 10.5 % chromium. Source: EN 10088-1. */
const STAINLESS_INDEX = 10.5

interface Props {
  readonly map: RecipeMap
  readonly limits: MapLimits
  readonly axes: MapAxes
  /** Where retained austenite gets too much. */
  readonly austenite: AusteniteLimit
}

/** Austenite, corrosion and grain limits of the steel; what this oven and foil reach. Beyond a limit is hatched. */
export const LimitLines = memo(({ map, limits, axes, austenite }: Props) => {
  const { box } = axes
  const size = map.austenitizeC.length
  const grainC = crossing(map.austenitizeC, map.pinning)
  const shortfall = map.corrosion.slice(0, size).map(index => STAINLESS_INDEX / Math.max(0.1, index))
  const stainlessC = limits.robsAboveC === null ? null : crossing(map.austenitizeC, shortfall)
  const inside = (c: number) => c > axes.austenitizeC.min + 2 && c < axes.austenitizeC.max - 2
  const uprights = [
    ...(grainC !== null && inside(grainC) ? [{ c: grainC, text: 'grain coarsens', hatch: true }] : []),
    ...(inside(limits.ovenMaxC) ? [{ c: limits.ovenMaxC, text: 'hottest this oven goes', hatch: true }] : []),
    ...limits.foils
      .filter(foil => inside(foil.maxC))
      .map(foil => ({ c: foil.maxC, text: `foil ${foil.name} ends`, hatch: false })),
  ]
  const robs = limits.robsAboveC
  return (
    <g fontSize={13}>
      <defs>
        <pattern id="map-hatch" width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1={0} x2={0} y1={0} y2={7} style={{ stroke: 'var(--ink)' }} strokeWidth={1} opacity={0.28} />
        </pattern>
      </defs>
      {uprights
        .filter(u => u.hatch)
        .map(u => (
          <rect
            key={u.text}
            x={axes.x(u.c)}
            y={box.top}
            width={box.right - axes.x(u.c)}
            height={box.bottom - box.top}
            fill="url(#map-hatch)"
          />
        ))}
      {uprights.map((u, i) => (
        <g key={u.text}>
          <line
            x1={axes.x(u.c)}
            x2={axes.x(u.c)}
            y1={box.top}
            y2={box.bottom}
            style={{ stroke: 'var(--ink)' }}
            strokeDasharray="2 4"
          />
          <Name x={axes.x(u.c) - 5} y={box.top + 14 + 17 * i} anchor="end" colour="var(--ink)" text={u.text} />
        </g>
      ))}
      {austenite.lines.map((line, i) => (
        <path
          key={i}
          d={linePath(line)}
          fill="none"
          style={{ stroke: 'var(--bad)' }}
          strokeWidth={1.4}
          strokeDasharray="6 4"
        />
      ))}
      {austenite.name && <Name {...austenite.name} colour="var(--bad)" text="over 20 % retained austenite" />}
      {stainlessC !== null && inside(stainlessC) && robs !== null && (
        <g>
          <line
            x1={axes.x(stainlessC)}
            x2={axes.x(stainlessC)}
            y1={axes.y(robs)}
            y2={box.bottom}
            style={{ stroke: 'var(--ice)' }}
            strokeDasharray="1 4"
            strokeWidth={1.6}
          />
          <text
            transform={`translate(${axes.x(stainlessC) - 6} ${(axes.y(robs) + box.bottom) / 2}) rotate(-90)`}
            textAnchor="middle"
            style={{ fill: 'var(--ice)', stroke: 'var(--map-soft)', strokeWidth: 4, paintOrder: 'stroke' }}
          >
            too little chromium
          </text>
        </g>
      )}
      {robs !== null && robs > axes.temperC.min && robs < axes.temperC.max && (
        <g>
          <line
            x1={box.left}
            x2={box.right}
            y1={axes.y(robs)}
            y2={axes.y(robs)}
            style={{ stroke: 'var(--ice)' }}
            strokeDasharray="6 4"
            strokeWidth={1.4}
          />
          <Name
            x={box.left + 8}
            y={axes.y(robs) - 6}
            anchor="start"
            colour="var(--ice)"
            text="above here the edge rusts sooner"
          />
        </g>
      )}
    </g>
  )
})

interface NameProps {
  readonly x: number
  readonly y: number
  readonly anchor: 'start' | 'end'
  readonly colour: string
  readonly text: string
}

const Name = ({ x, y, anchor, colour, text }: NameProps) => (
  <text
    x={x}
    y={y}
    textAnchor={anchor}
    style={{ fill: colour, stroke: 'var(--map-soft)', strokeWidth: 4, paintOrder: 'stroke' }}
  >
    {text}
  </text>
)

/** Where values that fall along the austenitize temperature pass 1; null where they stay above it. */
function crossing(austenitizeC: readonly number[], values: readonly number[]): number | null {
  const at = values.findIndex(value => value < 1)
  if (at < 0) return null
  const [before, after] = [values[at - 1], values[at] as number]
  const [c0, c1] = [austenitizeC[at - 1], austenitizeC[at] as number]
  if (before === undefined || c0 === undefined) return c1
  return c0 + ((before - 1) / (before - after)) * (c1 - c0)
}
