import { useRef } from 'react'
import type { RackPacket, RackPlace } from '../../core/oven/rack'
import { ChamberFrame, chamberViewBox } from './ChamberFrame'

interface Props {
  readonly chamber: { readonly width: number; readonly depth: number }
  readonly packets: readonly (RackPacket & { readonly mark: string })[]
  readonly places: readonly RackPlace[]
  /** Packets something is wrong with, by id. */
  readonly warned: ReadonlySet<string>
  readonly onDrag: (place: RackPlace) => void
  readonly onDrop: (place: RackPlace) => void
}

const STEP_MM = 5
/** A packet is taken hold of this far from its middle, mm. */
const HOLD_MM = 7

/** The chamber from above, to scale, door on the left: packets on edge, moved by hand or with the arrow keys. */
export function RackBoard({ chamber, packets, places, warned, onDrag, onDrop }: Props) {
  const svg = useRef<SVGSVGElement>(null)
  const held = useRef<{ id: string; dxMm: number; dyMm: number } | null>(null)
  const at = (event: React.PointerEvent) => {
    const matrix = svg.current?.getScreenCTM()
    if (!matrix) return null
    return new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  }
  const placeOf = (id: string) => places.find(p => p.id === id)
  const move = (event: React.PointerEvent): RackPlace | null => {
    const point = at(event)
    const hold = held.current
    return point && hold ? { id: hold.id, inMm: point.x - hold.dxMm, acrossMm: point.y - hold.dyMm } : null
  }
  return (
    <svg
      ref={svg}
      viewBox={chamberViewBox(chamber)}
      className="max-h-[210px] w-full touch-none select-none"
      preserveAspectRatio="xMinYMid meet"
      role="group"
      aria-label={`Chamber from above, door on the left, ${packets.length} packets on edge. Arrow keys move the one in focus.`}
    >
      <ChamberFrame chamber={chamber} look="hot">
        {packets.map(packet => {
          const place = placeOf(packet.id)
          if (!place) return null
          const bad = warned.has(packet.id)
          const nudge = (inMm: number, acrossMm: number) =>
            onDrag({ id: packet.id, inMm: place.inMm + inMm, acrossMm: place.acrossMm + acrossMm })
          return (
            <g
              key={packet.id}
              role="button"
              tabIndex={0}
              aria-label={`Packet ${packet.mark}, ${Math.round(place.inMm)} mm from the door, ${Math.round(place.acrossMm)} mm from the left${bad ? ', stands badly' : ''}`}
              className="cursor-grab"
              onKeyDown={event => {
                const step = {
                  ArrowLeft: [-STEP_MM, 0],
                  ArrowRight: [STEP_MM, 0],
                  ArrowUp: [0, -STEP_MM],
                  ArrowDown: [0, STEP_MM],
                }[event.key]
                if (!step) return
                event.preventDefault()
                event.stopPropagation()
                nudge(step[0] as number, step[1] as number)
              }}
              onKeyUp={event => {
                if (event.key.startsWith('Arrow')) onDrop(place)
              }}
              onPointerDown={event => {
                const point = at(event)
                if (!point) return
                event.currentTarget.setPointerCapture(event.pointerId)
                held.current = { id: packet.id, dxMm: point.x - place.inMm, dyMm: point.y - place.acrossMm }
              }}
              onPointerMove={event => {
                const next = held.current?.id === packet.id ? move(event) : null
                if (next) onDrag(next)
              }}
              onPointerUp={event => {
                const next = held.current?.id === packet.id ? move(event) : null
                held.current = null
                if (next && Math.hypot(next.inMm - place.inMm, next.acrossMm - place.acrossMm) < 400) onDrop(next)
              }}
            >
              <rect
                x={place.inMm - HOLD_MM}
                y={place.acrossMm - HOLD_MM}
                width={packet.lengthMm + 2 * HOLD_MM + 20}
                height={2 * HOLD_MM}
                fill="transparent"
              />
              <line
                x1={place.inMm}
                x2={place.inMm + packet.lengthMm}
                y1={place.acrossMm}
                y2={place.acrossMm}
                stroke={bad ? '#ff9a80' : '#ffb144'}
                strokeWidth={Math.max(2, packet.thicknessMm)}
                strokeDasharray={bad ? '10 4' : undefined}
              />
              <text
                x={place.inMm + packet.lengthMm + 5}
                y={place.acrossMm + 4}
                fontSize={11}
                fontWeight={600}
                fill="#f3e9da"
              >
                {packet.mark}
              </text>
            </g>
          )
        })}
      </ChamberFrame>
    </svg>
  )
}
