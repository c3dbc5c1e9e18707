import { startTransition, useEffect, useState } from 'react'

/**
 * Whether what was waited for may be drawn: not in the moment it comes but bit by bit right after it, so that a tablet answers hands
 * meanwhile. Once it was drawn it stays.
 */
export function useArrived(isThere: boolean): boolean {
  const [isDrawn, setDrawn] = useState(false)
  useEffect(() => {
    if (isThere) startTransition(() => setDrawn(true))
  }, [isThere])
  return isDrawn
}
