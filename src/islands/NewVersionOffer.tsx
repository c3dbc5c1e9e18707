import { useState } from 'react'
import { changeOver } from '../offline/newer-version'
import { useRunGoingOn } from '../store/run-going-on'

/** Not while a run is going on in another tab either: data that a newer version brings further the run could no longer write. */
export default function NewVersionOffer() {
  const [isAsked, setAsked] = useState(false)
  if (useRunGoingOn() !== false) return null
  return (
    <div role="status" className="no-print flex flex-wrap items-center gap-3 border-b border-rule bg-raised px-4 py-2">
      <p className="min-w-60 flex-1 text-small">
        {isAsked
          ? 'Changing over. This page loads anew as soon as the browser lets the old version go: at once, or within five minutes. Until then it works as before.'
          : 'A newer Tawny Ember is ready. This page goes on with the one it has until you change over.'}
      </p>
      {!isAsked && (
        <button
          type="button"
          className="btn"
          onClick={() => {
            setAsked(true)
            changeOver()
          }}
        >
          Change over
        </button>
      )}
    </div>
  )
}
