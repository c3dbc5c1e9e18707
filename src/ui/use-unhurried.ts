import { useCallback, useEffect, useRef } from 'react'

/**
 * Tells something at most once in so many ms: what comes too soon waits, and the newest of it is told when the time is over. `drop`
 * lets go of what waits.
 */
export function useUnhurried<A extends readonly unknown[]>(tell: (...args: A) => void, everyMs: number) {
  const latest = useRef(tell)
  latest.current = tell
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null)
  const waiting = useRef<A | null>(null)

  const drop = useCallback(() => {
    if (timer.current !== null) clearTimeout(timer.current)
    timer.current = null
    waiting.current = null
  }, [])

  const say = useCallback(
    (...args: A) => {
      waiting.current = args
      if (timer.current !== null) return
      const next = () => {
        const told = waiting.current
        waiting.current = null
        timer.current = told ? setTimeout(next, everyMs) : null
        if (told) latest.current(...told)
      }
      next()
    },
    [everyMs],
  )

  useEffect(() => drop, [drop])
  return { say, drop }
}
