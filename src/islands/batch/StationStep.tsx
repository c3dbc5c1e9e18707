import ChevronLeft from 'lucide-react/icons/chevron-left'
import ChevronRight from 'lucide-react/icons/chevron-right'
import { STATIONS, type StationName } from '../../data/stations'
import { labelOf } from '../../words/station-name'

interface Props {
  readonly station: StationName
  readonly go: (station: StationName) => void
  readonly oil: boolean
}

/** On a phone: the station before and the one after, where a thumb is. */
export function StationStep({ station, go, oil }: Props) {
  const at = STATIONS.indexOf(station)
  const [before, after] = [STATIONS[at - 1], STATIONS[at + 1]]
  const button = 'flex min-h-touch flex-1 items-center gap-1 px-3 text-bone disabled:opacity-40'
  return (
    <nav
      aria-label="Station before and after"
      className="on-soot no-print sticky bottom-14 z-10 flex border-t border-soot-rule bg-soot-2 md:hidden"
    >
      <button
        type="button"
        className={button}
        disabled={!before}
        aria-label={before ? `Back to ${labelOf(before, oil)}` : 'This is the first station'}
        onClick={() => before && go(before)}
      >
        <ChevronLeft size={18} aria-hidden="true" /> {before && labelOf(before, oil)}
      </button>
      <p className="self-center text-small text-bone-2">
        {labelOf(station, oil)}, {at + 1} of {STATIONS.length}
      </p>
      <button
        type="button"
        className={`${button} justify-end`}
        disabled={!after}
        aria-label={after ? `On to ${labelOf(after, oil)}` : 'This is the last station'}
        onClick={() => after && go(after)}
      >
        {after && labelOf(after, oil)} <ChevronRight size={18} aria-hidden="true" />
      </button>
    </nav>
  )
}
