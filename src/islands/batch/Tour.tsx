import type { StationName } from '../../data/stations'
import { labelOf } from '../../words/station-name'
import { TOUR } from '../../words/tour'

interface Props {
  readonly station: StationName
  readonly go: (station: StationName) => void
  readonly leave: () => void
}

/** A look round at the benches: a word on each of seven, with the way on; it stands aside and can be left at any time. */
export default function Tour({ station, go, leave }: Props) {
  const index = TOUR.findIndex(stop => stop.station === station)
  const stop = TOUR[index]
  const [before, after] = [TOUR[index - 1], TOUR[index + 1] ?? (stop ? undefined : TOUR[0])]
  return (
    <aside
      aria-label="A look round"
      className="no-print fixed inset-x-3 bottom-28 z-20 border-2 border-ember bg-raised p-4 md:right-4 md:bottom-4 md:left-auto md:w-[400px]"
    >
      <p className="text-note text-ink-2">
        {stop ? `A look round, ${index + 1} of ${TOUR.length}: ${labelOf(station)}` : 'A look round'}
      </p>
      <p className="mt-1" role="status">
        {stop ? stop.says : 'This bench is not one of the seven stops. Stay as long as you like.'}
      </p>
      <div className="mt-3 flex flex-wrap gap-2">
        {before && (
          <button type="button" className="btn" onClick={() => go(before.station)}>
            Back
          </button>
        )}
        {after && (
          <button type="button" className="btn btn-ember" onClick={() => go(after.station)}>
            Next: {labelOf(after.station)}
          </button>
        )}
        <button type="button" className="btn btn-plain" onClick={leave}>
          {after ? 'Leave' : 'Done'}
        </button>
      </div>
    </aside>
  )
}
