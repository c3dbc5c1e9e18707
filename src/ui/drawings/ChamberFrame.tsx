import type { ReactNode } from 'react'

interface Props {
  readonly chamber: { readonly width: number; readonly depth: number }
  /** Looked into while hot, or drawn as a plan. */
  readonly look?: 'hot' | 'plan'
  readonly children: ReactNode
}

/** Left of the chamber, for the door and its name, mm. */
export const DOOR_MM = 40

/** Returns the view box of a drawing of the chamber from above. */
export const chamberViewBox = ({ width, depth }: Props['chamber']): string =>
  `${-DOOR_MM} -8 ${depth + DOOR_MM + 8} ${width + 16}`

/** The chamber from above, to scale, door on the left; what stands in it goes inside. */
export function ChamberFrame({ chamber, look = 'plan', children }: Props) {
  const { width, depth } = chamber
  return (
    <>
      <rect
        x={0}
        y={0}
        width={depth}
        height={width}
        fill={look === 'hot' ? '#1c1713' : undefined}
        className={look === 'plan' ? 'fill-raised' : undefined}
      />
      {children}
      <path
        d={`M0 0 H${depth} V${width} H0`}
        fill="none"
        className="stroke-rule-strong"
        strokeWidth={look === 'hot' ? 6 : 3}
      />
      <line x1={-6} x2={-6} y1={0} y2={width} className="stroke-ink" strokeWidth={5} />
      <text
        x={-14}
        y={width / 2}
        fontSize={13}
        textAnchor="middle"
        className="fill-ink-2"
        transform={`rotate(-90 -14 ${width / 2})`}
      >
        door
      </text>
    </>
  )
}
