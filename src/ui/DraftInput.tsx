import { type ReactNode, useId } from 'react'
import { FieldLabel } from './FieldLabel'
import { type ReadText, type Taken, useDraft } from './use-draft'

interface Props {
  readonly label: string
  /** Hides the label from sight where a table heading says it. */
  readonly hideLabel?: boolean
  /** The stored value as it is shown. */
  readonly shown: string
  readonly unit?: string
  readonly whole?: boolean
  /** Said beside the label: whose the value is. */
  readonly mark?: string | undefined
  readonly hint?: ReactNode
  /** The stored value; null where nothing is known yet. */
  readonly stored: number | null
  readonly read: (text: string) => ReadText<number>
  readonly onCommit: (value: number) => Taken
  /** Emptying the field says that there is no value. */
  readonly onClear?: (() => Taken) | undefined
}

/** A field of a number with what is wrong beside it; how it is saved: useDraft. */
export function DraftInput({
  label,
  hideLabel,
  shown,
  unit,
  whole,
  mark,
  hint,
  stored,
  read,
  onCommit,
  onClear,
}: Props) {
  const id = useId()
  const { draft, trouble, type, leave, takeOffer, takeBack } = useDraft({ stored, read, onCommit, onClear })
  return (
    <div className="min-w-0">
      <FieldLabel id={id} label={label} hideLabel={hideLabel} mark={mark} />
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
          onChange={event => type(event.target.value)}
          onBlur={leave}
          onKeyDown={event => {
            if (event.key === 'Enter') leave()
            if (event.key === 'Escape') takeBack()
          }}
        />
        {unit && (
          <span
            className="pointer-events-none absolute inset-y-0 right-2 flex items-center text-note text-ink-2"
            aria-hidden="true"
          >
            {unit}
          </span>
        )}
      </div>
      {trouble && (
        <p id={`${id}-trouble`} role="alert" className="mt-1 text-small text-bad">
          {trouble.message}{' '}
          {trouble.offer && (
            <button
              type="button"
              className="link min-h-touch font-medium"
              onClick={() => trouble.offer && takeOffer(trouble.offer.value)}
            >
              Use it: {trouble.offer.text}
            </button>
          )}
        </p>
      )}
      {hint && !trouble && (
        <p id={`${id}-hint`} className="mt-1 text-note text-ink-2">
          {hint}
        </p>
      )}
    </div>
  )
}
