import { useRef, useState } from 'react'
import type { Cut } from '../../core/foil/check-layout'
import type { Placement } from '../../core/foil/cut-plan'

interface Props {
  readonly rollWidthMm: number
  readonly usedLengthMm: number
  readonly layout: readonly Placement[]
  readonly marks: readonly string[]
  /** Pairs that overlap and sheets over the edge, by index. */
  readonly overlaps: readonly (readonly [number, number])[]
  readonly outside: readonly number[]
  readonly cuts: readonly Cut[] | null
  readonly lengthText: (mm: number) => string
  readonly mayTurn: boolean
  readonly onMove: (index: number, place: Placement) => void
}

/** A sheet within this of an edge or a neighbour comes to lie against it, mm. */
const SNAP_MM = 14
const STEP_MM = 5
const END = 60
const HEIGHT = 330

/** The roll from its free end, to scale, running to the right. Sheets are dragged; the shear lines stand in their order. */
export function RollBoard(props: Props) {
  const { rollWidthMm, usedLengthMm, layout, marks, cuts, lengthText, mayTurn, onMove } = props
  const svg = useRef<SVGSVGElement>(null)
  const [drag, setDrag] = useState<{ index: number; dx: number; dy: number; place: Placement } | null>(null)
  const wrong = new Set([...props.overlaps.flat(), ...props.outside])
  const width = usedLengthMm + END + 150
  const scale = Math.max(width / 760, rollWidthMm / (HEIGHT - 64))
  const mmAt = (event: React.PointerEvent) => {
    const point = svg.current?.createSVGPoint()
    const matrix = svg.current?.getScreenCTM()
    if (!point || !matrix) return { x: 0, y: 0 }
    point.x = event.clientX
    point.y = event.clientY
    const { x, y } = point.matrixTransform(matrix.inverse())
    return { x, y }
  }
  const turned = (place: Placement): Placement => ({
    ...place,
    rotated: !place.rotated,
    acrossMm: place.alongMm,
    alongMm: place.acrossMm,
  })
  const onKey = (index: number, place: Placement) => (event: React.KeyboardEvent) => {
    const step = { ArrowLeft: [0, -1], ArrowRight: [0, 1], ArrowUp: [-1, 0], ArrowDown: [1, 0] }[event.key]
    const turn = mayTurn && event.key.toLowerCase() === 'r'
    if (!step && !turn) return
    event.preventDefault()
    event.stopPropagation()
    const by = event.shiftKey ? 10 * STEP_MM : STEP_MM
    onMove(
      index,
      step
        ? { ...place, xMm: place.xMm + (step[0] ?? 0) * by, yMm: Math.max(0, place.yMm + (step[1] ?? 0) * by) }
        : turned(place),
    )
  }
  return (
    <svg
      ref={svg}
      viewBox={`${-24 * scale} ${-22 * scale} ${Math.max(width + 24 * scale, 790 * scale)} ${rollWidthMm + 50 * scale}`}
      className="w-full touch-none select-none"
      style={{ maxHeight: HEIGHT }}
      preserveAspectRatio="xMinYMin meet"
      role="group"
      aria-label={`Cut plan on a roll ${lengthText(rollWidthMm)} wide: ${lengthText(usedLengthMm)} used, ${layout.length} sheets`}
    >
      <rect x={0} y={0} width={usedLengthMm + END} height={rollWidthMm} className="fill-raised" />
      <path
        d={`M${usedLengthMm + END} 0 H0 V${rollWidthMm} H${usedLengthMm + END}`}
        fill="none"
        className="stroke-rule-strong"
        strokeWidth={1.5 * scale}
      />
      {layout.map((placed, i) => {
        const place = drag?.index === i ? drag.place : placed
        return (
          <g
            key={i}
            role="button"
            tabIndex={0}
            aria-label={`Sheet for ${marks[i]}, ${lengthText(place.yMm)} from the free end, ${lengthText(place.xMm)} from the edge${wrong.has(i) ? ', does not fit here' : ''}. Arrows move it${mayTurn ? ', R turns it' : ''}.`}
            className="cursor-grab"
            onKeyDown={onKey(i, placed)}
            onPointerDown={event => {
              event.currentTarget.setPointerCapture(event.pointerId)
              const at = mmAt(event)
              setDrag({ index: i, dx: at.x - placed.yMm, dy: at.y - placed.xMm, place: placed })
            }}
            onPointerMove={event => {
              if (drag?.index !== i) return
              const at = mmAt(event)
              const free = { ...placed, yMm: Math.max(0, at.x - drag.dx), xMm: at.y - drag.dy }
              setDrag({ ...drag, place: snapped(free, layout, i, rollWidthMm) })
            }}
            onPointerUp={() => {
              if (drag?.index === i && (drag.place.xMm !== placed.xMm || drag.place.yMm !== placed.yMm))
                onMove(i, drag.place)
              setDrag(null)
            }}
            onPointerCancel={() => setDrag(null)}
            onDoubleClick={() => mayTurn && onMove(i, turned(placed))}
          >
            <rect
              x={place.yMm}
              y={place.xMm}
              width={place.alongMm}
              height={place.acrossMm}
              className={wrong.has(i) ? 'fill-ember-wash stroke-bad' : 'fill-ember-wash stroke-ink-2'}
              strokeWidth={(wrong.has(i) ? 3 : 1) * scale}
              opacity={drag?.index === i ? 0.8 : 1}
            />
            <FoldLine place={place} scale={scale} />
            <text
              x={place.yMm + place.alongMm / 2}
              y={place.xMm + place.acrossMm / 2 + 5 * scale}
              textAnchor="middle"
              fontSize={13 * scale}
              fontWeight={650}
              className="fill-ink"
            >
              {marks[i]}
            </text>
          </g>
        )
      })}
      <ShearLines cuts={drag ? null : cuts} rollWidthMm={rollWidthMm} scale={scale} />
      <text x={0} y={-8 * scale} fontSize={12 * scale} className="fill-ink-2">
        free end
      </text>
      <text x={usedLengthMm + END + 8 * scale} y={rollWidthMm / 2} fontSize={12 * scale} className="fill-ink-2">
        roll, {lengthText(rollWidthMm)}
      </text>
    </svg>
  )
}

