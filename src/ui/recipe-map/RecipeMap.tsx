import { memo, useMemo, useRef } from 'react'
import type { Answer } from '../../core/contract/questions'
import type { TargetHrc } from '../../core/rockwell/target'
import type { Contour } from '../../core/steel/contours'
import type { System } from '../../core/units/quantity'
import { useWidth } from '../use-width'
import { AxisLabels } from './AxisLabels'
import { austeniteLimit } from './austenite-limit'
import { axesOf, type MapLimits, type MapPoint } from './axes'
import { areaPath, type Field, type PlotBox } from './contours'
import { HardnessLines } from './HardnessLines'
import { LimitLines } from './LimitLines'
import { PointHandle } from './PointHandle'

type MapData = Answer<'recipe-map'>

interface Props {
  readonly map: MapData
  readonly target: TargetHrc
  readonly points: readonly MapPoint[]
  readonly limits: MapLimits
  readonly system: System
  readonly height: number
  /** A point is dragged: told at each step, and once settled. */
  readonly onMove: (key: string, austenitizeC: number, temperC: number, settled: boolean) => void
}

/** Finished hardness over soak and temper: dragged points, hardness lines, and the limits of steel and shop. */
export function RecipeMap({ map, target, points, limits, system, height, onMove }: Props) {
  const frame = useRef<HTMLDivElement>(null)
  const width = Math.max(300, useWidth(frame) || 620)
  const box = useMemo((): PlotBox => ({ left: 56, right: width - 12, top: 12, bottom: height - 40 }), [width, height])
  const field = useMemo((): Field => ({ size: map.austenitizeC.length, values: map.hrc }), [map])
  const axes = useMemo(() => axesOf(map, box), [map, box])
  const austenite = useMemo(() => austeniteLimit(map.austenite, axes), [map, axes])
  const { min, max } = target
  const says = useMemo(() => described(map, { min, max }), [map, min, max])
  return (
    <div ref={frame} className="relative" style={{ height }}>
      <svg width={width} height={height} className="block" role="img" aria-label={says}>
        <Bands contours={map.contours} box={box} />
        <HardnessLines
          contours={map.contours}
          box={box}
          least={min}
          most={max}
          taken={[...points.map(p => axes.place(p)), ...austenite.taken]}
        />
        <LimitLines map={map} limits={limits} axes={axes} austenite={austenite} />
        <AxisLabels axes={axes} system={system} />
      </svg>
      {points.map((point, i) => (
        <PointHandle
          key={point.key}
          point={point}
          crowded={points.slice(i + 1).some(other => overlap(axes.place(point), axes.place(other)))}
          field={field}
          axes={axes}
          system={system}
          onMove={onMove}
        />
      ))}
    </div>
  )
}

/** Two points so near that one's name would cover the other. */
const overlap = (a: readonly [number, number], b: readonly [number, number]) =>
  Math.abs(a[0] - b[0]) < 70 && Math.abs(a[1] - b[1]) < 24

/** Tint by hardness, from cold grey through straw to ember: the harder, the more ember. */
const Bands = memo(({ contours, box }: { contours: readonly Contour[]; box: PlotBox }) => {
  const softest = contours[0]?.level ?? 0
  const hardest = contours.at(-1)?.level ?? 0
  return (
    <g>
      <rect
        x={box.left}
        y={box.top}
        width={box.right - box.left}
        height={box.bottom - box.top}
        style={{ fill: 'var(--map-soft)' }}
      />
      {contours.map(contour => {
        const part = Math.round((100 * (contour.level - softest)) / Math.max(1, hardest - softest))
        return (
          <path
            key={contour.level}
            d={areaPath(contour, box)}
            style={{
              fill:
                part < 50
                  ? `color-mix(in oklab, var(--map-middle) ${2 * part}%, var(--map-soft))`
                  : `color-mix(in oklab, var(--map-hard) ${2 * part - 100}%, var(--map-middle))`,
            }}
          />
        )
      })}
    </g>
  )
})

const described = (map: MapData, target: TargetHrc) => {
  const inside = map.hrc.filter(hrc => hrc >= target.min && hrc <= target.max).length
  return `Recipe map: hardness from ${Math.min(...map.hrc).toFixed(0)} to ${Math.max(...map.hrc).toFixed(0)} HRC over soak ${Math.round(map.austenitizeC[0] ?? 0)} to ${Math.round(map.austenitizeC.at(-1) ?? 0)} °C and temper ${Math.round(map.temperC[0] ?? 0)} to ${Math.round(map.temperC.at(-1) ?? 0)} °C; ${Math.round((100 * inside) / map.hrc.length)} % of it is in the target`
}
