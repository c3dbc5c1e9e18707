import { useEffect, useId, useRef, useState } from 'react'
import { usePressKey } from './use-press-key'

export interface Choice<T> {
  readonly value: T
  readonly label: string
  /** Key that takes it, where it stays the same whatever else is listed; absent: by its place in the list. */
  readonly quick?: string | undefined
}

interface Props<T> {
  readonly label: string
  readonly choices: readonly Choice<T>[]
  readonly onChoose: (value: T) => void
  readonly boundKey: string | null
}

/** Keys that choose at once, in the order of the list. */
export const QUICK_KEYS = '123456789abcdefghi'

/**
 * A list that one key alone can work: a short press goes on to the next, a long one takes it. Its figures and letters, arrows and a
 * touch take at once.
 */
export function Choices<T>({ label, choices, onChoose, boundKey }: Props<T>) {
  const [at, setAt] = useState(0)
  const listId = useId()
  const list = useRef<HTMLDivElement>(null)
  const move = (by: number) => setAt(now => (now + by + choices.length) % choices.length)
  const take = (index: number) => {
    const choice = choices[index]
    if (choice) onChoose(choice.value)
  }
  // Each question of a run has its keys at once, the second as the first.
  useEffect(() => list.current?.focus(), [])
  const keyOf = (index: number) => choices[index]?.quick ?? QUICK_KEYS[index] ?? ''
  const atKey = (key: string) => choices.findIndex((_, index) => keyOf(index) === key.toLowerCase())
  usePressKey({ onShort: () => move(1), onHold: () => take(at), off: false, boundKey })
  return (
    <div
      ref={list}
      role="listbox"
      aria-label={label}
      aria-activedescendant={`${listId}-${at}`}
      tabIndex={0}
      className="grid gap-1 outline-none sm:grid-cols-2 lg:grid-cols-3"
      onKeyDown={event => {
        if (event.key === 'ArrowDown') move(1)
        else if (event.key === 'ArrowUp') move(-1)
        else if (atKey(event.key) >= 0 && !event.ctrlKey && !event.metaKey) take(atKey(event.key))
        else return
        event.preventDefault()
        event.stopPropagation()
      }}
    >
      {choices.map((choice, i) => (
        // biome-ignore lint/a11y/useKeyWithClickEvents: the list answers the keys.
        <div
          key={choice.label}
          id={`${listId}-${i}`}
          role="option"
          tabIndex={-1}
          aria-selected={i === at}
          className={`flex min-h-[72px] cursor-pointer items-center gap-3 border-2 px-4 text-large ${i === at ? 'border-hot bg-soot font-semibold text-bone' : 'border-soot-rule text-bone'}`}
          onClick={() => take(i)}
        >
          <kbd className="w-5 shrink-0 font-sans text-bone-2">{keyOf(i).toUpperCase()}</kbd>
          {choice.label}
        </div>
      ))}
    </div>
  )
}
