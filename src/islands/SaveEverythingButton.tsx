import { useEffect, useState } from 'react'
import { useAtRest } from './use-at-rest'

type Saves = typeof import('./save-everything')
let fetched: Promise<Saves> | null = null

/** Fetches the code that writes the file. A failed fetch is tried again at the next press, though not every browser does so. */
function saves(): Promise<Saves> {
  fetched ??= import('./save-everything').catch(error => {
    fetched = null
    throw error
  })
  return fetched
}

/** Fetches what saves everything once a page is at rest: when it is wished for, the server may have stopped. */
export function useSavingAtHand() {
  const isAtRest = useAtRest()
  useEffect(() => {
    if (isAtRest) saves().catch(() => undefined)
  }, [isAtRest])
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
          What saves could not be fetched: the server does not answer. Start it and press again; where that does not
          help, load the page again.
        </p>
      )}
    </>
  )
}
