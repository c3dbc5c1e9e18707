import { useEffect, useRef, useState } from 'react'
import type { Run } from '../../core/shop/run'

/** A first Esc is forgotten after this, ms. */
const FORGOTTEN_MS = 5000

/**
 * Leaving a run: by its link, or by Esc twice with a word between. Closing or reloading the page in a run that counts is asked about by the
 * browser.
 */
export function useLeaving(run: Run) {
  const [asked, setAsked] = useState(false)
  const isMeant = useRef(false)
  useEffect(() => {
    if (!asked) return
    const timer = setTimeout(() => setAsked(false), FORGOTTEN_MS)
    return () => clearTimeout(timer)
  }, [asked])
  const counts = run.mode !== 'practice' && run.endedAt === null
  useEffect(() => {
    if (!counts) return
    const onClose = (event: BeforeUnloadEvent) => {
      if (!isMeant.current) event.preventDefault()
    }
    addEventListener('beforeunload', onClose)
    return () => removeEventListener('beforeunload', onClose)
  }, [counts])
  return {
    /** Whether one Esc was pressed, and the next one leaves. */
    asked,
    ask: () => {
      if (!asked) return setAsked(true)
      isMeant.current = true
      // A page that was opened by itself has nothing to go back to.
      if (history.length > 1) history.back()
      else location.assign('/')
    },
    meant: () => {
      isMeant.current = true
    },
  }
}
