import { useEffect, useState } from 'react'

/** A page that stands so long has come to rest, ms. */
const AT_REST_MS = 1500

/** Whether a page has come to rest: what it may need later is fetched then. */
export function useAtRest(): boolean {
  const [isAtRest, setAtRest] = useState(false)
  useEffect(() => {
    let idle: number | undefined
    const rest = () => setAtRest(true)
    const timer = setTimeout(() => {
      // A slow tablet may still be drawing. Safari cannot tell.
      if (typeof requestIdleCallback === 'undefined') rest()
      else idle = requestIdleCallback(rest, { timeout: AT_REST_MS })
    }, AT_REST_MS)
    return () => {
      clearTimeout(timer)
      if (idle !== undefined) cancelIdleCallback(idle)
    }
  }, [])
  return isAtRest
}
