import { useEffect } from 'react'
import { fetchWriters } from '../store/writing'

/** A hand at the page: what it is about to change will want to be written. */
const HANDS = ['pointerdown', 'keydown'] as const

/** Fetches what writes as soon as a hand is at the page, and otherwise when the page has come to rest. */
export function useWriters(isReady: boolean, isAtRest: boolean): void {
  useEffect(() => {
    if (!isReady) return
    // What cannot be fetched is said where something is to be saved.
    const fetch = () => void fetchWriters().catch(() => undefined)
    if (isAtRest) return fetch()
    for (const hand of HANDS) addEventListener(hand, fetch, { capture: true, once: true })
    return () => {
      for (const hand of HANDS) removeEventListener(hand, fetch, { capture: true })
    }
  }, [isReady, isAtRest])
}
