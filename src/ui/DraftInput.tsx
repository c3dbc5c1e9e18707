import { type ReactNode, useId, useState } from 'react'

/** What a typed text came to: a value to take, or what is wrong with it and what may have been meant. */
export type ReadText =
  | { readonly value: number }
  | { readonly message: string; readonly offer?: { readonly value: number; readonly text: string } | null }

interface Props {
  readonly label: string
  /** Hides the label from sight where a table heading says it. */
  readonly hideLabel?: boolean
  /** The stored value as it is shown. */
  readonly shown: string
  readonly unit?: string
  readonly whole?: boolean
  readonly hint?: ReactNode
  readonly read: (text: string) => ReadText
  readonly onCommit: (value: number) => void
  /** Emptying the field says that there is no value. */
  readonly onClear?: (() => void) | undefined
}

/**
 * A field that is saved when left or on Enter. A text that cannot be taken stays as it was typed, with what is wrong
 * beside it; Escape puts the stored value back.
 */
export function DraftInput({ label, hideLabel, shown, unit, whole, hint, read, onCommit, onClear }: Props) {
  const id = useId()
  const [draft, setDraft] = useState<string | null>(null)
  const [trouble, setTrouble] = useState<Exclude<ReadText, { value: number }> | null>(null)
  const take = (value: number) => {
    setDraft(null)
    setTrouble(null)
    onCommit(value)
  }
  const commit = () => {
    if (draft === null) return
    if (onClear && draft.trim() === '') {
      setDraft(null)
      setTrouble(null)
      onClear()
      return
    }
    const outcome = read(draft)
    if ('value' in outcome) take(outcome.value)
    else setTrouble(outcome)
  }
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'label'}>
        {label}
      </label>
      <div className="relative">
        <input
          id={id}
          className={unit ? 'field pr-10' : 'field'}
          inputMode={whole ? 'numeric' : 'decimal'}
          autoComplete="off"
          value={draft ?? shown}
          aria-invalid={trouble !== null}
          aria-describedby={trouble ? `${id}-trouble` : hint ? `${id}-hint` : undefined}
          onFocus={event => event.target.select()}
          onChange={event => {
            setDraft(event.target.value)
            setTrouble(null)
          }}
          onBlur={commit}
          onKeyDown={event => {
            if (event.key === 'Enter') commit()
            if (event.key === 'Escape') {
              setDraft(null)
              setTrouble(null)
            }
          }}
        />
        {unit && (
          <span
            className="pointer-events-none absolute inset-y-0 right-2 flex items-center text-[12px] text-ink-2"
            aria-hidden="true"
          >
            {unit}
          </span>
        )}
      </div>
      {trouble && (
        <p id={`${id}-trouble`} role="alert" className="mt-1 text-[13px] text-bad">
          {trouble.message}{' '}
          {trouble.offer && (
            <button
              type="button"
              className="link min-h-6 font-medium"
              onClick={() => trouble.offer && take(trouble.offer.value)}
            >
              Use it: {trouble.offer.text}
            </button>
          )}
        </p>
      )}
      {hint && !trouble && (
        <p id={`${id}-hint`} className="mt-1 text-[12.5px] text-ink-2">
          {hint}
        </p>
      )}
    </div>
  )
}
