import { type PointerEvent, useEffect, useMemo, useRef, useState } from 'react'
import type { StageHardness } from '../../core/hardness/hardness-trace'
import type { Moment } from '../../core/trace/cursor-time'
import type { TracePoint } from '../../core/trace/run-trace'
import type { Stretch } from '../../core/trace/timeline'
import type { System } from '../../core/units/quantity'
import { formatQuantity, formatTemperature } from '../../core/units/quantity'
import type { StationName } from '../../data/stations'
import { stretchWords } from '../../words/heatline'
import { useWidth } from '../use-width'
import { Curve, Strokes } from './Curve'
import { heatRgb } from './colour'
import { dashOf } from './dashes'
import { HardnessMarks } from './HardnessMarks'
import { MomentCursor, momentAtX } from './MomentCursor'
import { MomentPlayer } from './MomentPlayer'
import type { Label } from './place-labels'
import { placeLabels } from './place-labels'
import { StationLinks, type StationMarks } from './StationLinks'
import type { PlacedStretch } from './scale'
import { curveSegments, type HeatScale, heatScale } from './scale'

/** Soak, temper and cold are named at the curve; an oven's temperature stands in both scales. */
function HeatLabels({ scale, system, right }: { scale: HeatScale; system: System; right: number }) {
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
  if (stretch.phase === 'soak')
    return at('#ffd9a6', `${formatTemperature(c, system)}, ${stretchWords(stretch.note)}`, 3)
  if (stretch.phase === 'temper') return at('#ecdcae', `${shown} ${stretchWords(stretch.note)}`, 2)
  if (stretch.phase === 'cold') return at('#a9dcf7', `${shown} ${stretchWords(stretch.note)}`, 2)
  if (stretch.note?.code !== 'load') return []
  const text = `load at ${shown}`
  return [{ key: `${x0}`, beside: { x: x0 - 8, y: scale.y(c) - 2 }, text, fill: '#f0a877', matters: 1 }]
}

interface Props {
  readonly stretches: readonly Stretch[]
  /** Plans of the batch's other groups, drawn faint behind. */
  readonly others: readonly (readonly Stretch[])[]
  readonly system: System
  /** The way through a batch's benches; null where there is no batch to walk. */
  readonly stations: {
    readonly at: StationName
    readonly hrefOf: (station: StationName) => string
    readonly onStation: (station: StationName) => void
    readonly oil?: boolean
    readonly states: StationMarks
  } | null
  readonly trace: readonly TracePoint[]
  readonly now: TracePoint | null
  /** Hardness after each stage; none where there is no batch. */
  readonly hardness?: readonly StageHardness[]
  /** The moment that is looked at, and how another is chosen; absent where the line is only shown. */
  readonly moment?: { readonly at: Moment | null; readonly onMoment: (moment: Moment | null) => void }
}

const HEIGHT = 192
/** Height of the station names below the curve. */
const STATIONS_HEIGHT = 42
/** Below the curve where no stations stand. */
const FOOT = 10
const LEAST_WIDTH = 1120
/** Width of the player's buttons at the left of the line, px. */
const PLAYER_WIDTH = 240
const GRID_C = [-75, 200, 500, 800, 1066]

