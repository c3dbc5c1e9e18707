import type { RackPacket, RackPlace } from '../../core/oven/rack'
import { ChamberFrame, chamberViewBox } from './ChamberFrame'

interface Props {
  readonly chamber: { readonly width: number; readonly depth: number }
  readonly packets: readonly (RackPacket & { readonly mark: string })[]
  readonly places: readonly RackPlace[]
}

/** The rack on paper: the chamber from above, door on the left, each packet as a line with its mark. */
export function RackPlan({ chamber, packets, places }: Props) {
  return (
    <svg
      viewBox={chamberViewBox(chamber)}
      className="max-h-[38mm] w-full"
      preserveAspectRatio="xMinYMid meet"
      role="img"
      aria-label={`Rack from above, door on the left: ${packets.map(({ mark }) => mark).join(', ')}`}
    >
      <ChamberFrame chamber={chamber}>
        {packets.map(({ id, lengthMm, thicknessMm, mark }) => {
          const place = places.find(one => one.id === id)
          if (!place) return null
          const endMm = place.inMm + lengthMm
          return (
            <g key={id}>
              <line
                x1={place.inMm}
                x2={endMm}
                y1={place.acrossMm}
                y2={place.acrossMm}
                className="stroke-ink"
                strokeWidth={Math.max(2, thicknessMm)}
              />
              <text x={endMm + 5} y={place.acrossMm + 4} fontSize={14} fontWeight={600} className="fill-ink">
                {mark}
              </text>
            </g>
          )
        })}
      </ChamberFrame>
    </svg>
  )
}
