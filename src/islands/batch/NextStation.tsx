import ChevronRight from 'lucide-react/icons/chevron-right'
import { useEffect, useRef, useState } from 'react'
import { STATIONS, type StationName } from '../../data/stations'
import { labelOf } from '../../words/station-name'
import { STATION_WORK } from '../../words/station-work'

interface Props {
  readonly station: StationName
  readonly go: (station: StationName) => void
  readonly oil: boolean
}

/** Room it takes, px, and how much more there must be before it comes: at the brink it would come and go. */
const HEIGHT_PX = 72
const SPARE_PX = 24

/** At the foot of a bench that leaves room below it: what comes next. A bench that fills the screen has none. */
export default function NextStation({ station, go, oil }: Props) {
  const at = useRef<HTMLDivElement>(null)
  const [hasRoom, setRoom] = useState(false)
  // Another bench leaves other room.
  // biome-ignore lint/correctness/useExhaustiveDependencies: the station says that the bench above is another.
  useEffect(() => {
    const mark = at.current
    if (!mark) return
    const look = () => {
      const roomPx = innerHeight - mark.getBoundingClientRect().top - scrollY
      setRoom(had => roomPx > HEIGHT_PX + (had ? 0 : SPARE_PX))
    }
    look()
    // The bench above grows and shrinks as it is worked at.
    const watch = new ResizeObserver(look)
    if (mark.previousElementSibling) watch.observe(mark.previousElementSibling)
    addEventListener('resize', look)
    return () => {
      watch.disconnect()
      removeEventListener('resize', look)
    }
  }, [station])
  const next = STATIONS[STATIONS.indexOf(station) + 1]
  return (
    <div ref={at} className="no-print hidden md:block">
      {hasRoom && next && (
        <button
          type="button"
          className="mx-4 mt-2 flex min-h-touch items-center gap-3 border-t border-rule-strong py-2 text-left md:mx-6"
          onClick={() => go(next)}
        >
          <span className="text-small text-ink-2">Next</span>
          <strong>{labelOf(next, oil)}</strong>
          <span className="text-small text-ink-2">{STATION_WORK[next]}</span>
          <ChevronRight size={18} aria-hidden="true" />
        </button>
      )}
    </div>
  )
}
