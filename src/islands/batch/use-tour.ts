import { useCallback, useState } from 'react'

/** Remembers, for this tab, that someone is looking round. */
const KEY = 'tawny-ember-tour'

/** Whether a look round goes on in this tab, and what ends it: it begins with '?tour' in the address. */
export function useTour(): [isOn: boolean, leave: () => void] {
  const [isOn, setOn] = useState(isTouring)
  const leave = useCallback(() => {
    setOn(false)
    try {
      sessionStorage.removeItem(KEY)
    } catch {
      // Where nothing can be stored it was on for this page alone.
    }
  }, [])
  return [isOn, leave]
}

function isTouring(): boolean {
  try {
    if (new URLSearchParams(location.search).has('tour')) sessionStorage.setItem(KEY, 'on')
    return sessionStorage.getItem(KEY) === 'on'
  } catch {
    return false
  }
}
