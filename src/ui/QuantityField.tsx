import { useId, useState } from 'react'
import {
  type Dimension,
  formatNumber,
  formatQuantity,
  otherReading,
  parseQuantity,
  type System,
  shownUnitLabel,
} from '../core/units/quantity'
import { useSystem } from './Units'

interface Props {
  readonly label: string
  /** Base unit: °C, mm, kg or minutes. */
  readonly value: number
  readonly dimension: Dimension
  readonly min: number
  readonly max: number
  readonly onCommit: (base: number) => void
  /** Hides the label from sight where a table heading says it. */
  readonly hideLabel?: boolean
  readonly hint?: string
  readonly disabled?: boolean
}

interface Trouble {
  readonly message: string
  readonly offer: { readonly base: number; readonly text: string } | null
}

/** Checks what was typed; either a value in range, or what is wrong and what was likely meant. */
function read(text: string, props: Props, system: System): { value: number } | Trouble {
  const { dimension, min, max } = props
  const parsed = parseQuantity(text, dimension, system)
  if (!parsed.ok) return { message: parsed.problems[0]?.message ?? 'Not a value.', offer: null }
  if (parsed.value >= min && parsed.value <= max) return { value: parsed.value }
  const shown = (base: number) => formatQuantity(base, dimension, system)
  const other = otherReading(text, dimension, system, { min, max })
  return {
    message: `${shown(parsed.value)} is outside ${shown(min)} to ${shown(max)}.`,
    offer: other && { base: other.base, text: `${other.text} is ${shown(other.base)}` },
  }
}

/** A field that reads any spelling of a quantity ('1950F', '1/8in') and shows it in the workshop's units. */
export function QuantityField(props: Props) {
  const { label, value, dimension, onCommit, hideLabel, hint, disabled } = props
  const system = useSystem()
  const id = useId()
  const [draft, setDraft] = useState<string | null>(null)
  const [trouble, setTrouble] = useState<Trouble | null>(null)
  const unit = shownUnitLabel(dimension, system)

  const take = (base: number) => {
    setDraft(null)
    setTrouble(null)
    if (Math.abs(base - value) > 1e-9) onCommit(base)
  }
  const commit = () => {
    if (draft === null) return
    const outcome = read(draft, props, system)
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
          className="field pr-10"
          inputMode={dimension === 'duration' ? 'numeric' : 'decimal'}
          autoComplete="off"
          value={draft ?? formatNumber(value, dimension, system)}
          disabled={disabled}
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
        <span
          className="pointer-events-none absolute inset-y-0 right-2 flex items-center text-[12px] text-ink-2"
          aria-hidden="true"
        >
          {unit}
        </span>
      </div>
      {trouble && (
        <p id={`${id}-trouble`} role="alert" className="mt-1 text-[13px] text-bad">
          {trouble.message}{' '}
          {trouble.offer && (
            <button
              type="button"
              className="link min-h-6 font-medium"
              onClick={() => take(trouble.offer?.base ?? value)}
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
