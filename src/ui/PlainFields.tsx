import { type ReactNode, useId } from 'react'
import { DraftInput } from './DraftInput'
import { FieldLabel } from './FieldLabel'
import { type ReadText, type Taken, useDraft } from './use-draft'

interface NumberProps {
  readonly label: string
  /** Null where nothing is known yet; then it can also be emptied. */
  readonly value: number | null
  readonly min: number
  readonly max: number
  readonly onCommit: (value: number) => Taken
  readonly onClear?: () => Taken
  readonly whole?: boolean
  readonly unit?: string
  readonly hideLabel?: boolean
}

function readNumber(text: string, min: number, max: number, whole: boolean | undefined): ReadText<number> {
  const value = Number(text.trim().replace(',', '.'))
  if (text.trim() === '' || Number.isNaN(value)) return { message: `“${text}” is not a number.` }
  if (whole && !Number.isInteger(value)) return { message: 'Give a whole number.' }
  return value < min || value > max ? { message: `It must be from ${min} to ${max}.` } : { value }
}

/** A plain number without a choice of units (counts, HRC), comma or point. */
export function NumberField({ label, value, min, max, onCommit, onClear, whole, unit, hideLabel }: NumberProps) {
  return (
    <DraftInput
      label={label}
      hideLabel={hideLabel}
      shown={value === null ? '' : String(Math.round(value * 1000) / 1000)}
      unit={unit}
      whole={whole}
      read={text => readNumber(text, min, max, whole)}
      stored={value}
      onCommit={typed => (typed === value ? undefined : onCommit(typed))}
      onClear={onClear}
    />
  )
}

interface TextProps {
  readonly label: string
  readonly value: string
  readonly longest: number
  readonly onCommit: (value: string) => Taken
  readonly hideLabel?: boolean
  readonly className?: string
  /** Emptied on purpose counts; else an empty text is taken back. */
  readonly mayBeEmpty?: boolean
}

/** A line of text with what is wrong beside it; how it is saved: useDraft. */
export function TextField({ label, value, longest, onCommit, hideLabel, className, mayBeEmpty }: TextProps) {
  const id = useId()
  const { draft, trouble, type, leave, takeBack } = useDraft<string>({
    stored: value,
    // An empty text that means nothing is what stood there before.
    read: text => ({ value: text.trim() === '' && !mayBeEmpty ? value : text.trim() }),
    onCommit: text => (text === value ? undefined : onCommit(text)),
  })
  return (
    <div className="min-w-0">
      <FieldLabel id={id} label={label} hideLabel={hideLabel} />
      <input
        id={id}
        className={className ?? 'field'}
        maxLength={longest}
        autoComplete="off"
        value={draft ?? value}
        aria-invalid={trouble !== null}
        aria-describedby={trouble ? `${id}-trouble` : undefined}
        onChange={event => type(event.target.value)}
        onBlur={leave}
        onKeyDown={event => {
          if (event.key === 'Enter') leave()
          if (event.key === 'Escape') takeBack()
        }}
      />
      {trouble && (
        <p id={`${id}-trouble`} role="alert" className="mt-1 text-small text-bad">
          {trouble.message}
        </p>
      )}
    </div>
  )
}

interface SelectProps<T extends string> {
  readonly label: string
  readonly value: T
  readonly options: readonly (readonly [value: T, label: string])[]
  readonly onCommit: (value: T) => void
  readonly hideLabel?: boolean
  /** Said beside the label: whose the value is. */
  readonly mark?: string | undefined
  readonly hint?: ReactNode
}

/** One of a few. */
export function SelectField<T extends string>({
  label,
  value,
  options,
  onCommit,
  hideLabel,
  mark,
  hint,
}: SelectProps<T>) {
  const id = useId()
  return (
    <div className="min-w-0">
      <FieldLabel id={id} label={label} hideLabel={hideLabel} mark={mark} />
      <select id={id} className="field" value={value} onChange={event => onCommit(event.target.value as T)}>
        {options.map(([option, text]) => (
          <option key={option} value={option}>
            {text}
          </option>
        ))}
      </select>
      {hint && <p className="mt-1 text-note text-ink-2">{hint}</p>}
    </div>
  )
}
