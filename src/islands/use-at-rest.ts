import { useEffect, useState } from 'react'
import { waitedFor } from '../workers/waited-for'
import { whenIdle } from '../workers/when-idle'

/** A page that stands so long, with nothing left to be answered, has come to rest, ms. */
const AT_REST_MS = 1500

/** A page that never stops asking, as one that follows an oven, comes to rest so much later all the same, ms. */
const AT_LAST_MS = 8000

/** Whether a page has come to rest: what it may need later is fetched then. */
export function useAtRest(): boolean {
  const [isAtRest, setAtRest] = useState(false)
  useEffect(() => {
    let callOff: (() => void) | undefined
    let quiet: (() => void) | undefined
    const rest = () => setAtRest(true)
    const onceDrawn = () => {
      quiet?.()
      // A slow tablet may still be drawing.
      callOff ??= whenIdle(rest, AT_REST_MS)
    }
    const onceAnswered = () => {
      if (waitedFor.get() === 0) onceDrawn()
    }
    const timer = setTimeout(() => {
      quiet = waitedFor.subscribe(onceAnswered)
      onceAnswered()
    }, AT_REST_MS)
    const last = setTimeout(rest, AT_LAST_MS)
    return () => {
      clearTimeout(timer)
      clearTimeout(last)
      quiet?.()
      callOff?.()
    }
  }, [])
  return isAtRest
}
