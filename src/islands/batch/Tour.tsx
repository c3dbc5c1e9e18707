import { useState } from 'react'
import type { StationName } from '../../data/cautions'
import { labelOf } from '../../ui/heatline/StationLinks'
import { TOUR } from '../../words/tour'

/** Remembers, for this tab, that someone is looking round. */
const KEY = 'tawny-ember-tour'

/** Whether a look round goes on in this tab: it begins with '?tour' in the address. */
function isTouring(): boolean {
  try {
    if (new URLSearchParams(location.search).has('tour')) sessionStorage.setItem(KEY, 'on')
    return sessionStorage.getItem(KEY) === 'on'
  } catch {
    return false
  }
}

/** A look round at the benches: a word on each of seven, with the way on; it stands aside and can be left at any time. */
export function Tour({ station, go }: { station: StationName; go: (station: StationName) => void }) {
  const [on, setOn] = useState(isTouring)
  const index = TOUR.findIndex(stop => stop.station === station)
  const stop = TOUR[index]
  if (!on) return null
  const leave = () => {
    setOn(false)
    try {
      sessionStorage.removeItem(KEY)
    } catch {
      // Where nothing can be stored it was on for this page alone.
    }
  }
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
