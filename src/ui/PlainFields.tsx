import { type ReactNode, useId, useState } from 'react'
import { DraftInput, type ReadText } from './DraftInput'

interface NumberProps {
  readonly label: string
  /** Null where nothing is known yet; then it can also be emptied. */
  readonly value: number | null
  readonly min: number
  readonly max: number
  readonly onCommit: (value: number) => void
  readonly onClear?: () => void
  readonly whole?: boolean
  readonly unit?: string
  readonly hideLabel?: boolean
}

function readNumber(text: string, min: number, max: number, whole: boolean | undefined): ReadText {
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
      onCommit={typed => typed !== value && onCommit(typed)}
      onClear={onClear}
    />
  )
}

interface TextProps {
  readonly label: string
  readonly value: string
  readonly longest: number
  readonly onCommit: (value: string) => void
  readonly hideLabel?: boolean
  readonly className?: string
  /** Emptied on purpose counts; else an empty text is taken back. */
  readonly mayBeEmpty?: boolean
}

/** A line of text, saved when left. */
export function TextField({ label, value, longest, onCommit, hideLabel, className, mayBeEmpty }: TextProps) {
  const id = useId()
  const [draft, setDraft] = useState<string | null>(null)
  const commit = () => {
    const text = draft?.trim()
    setDraft(null)
    if (text !== undefined && (text !== '' || mayBeEmpty) && text !== value) onCommit(text)
  }
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'label'}>
        {label}
      </label>
      <input
        id={id}
        className={className ?? 'field'}
        maxLength={longest}
        autoComplete="off"
        value={draft ?? value}
        onChange={event => setDraft(event.target.value)}
        onBlur={commit}
        onKeyDown={event => {
          if (event.key === 'Enter') commit()
          if (event.key === 'Escape') setDraft(null)
        }}
      />
    </div>
  )
}

interface SelectProps<T extends string> {
  readonly label: string
  readonly value: T
  readonly options: readonly (readonly [value: T, label: string])[]
  readonly onCommit: (value: T) => void
  readonly hideLabel?: boolean
  readonly hint?: ReactNode
}

/** One of a few. */
export function SelectField<T extends string>({ label, value, options, onCommit, hideLabel, hint }: SelectProps<T>) {
  const id = useId()
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'label'}>
        {label}
      </label>
      <select id={id} className="field" value={value} onChange={event => onCommit(event.target.value as T)}>
        {options.map(([option, text]) => (
          <option key={option} value={option}>
            {text}
          </option>
        ))}
      </select>
      {hint && <p className="mt-1 text-[12.5px] text-ink-2">{hint}</p>}
    </div>
  )
}
