import { useEffect, useRef } from 'react'

/** A key kept down so long is held, ms: a foot on a pedal, a thumb in a glove. */
export const HOLD_MS = 700

/** Keys that confirm: keyboard, foot pedals and presenter remotes send one of these. */
export const PRESS_KEYS: ReadonlySet<string> = new Set([' ', 'Enter', 'PageDown', 'ArrowRight'])

interface Press {
  /** With the instant the key went down: that is when it was meant. */
  readonly onShort: (atMs: number) => void
  readonly onHold: () => void
  readonly off: boolean
  /** A key of a device that was bound to it, beside the usual ones. */
  readonly boundKey: string | null
}

/** A control that was reached by keyboard answers for itself. */
const isControl = (target: EventTarget | null) =>
  target instanceof HTMLElement && target.closest('button, a, select, input, textarea') !== null

/** One key that is pressed shortly or held. */
export function usePressKey(press: Press) {
  const latest = useRef(press)
  latest.current = press
  useEffect(() => {
    let down: { readonly key: string; readonly atMs: number } | null = null
    let timer: ReturnType<typeof setTimeout> | undefined
    const isPress = (event: KeyboardEvent) =>
      event.key === latest.current.boundKey ||
      (PRESS_KEYS.has(event.key) && !event.ctrlKey && !event.metaKey && !event.altKey)
    const onDown = (event: KeyboardEvent) => {
      if (latest.current.off || !isPress(event) || isControl(event.target)) return
      event.preventDefault()
      if (event.repeat || down) return
      down = { key: event.key, atMs: Date.now() }
      timer = setTimeout(() => {
        down = null
        if (!latest.current.off) latest.current.onHold()
      }, HOLD_MS)
    }
    const onUp = (event: KeyboardEvent) => {
      if (!down || event.key !== down.key) return
      const { atMs } = down
      clearTimeout(timer)
      down = null
      if (!latest.current.off) latest.current.onShort(atMs)
    }
    const forget = () => {
      clearTimeout(timer)
      down = null
    }
    addEventListener('keydown', onDown)
    addEventListener('keyup', onUp)
    addEventListener('blur', forget)
    return () => {
      forget()
      removeEventListener('keydown', onDown)
      removeEventListener('keyup', onUp)
      removeEventListener('blur', forget)
    }
  }, [])
}
