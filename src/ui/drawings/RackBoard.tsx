import { useRef } from 'react'
import type { RackPacket, RackPlace } from '../../core/oven/rack'
import { pointIn, useDrag } from '../use-drag'
import { ChamberFrame, chamberViewBox } from './ChamberFrame'
import type { Glow } from './glow'

interface Props {
  readonly chamber: { readonly width: number; readonly depth: number }
  readonly packets: readonly (RackPacket & { readonly mark: string })[]
  readonly places: readonly RackPlace[]
  /** Packets something is wrong with, by id. */
  readonly warned: ReadonlySet<string>
  /** The moment shown; null: packets as they stand in the hot oven. */
  readonly glow: Glow | null
  readonly onDrag: (place: RackPlace) => void
  readonly onDrop: (place: RackPlace) => void
}

/** A packet in the hand, and where it is held. */
interface Held {
  readonly place: RackPlace
  readonly dxMm: number
  readonly dyMm: number
}

const STEP_MM = 5
/** A packet is taken hold of this far from its middle, mm. */
const HOLD_MM = 7

/** The chamber from above, to scale, door on the left: packets on edge, moved by hand or with the arrow keys. */
export function RackBoard({ chamber, packets, places, warned, glow, onDrag, onDrop }: Props) {
  const svg = useRef<SVGSVGElement>(null)
  const { grip } = useDrag<Held>({
    move: (now, event) => {
      const at = pointIn(svg.current, event)
      return at ? { ...now, place: { ...now.place, inMm: at.x - now.dxMm, acrossMm: at.y - now.dyMm } } : now
    },
    moved: now => onDrag(now.place),
    drop: now => onDrop(now.place),
  })
  // Before the load and after the pull the packets are elsewhere: their places are left.
  const out = glow !== null && glow.where !== 'oven'
  const placeOf = (id: string) => places.find(p => p.id === id)
  return (
    // biome-ignore lint/a11y/useSemanticElements: a drawing has no fieldset.
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
            // biome-ignore lint/a11y/useSemanticElements: a packet in a drawing can be no button element.
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
              {...grip(event => {
                const at = pointIn(svg.current, event)
                return at && { place, dxMm: at.x - place.inMm, dyMm: at.y - place.acrossMm }
              })}
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
                stroke={bad ? '#ff9a80' : out ? '#8d857c' : (glow?.colour ?? '#ffb144')}
                strokeWidth={Math.max(2, packet.thicknessMm)}
                strokeDasharray={bad ? '10 4' : out ? '2 6' : undefined}
              />
              <text
                x={place.inMm + packet.lengthMm + 5}
                y={place.acrossMm + 4}
                fontSize={13}
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
