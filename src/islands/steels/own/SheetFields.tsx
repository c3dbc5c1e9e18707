import { type ReactNode, useId, useState } from 'react'
import { get, type Path, useFormContext } from 'react-hook-form'
import type { SheetDraft } from '../../../core/files/own-grade/sheet-draft'
import { formatQuantity } from '../../../core/units/quantity'

interface TextProps {
  readonly name: Path<SheetDraft>
  readonly label: string
  readonly hideLabel?: boolean
  readonly longest?: number
  readonly rows?: number
  readonly hint?: string
  /** Placeholder while the field is empty: °C, or a plain number. */
  readonly suggested?: number | null
  readonly plain?: boolean
}

/** A text of the sheet with its trouble beneath; what is wrong stays as it was typed. */
export function Text({ name, label, hideLabel, longest, rows, hint, suggested, plain }: TextProps) {
  const id = useId()
  const { register, formState, getValues } = useFormContext<SheetDraft>()
  const message = (get(formState.errors, name) as { message?: string } | undefined)?.message
  const placeholder =
    hint ??
    (suggested === undefined || suggested === null
      ? ''
      : plain
        ? String(suggested)
        : formatQuantity(suggested, 'temperature', getValues('units')))
  const shared = {
    id,
    placeholder,
    maxLength: longest ?? 4000,
    autoComplete: 'off',
    'aria-invalid': message !== undefined,
    'aria-describedby': message ? `${id}-trouble` : undefined,
    ...register(name),
  }
  return (
    <div className="min-w-0">
      <label htmlFor={id} className={hideLabel ? 'sr-only' : 'label'}>
        {label}
      </label>
      {rows ? <textarea rows={rows} className="field py-2" {...shared} /> : <input className="field" {...shared} />}
      {message && (
        <p id={`${id}-trouble`} role="alert" className="mt-1 text-small text-bad">
          {message}
        </p>
      )}
    </div>
  )
}

interface ChoiceProps {
  readonly name: 'made' | 'chartTempers' | 'units'
  readonly label: string
  readonly options: readonly (readonly [value: string, label: string])[]
}

export function Choice({ name, label, options }: ChoiceProps) {
  const id = useId()
  const { register } = useFormContext<SheetDraft>()
  return (
    <div className="min-w-0">
      <label htmlFor={id} className="label">
        {label}
      </label>
      <select id={id} className="field" {...register(name)}>
        {options.map(([value, text]) => (
          <option key={value} value={value}>
            {text}
          </option>
        ))}
      </select>
    </div>
  )
}

interface FoldProps {
  readonly title: string
  /** Summary of what is inside, shown while it is folded. */
  readonly says: string
  /** Fields inside: a trouble in one of them opens the part. */
  readonly names: readonly Path<SheetDraft>[]
  readonly children: ReactNode
}

/** A part of the sheet that is folded away until it is wanted, or until something in it is wrong. */
export function Fold({ title, says, names, children }: FoldProps) {
  const [open, setOpen] = useState(false)
  const { errors } = useFormContext<SheetDraft>().formState
  const isWrong = names.some(name => get(errors, name) !== undefined)
  return (
    <details open={open || isWrong} onToggle={event => setOpen(event.currentTarget.open)}>
      <summary className="min-h-touch cursor-pointer py-2">
        <span className="text-lead">{title}</span> <span className="text-small text-ink-2">{says}</span>
      </summary>
      {children}
    </details>
  )
}
