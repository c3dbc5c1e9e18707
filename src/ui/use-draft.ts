import { useEffect, useRef, useState } from 'react'
import type { Saving } from '../core/codes/result'
import { continuing } from '../core/continuing'
import { problemWords } from '../words/problems'
import { useSay } from './Units'

/** Result of reading a typed text: a value to take, or a problem and a suggestion. */
export type ReadText<T> =
  | { readonly value: T }
  | { readonly message: string; readonly offer?: { readonly value: T; readonly text: string } | null }

/** Result of taking a value, if it is reported. */
// biome-ignore lint/suspicious/noConfusingVoidType: a field may be given a callback that tells nothing.
export type Taken = void | boolean | Promise<Saving | void>

/** Typing that rests this long is kept, ms. */
export const REST_MS = 250

interface DraftOptions<T> {
  /** Stored value; null: none. Escape restores it. */
  readonly stored: T | null
  readonly read: (text: string) => ReadText<T>
  readonly onCommit: (value: T) => Taken
  /** Emptying the field says that there is no value. */
  readonly onClear?: (() => Taken) | undefined
}

/**
 * The text of a field while it is typed. It is taken when the field is left or on Enter; and, if it can be taken as it stands, when
 * typing rests and when the page goes, so that nothing typed is lost. What cannot be taken stays as it was typed, with what is
 * wrong beside it; Escape puts the stored value back.
 */
export function useDraft<T>({ stored, read, onCommit, onClear }: DraftOptions<T>) {
  const [draft, setDraft] = useState<string | null>(null)
  const [trouble, setTrouble] = useState<Exclude<ReadText<T>, { value: T }> | null>(null)
  const say = useSay()
  /** Text taken while typing, and what stood there before. */
  const takenText = useRef<string | null>(null)
  const before = useRef<{ readonly stored: T | null; taken: boolean } | null>(null)

  const stop = () => {
    setDraft(null)
    setTrouble(null)
  }

  const tell = async (taken: Taken, text: string, isLeft: boolean) => {
    if (!(taken instanceof Promise)) return
    const saving = await taken.then(outcome => {
      if (outcome && !outcome.saved) outcome.shownBeside?.()
      return outcome
    })
    if (!saving || saving.saved) return
    takenText.current = null
    if (!isLeft) return
    setDraft(now => now ?? text)
    // What the browser refuses is said once for the whole page, with the way to try again.
    if (saving.shownBeside) setTrouble({ message: saving.problems.map(found => problemWords(found, say)).join(' ') })
  }

  /** Takes what is typed; while it is still being typed, only what can be taken, and in silence. */
  const settle = (isLeft: boolean) => {
    if (draft === null) return
    const wasTaken = takenText.current === draft
    const empty = onClear !== undefined && draft.trim() === ''
    const outcome = empty ? null : read(draft)
    if (outcome && !('value' in outcome)) {
      if (isLeft) setTrouble(outcome)
      return
    }
    if (isLeft) stop()
    if (wasTaken || (empty && !isLeft)) return
    takenText.current = draft
    const goesOn = before.current?.taken === true
    if (before.current) before.current.taken = true
    const take = () => (outcome ? onCommit(outcome.value) : (onClear?.() ?? undefined))
    void tell(goesOn ? continuing(take) : take(), draft, isLeft)
  }

  const latest = useRef(settle)
  latest.current = settle
  useEffect(() => {
    if (draft === null) return
    const whileTyping = () => latest.current(false)
    const timer = setTimeout(whileTyping, REST_MS)
    addEventListener('pagehide', whileTyping)
    document.addEventListener('visibilitychange', whileTyping)
    return () => {
      clearTimeout(timer)
      removeEventListener('pagehide', whileTyping)
      document.removeEventListener('visibilitychange', whileTyping)
    }
  }, [draft])

  return {
    draft,
    trouble,
    type: (text: string) => {
      if (draft === null) before.current = { stored, taken: false }
      setDraft(text)
      setTrouble(null)
      takenText.current = null
    },
    leave: () => settle(true),
    /** Takes the value that was offered in place of what was typed. */
    takeOffer: (value: T) => {
      stop()
      void tell(onCommit(value), '', true)
    },
    /** Puts back what stood there before anything was typed. */
    takeBack: () => {
      stop()
      if (!before.current?.taken) return
      const { stored: was } = before.current
      if (was !== null) void tell(onCommit(was), '', true)
      else onClear?.()
    },
  }
}