/** The way the sheet folds in half: along its own length. */
function FoldLine({ place, scale }: { place: Placement; scale: number }) {
  const [x, y] = [place.yMm + place.alongMm / 2, place.xMm + place.acrossMm / 2]
  const ends = place.rotated
    ? { x1: x, x2: x, y1: place.xMm, y2: place.xMm + place.acrossMm }
    : { x1: place.yMm, x2: place.yMm + place.alongMm, y1: y, y2: y }
  return (
    <line
      {...ends}
      className="stroke-ink-2"
      strokeWidth={0.8 * scale}
      strokeDasharray={`${4 * scale} ${4 * scale}`}
      opacity={0.6}
    />
  )
}

/** Across the whole roll bold, numbered in the order they are made; inside a section thin. */
function ShearLines({ cuts, rollWidthMm, scale }: { cuts: readonly Cut[] | null; rollWidthMm: number; scale: number }) {
  const isWhole = (cut: Cut) => cut.kind === 'across' && cut.toMm - cut.fromMm >= rollWidthMm - 1
  const whole = (cuts ?? []).filter(isWhole)
  return (
    <g className="pointer-events-none">
      {(cuts ?? [])
        .filter(cut => !isWhole(cut))
        .map((cut, i) => {
          const across = cut.kind === 'across'
          return (
            <line
              key={i}
              x1={across ? cut.atMm : cut.fromMm}
              x2={across ? cut.atMm : cut.toMm}
              y1={across ? cut.fromMm : cut.atMm}
              y2={across ? cut.toMm : cut.atMm}
              className="stroke-ember"
              strokeWidth={1.2 * scale}
            />
          )
        })}
      {whole.map((cut, i) => (
        <g key={cut.atMm}>
          <line
            x1={cut.atMm}
            x2={cut.atMm}
            y1={-4 * scale}
            y2={rollWidthMm + 6 * scale}
            className="stroke-ember"
            strokeWidth={2.5 * scale}
          />
          <text
            x={cut.atMm}
            y={rollWidthMm + 20 * scale}
            textAnchor="middle"
            fontSize={12 * scale}
            className="fill-ink-2"
          >
            {i + 1}
          </text>
        </g>
      ))}
    </g>
  )
}

/** Against the roll's edges or a neighbour's, whichever is near. */
function snapped(place: Placement, layout: readonly Placement[], own: number, rollWidthMm: number): Placement {
  const others = layout.filter((_, i) => i !== own)
  const nearest = (at: number, size: number, edges: readonly number[]) => {
    const tries = edges.flatMap(edge => [edge, edge - size])
    const best = tries.reduce((a, b) => (Math.abs(b - at) < Math.abs(a - at) ? b : a), Number.POSITIVE_INFINITY)
    return Math.abs(best - at) <= SNAP_MM ? best : Math.round(at)
  }
  const xMm = nearest(place.xMm, place.acrossMm, [0, rollWidthMm, ...others.flatMap(o => [o.xMm, o.xMm + o.acrossMm])])
  const yMm = nearest(place.yMm, place.alongMm, [0, ...others.flatMap(o => [o.yMm, o.yMm + o.alongMm])])
  return { ...place, xMm, yMm: Math.max(0, yMm) }
}
