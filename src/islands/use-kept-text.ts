import { useCallback, useEffect, useRef, useState } from 'react'
import { keepTyped, leaveTyped, typedBefore } from '../store/typed-text'
import { REST_MS } from '../ui/use-draft'

interface KeptText {
  readonly text: string
  readonly set: (text: string) => void
  /** Puts back what was taken from a text and could not be stored, unless something else stands there by now. */
  readonly giveBack: (key: string, text: string) => void
  /** Lets a text that was put back go: it has been stored since. */
  readonly letGo: (key: string, text: string) => void
}

/**
 * Returns a text that is typed and not yet taken, by what it is for: it outlives the page, and another of the same kind has its own.
 * Kept when typing rests and when the page goes; cleared by an empty text.
 */
export function useKeptText(key: string): KeptText {
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({})
  const now = typed[key]
  const set = useCallback((next: string) => setTyped(all => ({ ...all, [key]: next })), [key])
  const giveBack = useCallback((of: string, text: string) => {
    setTyped(all => ((all[of] ?? '') === '' ? { ...all, [of]: text } : all))
  }, [])
  const letGo = useCallback((of: string, text: string) => {
    setTyped(all => (all[of] === text ? { ...all, [of]: '' } : all))
  }, [])
  useEffect(() => {
    let isShown = true
    void typedBefore(key).then(before => {
      // What was typed meanwhile counts.
      if (isShown && before !== '') setTyped(all => (all[key] === undefined ? { ...all, [key]: before } : all))
    })
    return () => {
      isShown = false
    }
  }, [key])
  useEffect(() => {
    if (now === undefined) return
    if (now === '') return void keepTyped(key, now)
    const timer = setTimeout(() => void keepTyped(key, now), REST_MS)
    return () => clearTimeout(timer)
  }, [key, now])
  const latest = useRef(typed)
  latest.current = typed
  useEffect(() => {
    const withText = (put: (of: string, text: string) => unknown) => {
      const text = latest.current[key]
      if (text !== undefined) put(key, text)
    }
    const leave = () => withText(leaveTyped)
    addEventListener('pagehide', leave)
    return () => {
      removeEventListener('pagehide', leave)
      // Another text is shown from now on, or this one is gone from the page: what was typed up to then is kept.
      withText(keepTyped)
    }
  }, [key])
  return { text: now ?? '', set, giveBack, letGo }
}
