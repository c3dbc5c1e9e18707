import { type ReactNode, useId, useState } from 'react'

interface NumberProps {
  readonly label: string
  readonly value: number
  readonly min: number
  readonly max: number
  readonly onCommit: (value: number) => void
  readonly whole?: boolean
  readonly unit?: string
  readonly hideLabel?: boolean
}

/** A plain number without a choice of units (counts, HRC), comma or point; what is wrong is said, and kept to correct. */
export function NumberField({ label, value, min, max, onCommit, whole, unit, hideLabel }: NumberProps) {
  const id = useId()
  const [draft, setDraft] = useState<string | null>(null)
  const [trouble, setTrouble] = useState<string | null>(null)
  const commit = () => {
    if (draft === null) return
    const parsed = Number(draft.trim().replace(',', '.'))
    if (draft.trim() === '' || Number.isNaN(parsed)) setTrouble(`“${draft}” is not a number.`)
    else if (whole && !Number.isInteger(parsed)) setTrouble('Give a whole number.')
    else if (parsed < min || parsed > max) setTrouble(`It must be from ${min} to ${max}.`)
    else {
      setDraft(null)
      setTrouble(null)
      if (parsed !== value) onCommit(parsed)
    }
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
          value={draft ?? String(Math.round(value * 1000) / 1000)}
          aria-invalid={trouble !== null}
          aria-describedby={trouble ? `${id}-trouble` : undefined}
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
          {trouble}
        </p>
      )}
    </div>
  )
}

interface TextProps {
  readonly label: string
  readonly value: string
  readonly longest: number
  readonly onCommit: (value: string) => void
  readonly hideLabel?: boolean
  readonly className?: string
}

/** A line of text, saved when left. */
export function TextField({ label, value, longest, onCommit, hideLabel, className }: TextProps) {
  const id = useId()
  const [draft, setDraft] = useState<string | null>(null)
  const commit = () => {
    const text = draft?.trim()
    setDraft(null)
    if (text && text !== value) onCommit(text)
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
