import { useMemo } from 'react'
import type { RecipeMap } from '../../core/steel/recipe-map'
import type { MapAxes, MapLimits } from './axes'
import { type Field, linePath, linesAt } from './contours'

/** More soft austenite than this is felt at an edge, 0..1; as in the cautions of a route. */
const MUCH_AUSTENITE = 0.2
/** Least chromium at work of a stainless steel, wt%. Source: EN 10088-1. */
const STAINLESS_CR = 10.5

/** Austenite, corrosion and grain limits of the steel; what this oven and foil reach. Beyond a limit is hatched. */
export function LimitLines({ map, limits, axes }: { map: RecipeMap; limits: MapLimits; axes: MapAxes }) {
  const { box } = axes
  const size = map.austenitizeC.length
  const retained = useMemo(() => {
    const field: Field = { size, values: map.retained }
    return linesAt(field, MUCH_AUSTENITE, box)
  }, [map, size, box])
  const rust = useMemo(() => {
    if (limits.robsAboveC === null) return []
    return linesAt({ size, values: map.corrosion }, STAINLESS_CR, box)
  }, [map, size, box, limits.robsAboveC])
  const grainC = crossing(map)
  const inside = (c: number) => c > axes.austenitizeC.min + 2 && c < axes.austenitizeC.max - 2
  const uprights = [
    ...(grainC !== null && inside(grainC) ? [{ c: grainC, text: 'grain coarsens', hatch: true }] : []),
    ...(inside(limits.ovenMaxC) ? [{ c: limits.ovenMaxC, text: 'this oven ends', hatch: true }] : []),
    ...limits.foils
      .filter(foil => inside(foil.maxC))
      .map(foil => ({ c: foil.maxC, text: `foil ${foil.name} ends`, hatch: false })),
  ]
  const robs = limits.robsAboveC
  return (
    <g fontSize={12}>
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
      {retained.map((line, i) => (
        <path
          key={i}
          d={linePath(line)}
          fill="none"
          style={{ stroke: 'var(--bad)' }}
          strokeWidth={1.4}
          strokeDasharray="6 4"
        />
      ))}
      {retained[0] && <EndName line={retained[0]} axes={axes} colour="var(--bad)" text="over 20 % soft austenite" />}
      {rust.map((line, i) => (
        <path
          key={i}
          d={linePath(line)}
          fill="none"
          style={{ stroke: 'var(--ice)' }}
          strokeWidth={1.4}
          strokeDasharray="1 4"
          strokeLinecap="round"
        />
      ))}
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
}

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

/** Names a line at its lower end, on the side that has room. */
function EndName({
  line,
  axes,
  colour,
  text,
}: {
  line: readonly (readonly [number, number])[]
  axes: MapAxes
  colour: string
  text: string
}) {
  const low = line.reduce((a, b) => (b[1] > a[1] ? b : a))
  const y = Math.min(axes.box.bottom - 10, low[1] - 8)
  const roomRight = axes.box.right - low[0]
  return roomRight > 160 ? (
    <Name x={low[0] + 8} y={y} anchor="start" colour={colour} text={text} />
  ) : (
    <Name x={low[0] - 8} y={y} anchor="end" colour={colour} text={text} />
  )
}

/** Soak temperature at which the grain is no longer held; null where it is held all along. */
function crossing({ austenitizeC, pinning }: RecipeMap): number | null {
  const at = pinning.findIndex(value => value < 1)
  if (at < 0) return null
  const [before, after] = [pinning[at - 1], pinning[at]] as [number | undefined, number]
  const [c0, c1] = [austenitizeC[at - 1], austenitizeC[at]] as [number | undefined, number]
  if (before === undefined || c0 === undefined) return c1
  return c0 + ((before - 1) / (before - after)) * (c1 - c0)
}
