import { useCallback, useEffect, useState } from 'react'

const PREFIX = 'tawny-ember-typed:'
/** Typing that rests this long is kept, ms. */
export const REST_MS = 400

const read = (key: string): string => {
  try {
    return localStorage.getItem(PREFIX + key) ?? ''
  } catch {
    return ''
  }
}

function write(key: string, text: string) {
  try {
    if (text === '') localStorage.removeItem(PREFIX + key)
    else localStorage.setItem(PREFIX + key, text)
  } catch {
    // Storage may be blocked: the text then lasts for this page.
  }
}

interface KeptText {
  readonly text: string
  readonly set: (text: string) => void
  /** Puts back what was taken from a text and could not be kept, unless something else stands there by now. */
  readonly giveBack: (key: string, text: string) => void
}

/**
 * A text that is typed and not yet taken, by what it is for: it outlives the page, and another of the same kind has its own.
 * Kept when typing rests and when the page goes; cleared by an empty text.
 */
export function useKeptText(key: string): KeptText {
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({})
  const now = typed[key]
  const set = useCallback((next: string) => setTyped(all => ({ ...all, [key]: next })), [key])
  const giveBack = useCallback((of: string, text: string) => {
    setTyped(all => ((all[of] ?? read(of)) === '' ? { ...all, [of]: text } : all))
  }, [])
  useEffect(() => {
    if (now === undefined) return
    const keep = () => write(key, now)
    if (now === '') return keep()
    const timer = setTimeout(keep, REST_MS)
    addEventListener('pagehide', keep)
    return () => {
      clearTimeout(timer)
      removeEventListener('pagehide', keep)
      // Another text is shown now, or this one is gone from the page: what was typed up to then is kept.
      keep()
    }
  }, [key, now])
  return { text: now ?? read(key), set, giveBack }
}
