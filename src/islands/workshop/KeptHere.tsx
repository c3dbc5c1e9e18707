import { useEffect, useState } from 'react'
import { askToKeep, isKept, useLastSaved } from '../../store/keeping'
import { ago } from '../../ui/dates'

/** When the log last went into a file, and whether the browser keeps what is here when space runs short. */
export function KeptHere() {
  const saved = useLastSaved()
  const [kept, setKept] = useState<boolean | null>(null)
  useEffect(() => {
    void isKept().then(setKept)
  }, [])
  return (
    <p className="mb-3">
      {saved === undefined
        ? ''
        : saved === null
          ? 'Never saved to a file from this browser. '
          : `Last saved to a file ${ago(saved)}. `}
      {kept === true && 'The browser has promised to keep the log when space runs short.'}
      {kept === false && (
        <>
          The browser may clear the log when space runs short.{' '}
          <button type="button" className="link" onClick={() => void askToKeep().then(setKept)}>
            Protect this data from being cleared
          </button>
        </>
      )}
    </p>
  )
}
