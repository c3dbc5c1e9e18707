interface Props {
  readonly chamber: { readonly width: number; readonly depth: number }
  /** In pull order: the first stands nearest the door. */
  readonly packets: readonly { readonly mark: string; readonly lengthMm: number; readonly thicknessMm: number }[]
}

/** Room a packet takes on the rack beside its steel, mm: foil seam and air between. */
const PITCH_MM = 14
const DOOR_MM = 40

/** The chamber from above, to scale, door on the left: packets on edge, first out nearest the middle of the door. */
export function RackDrawing({ chamber, packets }: Props) {
  const need = packets.reduce((sum, p) => sum + p.thicknessMm + PITCH_MM, 0)
  const tooMany = need > chamber.width
  const pitch = tooMany ? chamber.width / need : 1
  let across = (chamber.width - need * pitch) / 2
  return (
    <figure>
      <svg
        viewBox={`${-DOOR_MM} -8 ${chamber.depth + DOOR_MM + 8} ${chamber.width + 16}`}
        className="max-h-[190px] w-full"
        preserveAspectRatio="xMinYMid meet"
        role="img"
        aria-label={`Chamber from above, door on the left, with ${packets.length} packets: ${packets.map(p => p.mark).join(', ')} in pull order`}
      >
        <rect x={0} y={0} width={chamber.depth} height={chamber.width} fill="#1c1713" />
        <path
          d={`M0 0 H${chamber.depth} V${chamber.width} H0`}
          fill="none"
          className="stroke-rule-strong"
          strokeWidth={6}
        />
        <line x1={-6} x2={-6} y1={0} y2={chamber.width} className="stroke-ink" strokeWidth={5} />
        <text
          x={-14}
          y={chamber.width / 2}
          fontSize={11}
          textAnchor="middle"
          className="fill-ink-2"
          transform={`rotate(-90 -14 ${chamber.width / 2})`}
        >
          door
        </text>
        {packets.map(packet => {
          const y = across + (pitch * (packet.thicknessMm + PITCH_MM)) / 2
          across += pitch * (packet.thicknessMm + PITCH_MM)
          const fits = packet.lengthMm <= chamber.depth - 20
          return (
            <g key={packet.mark}>
              <line
                x1={14}
                x2={14 + packet.lengthMm}
                y1={y}
                y2={y}
                stroke={fits ? '#ffb144' : '#ff9a80'}
                strokeWidth={Math.max(2, packet.thicknessMm)}
              />
              <text x={14 + packet.lengthMm + 6} y={y + 4} fontSize={11} fontWeight={600} fill="#f3e9da">
                {packet.mark}
              </text>
            </g>
          )
        })}
      </svg>
      {(tooMany || packets.some(p => p.lengthMm > chamber.depth - 20)) && (
        <figcaption className="mt-1 text-[13px] text-bad">
          {tooMany
            ? `${packets.length} packets on edge need ${Math.round(need)} mm of the ${chamber.width} mm wide chamber: split the load. `
            : ''}
          {packets.some(p => p.lengthMm > chamber.depth - 20)
            ? `The chamber is ${chamber.depth} mm deep: the longest packet does not fit with room for its foil.`
            : ''}
        </figcaption>
      )}
    </figure>
  )
}
