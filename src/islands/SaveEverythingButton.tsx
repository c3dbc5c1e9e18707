import { useEffect, useState } from 'react'

type Saves = typeof import('./save-everything')
let fetched: Promise<Saves> | null = null

/** What writes the file. A fetch that failed is tried anew at the next press. */
function saves(): Promise<Saves> {
  fetched ??= import('./save-everything').catch(error => {
    fetched = null
    throw error
  })
  return fetched
}

/** A page that stands so long has come to rest, ms. */
const AT_REST_MS = 1500

/** Fetches what saves everything once a page is at rest: when it is wished for, the server may have stopped. */
export function useSavingAtHand() {
  useEffect(() => {
    const timer = setTimeout(() => void saves().catch(() => undefined), AT_REST_MS)
    return () => clearTimeout(timer)
  }, [])
}

/** Saves everything to a file, and says so where what does that cannot be fetched. */
export function SaveEverythingButton() {
  const [isMissing, setMissing] = useState(false)
  const press = () =>
    saves().then(
      ({ saveEverything }) => {
        setMissing(false)
        return saveEverything()
      },
      () => setMissing(true),
    )
  return (
    <>
      <button type="button" className="btn" onClick={() => void press()}>
        Save everything to a file
      </button>
      {isMissing && (
        <p role="status">
          What saves could not be fetched: the server does not answer. Start it and press again; nothing is lost
          meanwhile.
        </p>
      )}
    </>
  )
}
