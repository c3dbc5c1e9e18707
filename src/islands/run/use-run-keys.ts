import { useEffect, useRef } from 'react'
import { tinykeys } from 'tinykeys'

/** Actions of a run's letters, by the key as it is shown. */
export interface RunKeys {
  readonly onTakeBack: () => void
  readonly onMinute: () => void
  readonly onRemark: () => void
  readonly onHappened: () => void
  readonly onVoice: () => void
  readonly onFaster: () => void
  readonly onSlower: () => void
  readonly onLeave: () => void
  readonly off: boolean
}

/** The letters of a run. The one key that confirms is `usePressKey`. */
export function useRunKeys(keys: RunKeys) {
  const latest = useRef(keys)
  latest.current = keys
  useEffect(() => {
    const press = (act: (now: RunKeys) => void) => (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.closest('input, select, textarea')
      // What a question over the run has taken, its Esc above all, is not the run's.
      if (latest.current.off || event.repeat || event.defaultPrevented || typing) return
      event.preventDefault()
      act(latest.current)
    }
    const both = (letter: string, act: (now: RunKeys) => void) => ({
      [letter]: press(act),
      [`Shift+${letter.toUpperCase()}`]: press(act),
    })
    const minute = press(now => now.onMinute())
    const happened = press(now => now.onHappened())
    const unlisten = tinykeys(window, {
      ...both('z', now => now.onTakeBack()),
      ...both('l', now => now.onRemark()),
      ...both('v', now => now.onVoice()),
      ...both('x', now => now.onHappened()),
      PageUp: happened,
      ArrowLeft: happened,
      '+': minute,
      'Shift++': minute,
      '=': minute,
      '.': press(now => now.onFaster()),
      ',': press(now => now.onSlower()),
      Escape: press(now => now.onLeave()),
    })
    // A button that was clicked must not keep the focus, or the next press of the pedal would go to it.
    const onClick = (event: MouseEvent) => {
      const clicked = event.target instanceof Element ? event.target.closest('button') : null
      if (event.detail > 0) clicked?.blur()
    }
    addEventListener('click', onClick)
    return () => {
      unlisten()
      removeEventListener('click', onClick)
    }
  }, [])
}
