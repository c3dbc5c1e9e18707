import type { StationName } from '../../data/cautions'
import type { HeatScale } from './scale'

interface Props {
  readonly scale: HeatScale
  readonly station: StationName
  readonly bottom: number
  readonly hrefOf: (station: StationName) => string
  readonly onStation: (station: StationName) => void
  /** The shown steel goes into oil, not between plates. */
  readonly oil?: boolean | undefined
}

const TARGET = 44

/** Stations along the foot of the line: links, so that they can be opened, shared and walked with Tab. */
export function StationLinks({ scale, station, bottom, hrefOf, onStation, oil }: Props) {
  return (
    <g fontSize={12.5}>
      {scale.stations.map(({ name, x, x0, x1 }) => {
        const here = name === station
        const half = Math.max(TARGET, x1 - x0) / 2
        return (
          <a
            key={name}
            href={hrefOf(name)}
            aria-current={here ? 'step' : undefined}
            onClick={event => {
              if (event.metaKey || event.ctrlKey || event.shiftKey) return
              event.preventDefault()
              onStation(name)
            }}
          >
            <rect x={x - half} y={bottom - TARGET} width={half * 2} height={TARGET} fill="transparent" />
            <line
              x1={x}
              x2={x}
              y1={bottom - 36}
              y2={bottom - (here ? 26 : 31)}
              stroke={here ? '#ff8a2a' : '#8d857c'}
              strokeWidth={here ? 4 : 1}
            />
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

/** What a station is called; the quench by what the shown steel is quenched in. */
export const labelOf = (station: StationName, oil = false): string =>
  oil && station === 'plates' ? 'Oil' : station.charAt(0).toUpperCase() + station.slice(1)
