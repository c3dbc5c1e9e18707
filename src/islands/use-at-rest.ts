import { useEffect, useState } from 'react'

/** A page that stands so long has come to rest, ms. */
const AT_REST_MS = 1500

/** Whether a page has come to rest: what it may need later is fetched then. */
export function useAtRest(): boolean {
  const [isAtRest, setAtRest] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => setAtRest(true), AT_REST_MS)
    return () => clearTimeout(timer)
  }, [])
  return isAtRest
}