/** The batch as one curve of temperature, and the way through the product: stations are links on it. */
export default function HeatLine(props: Props) {
  const { stretches, system, stations, trace, now, moment } = props
  const [under, setUnder] = useState<Moment | null>(null)
  const [held, setHeld] = useState(false)
  const station = stations?.at
  const frame = useRef<HTMLDivElement>(null)
  const frameWidth = useWidth(frame)
  const width = Math.max(LEAST_WIDTH, frameWidth || 1208)
  const foot = stations ? STATIONS_HEIGHT : FOOT
  const height = HEIGHT - STATIONS_HEIGHT + foot
  const box = useMemo(() => ({ left: 16, right: width - 16, top: 26, bottom: height - foot }), [width, height, foot])
  const scale = useMemo(() => heatScale(stretches, box), [stretches, box])

  // Where the whole line is seen, and before it is known how much of it is, nothing is scrolled: it would force the page's layout.
  const isCut = frameWidth > 0 && frameWidth < width
  useEffect(() => {
    const place = isCut && scale.stations.find(s => s.name === station)
    if (place && frame.current) frame.current.scrollLeft = place.x - frameWidth / 2
  }, [station, scale, isCut, frameWidth])

  const curveBottom = HEIGHT - STATIONS_HEIGHT
  /** The moment under a pointer over the curve; the names of the stations below are links. */
  const momentUnder = (event: PointerEvent<SVGSVGElement>): Moment | null => {
    const frameBox = event.currentTarget.getBoundingClientRect()
    if (event.clientY - frameBox.top > curveBottom + 4) return null
    return momentAtX(scale, stretches, trace, event.clientX - frameBox.left) ?? null
  }
  const shownMoment = moment && (under ?? moment.at)

  return (
    <div className="relative">
      {moment && <MomentPlayer {...{ stretches, trace }} moment={moment.at} onMoment={moment.onMoment} />}
      <div
        ref={frame}
        className="overflow-x-auto overflow-y-hidden"
        // With nothing on it to be reached by keyboard the line itself is, to be scrolled.
        {...(!stations && !moment && { role: 'region', 'aria-label': 'Heat Line, scrolled sideways', tabIndex: 0 })}
      >
        {/* biome-ignore lint/a11y/useSemanticElements: a drawing has no fieldset. */}
        <svg
          width={width}
          height={height}
          className="block font-sans"
          role="group"
          aria-label="Heat Line: planned temperature of the blades, with the stations of the work"
          {...(moment && {
            onPointerDown: event => {
              const at = momentUnder(event)
              if (!at || event.button !== 0) return
              setHeld(true)
              moment.onMoment(at)
            },
            onPointerMove: event => {
              const at = momentUnder(event)
              if (held && at) moment.onMoment(at)
              setUnder(held ? null : at)
            },
            onPointerUp: () => setHeld(false),
            onPointerLeave: () => {
              setHeld(false)
              setUnder(null)
            },
          })}
        >
          {GRID_C.map(c => (
            <line
              key={c}
              x1={box.left}
              x2={box.right}
              y1={scale.y(c)}
              y2={scale.y(c)}
              stroke="#3d342c"
              strokeDasharray="1 5"
            />
          ))}
          <line x1={box.left} x2={box.right} y1={scale.y(20)} y2={scale.y(20)} stroke="#3d342c" />
          {props.others.map((other, i) => (
            <path
              key={i}
              d={pathOf(heatScale(other, box))}
              fill="none"
              stroke="#8a7866"
              strokeWidth={1.2}
              strokeDasharray={dashOf(i)}
            />
          ))}
          <Curve scale={scale} strokeWidth={2.25} />
          <Measured scale={scale} trace={trace} />
          <HeatLabels scale={scale} system={system} right={box.right} />
          {props.hardness && <HardnessMarks scale={scale} hardness={props.hardness} />}
          {now && (
            <NowMark
              x={scale.x(now.index, now.planMin)}
              y={scale.y(plannedAt(stretches, now))}
              bottom={box.bottom + 8}
            />
          )}
          {stations && (
            <StationLinks
              scale={scale}
              station={stations.at}
              bottom={HEIGHT}
              hrefOf={stations.hrefOf}
              onStation={stations.onStation}
              oil={stations.oil}
              states={stations.states}
            />
          )}
          {shownMoment && (
            <MomentCursor
              {...{ scale, stretches, trace }}
              moment={shownMoment}
              chosen={under === null}
              left={PLAYER_WIDTH}
              right={box.right}
              bottom={box.bottom + 4}
              onMoment={moment.onMoment}
            />
          )}
        </svg>
      </div>
    </div>
  )
}

function plannedAt(stretches: readonly Stretch[], { index, planMin }: TracePoint): number {
  const points = stretches[index]?.points ?? []
  const upper = points.findIndex(([min]) => min >= planMin)
  const a = points[Math.max(0, upper - 1)]
  const b = points[upper]
  if (!a || !b) return 20
  return b[0] === a[0] ? b[1] : a[1] + ((planMin - a[0]) / (b[0] - a[0])) * (b[1] - a[1])
}

const pathOf = (scale: HeatScale): string =>
  curveSegments(scale)
    .map(
      ({ x1, y1, x2, y2 }, i) =>
        `${i === 0 ? `M${x1.toFixed(1)} ${y1.toFixed(1)}` : ''}L${x2.toFixed(1)} ${y2.toFixed(1)}`,
    )
    .join('')

/** Display of the oven, solid. */
const Measured = ({ scale, trace }: { scale: HeatScale; trace: readonly TracePoint[] }) => (
  <Strokes
    strokeWidth={5.5}
    pieces={trace.slice(1).flatMap((b, i) => {
      const a = trace[i]
      const phase = scale.placed[b.index]?.stretch.phase ?? 'room'
      // A stretch between them was not in an oven, so nothing was measured there.
      if (!a || b.index - a.index > 1) return []
      const [x1, x2] = [scale.x(a.index, a.planMin), scale.x(b.index, b.planMin)]
      return [{ x1, y1: scale.y(a.c), x2, y2: scale.y(b.c), rgb: heatRgb((a.c + b.c) / 2, phase) }]
    })}
  />
)

/** Hangs below the curve, so that it crosses no label. */
function NowMark({ x, y, bottom }: { x: number; y: number; bottom: number }) {
  return (
    <g>
      <line x1={x} x2={x} y1={y} y2={bottom} stroke="#f3e9da" />
      <circle cx={x} cy={y} r={5} fill="#f3e9da" stroke="#1c1713" strokeWidth={2} />
      <title>Now</title>
    </g>
  )
}
