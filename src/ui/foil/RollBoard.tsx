import { useRef } from 'react'
import type { Placement } from '../../core/foil/cut-plan'
import { pointIn, useDrag } from '../use-drag'
import { RollDrawing, type RollProps } from './RollDrawing'

interface Props extends RollProps {
  /** Pairs that overlap and sheets over the edge, by index. */
  readonly overlaps: readonly (readonly [number, number])[]
  readonly outside: readonly number[]
  readonly mayTurn: boolean
  /** Step of the rule, mm. */
  readonly stepMm: number
  readonly onMove: (index: number, place: Placement) => void
}

/** A sheet in the hand, and where it is held. */
interface Held {
  readonly index: number
  readonly dx: number
  readonly dy: number
  readonly place: Placement
}

/** A sheet within this of an edge or a neighbour comes to lie against it, mm. */
const SNAP_MM = 14
const STEP_MM = 5

/** The roll with its sheets to be dragged, or moved by arrows and turned by R. */
export function RollBoard({ overlaps, outside, mayTurn, stepMm, onMove, ...roll }: Props) {
  const { rollWidthMm, layout, marks, lengthText } = roll
  const svg = useRef<SVGSVGElement>(null)
  const { held: drag, grip } = useDrag<Held>({
    move: (now, event) => {
      const at = pointIn(svg.current, event)
      if (!at) return now
      const free = { ...now.place, yMm: Math.max(0, at.x - now.dx), xMm: at.y - now.dy }
      return { ...now, place: snapped(free, layout, now.index, { rollWidthMm, stepMm }) }
    },
    drop: ({ index, place }) => {
      const was = layout[index]
      if (place.xMm !== was?.xMm || place.yMm !== was.yMm) onMove(index, place)
    },
  })
  const wrong = new Set([...overlaps.flat(), ...outside])
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
  const sheetProps = (i: number): React.SVGProps<SVGGElement> => {
    const placed = layout[i] as Placement
    const place = drag?.index === i ? drag.place : placed
    return {
      role: 'button',
      tabIndex: 0,
      'aria-label': `Sheet for ${marks[i]}, ${lengthText(place.yMm)} from the free end, ${lengthText(place.xMm)} from the edge${wrong.has(i) ? ', does not fit here' : ''}. Arrows move it${mayTurn ? ', R turns it' : ''}.`,
      className: 'cursor-grab',
      opacity: drag?.index === i ? 0.8 : 1,
      onKeyDown: onKey(i, placed),
      ...grip(event => {
        const at = pointIn(svg.current, event)
        return at && { index: i, dx: at.x - placed.yMm, dy: at.y - placed.xMm, place: placed }
      }),
      onDoubleClick: () => mayTurn && onMove(i, turned(placed)),
    }
  }
  return (
    <RollDrawing
      {...roll}
      layout={layout.map((place, i) => (drag?.index === i ? drag.place : place))}
      cuts={drag ? null : roll.cuts}
      wrong={wrong}
      svg={svg}
      sheetProps={sheetProps}
    />
  )
}

/** Against the roll's edges or a neighbour's, whichever is near. */
function snapped(
  place: Placement,
  layout: readonly Placement[],
  own: number,
  { rollWidthMm, stepMm }: { readonly rollWidthMm: number; readonly stepMm: number },
): Placement {
  const others = layout.filter((_, i) => i !== own)
  const nearest = (at: number, size: number, edges: readonly number[]) => {
    const tries = edges.flatMap(edge => [edge, edge - size])
    const best = tries.reduce((a, b) => (Math.abs(b - at) < Math.abs(a - at) ? b : a), Number.POSITIVE_INFINITY)
    return Math.abs(best - at) <= SNAP_MM ? best : Math.round(at / stepMm) * stepMm
  }
  const xMm = nearest(place.xMm, place.acrossMm, [0, rollWidthMm, ...others.flatMap(o => [o.xMm, o.xMm + o.acrossMm])])
  const yMm = nearest(place.yMm, place.alongMm, [0, ...others.flatMap(o => [o.yMm, o.yMm + o.alongMm])])
  return { ...place, xMm, yMm: Math.max(0, yMm) }
}
