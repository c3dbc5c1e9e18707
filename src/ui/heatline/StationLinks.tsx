import type { StationState } from '../../core/batch/station-states'
import type { StationName } from '../../data/stations'
import { STATION_STATE_WORDS } from '../../words/heatline'
import { labelOf } from '../../words/station-name'
import type { HeatScale } from './scale'

/** Which stations are done for the steel that is shown. */
export type StationMarks = Readonly<Record<StationName, StationState>>

interface Props {
  readonly scale: HeatScale
  readonly station: StationName
  readonly bottom: number
  readonly hrefOf: (station: StationName) => string
  readonly onStation: (station: StationName) => void
  /** The shown steel goes into oil, not between plates. */
  readonly oil?: boolean | undefined
  readonly states: StationMarks
}

const TARGET = 44

/** Stations along the foot of the line: links, so that they can be opened, shared and walked with Tab. */
export function StationLinks({ scale, station, bottom, hrefOf, onStation, oil, states }: Props) {
  return (
    <g fontSize={13}>
      {scale.stations.map(({ name, x, x0, x1 }) => {
        const here = name === station
        const half = Math.max(TARGET, x1 - x0) / 2
        return (
          <a
            key={name}
            href={hrefOf(name)}
            aria-description={STATION_STATE_WORDS[states[name]]}
            aria-current={here ? 'step' : undefined}
            onClick={event => {
              if (event.metaKey || event.ctrlKey || event.shiftKey) return
              event.preventDefault()
              onStation(name)
            }}
          >
            <rect x={x - half} y={bottom - TARGET} width={half * 2} height={TARGET} fill="transparent" />
            <Mark x={x} y={bottom - 31} done={states[name] === 'done'} here={here} />
            <text
              x={x}
              y={bottom - 11}
              textAnchor="middle"
              fill={here ? '#f3e9da' : '#b3a696'}
              fontWeight={here ? 700 : 420}
            >
              {labelOf(name, oil)}
            </text>
          </a>
        )
      })}
    </g>
  )
}

/** Done: a filled mark with a tick; to do: an empty ring; the one that is open: in ember. */
function Mark({ x, y, done, here }: { x: number; y: number; done: boolean; here: boolean }) {
  const colour = here ? '#ff8a2a' : '#b3a696'
  return (
    <g>
      <circle
        cx={x}
        cy={y}
        r={here ? 6.5 : 5}
        fill={done ? colour : '#1c1713'}
        stroke={colour}
        strokeWidth={here ? 2.5 : 1.3}
      />
      {done && <path d={`M${x - 2.4} ${y + 0.2}l1.8 2 3.2 -4`} fill="none" stroke="#1c1713" strokeWidth={1.6} />}
    </g>
  )
}
