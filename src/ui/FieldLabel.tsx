interface Props {
  readonly id: string
  readonly label: string
  /** Hides the label from sight where a table heading says it. */
  readonly hideLabel?: boolean | undefined
  /** Said beside it: whose the value is. */
  readonly mark?: string | undefined
}

/** Label of a field. */
export const FieldLabel = ({ id, label, hideLabel, mark }: Props) => (
  <div className={hideLabel ? 'sr-only' : 'flex items-baseline justify-between gap-2'}>
    <label htmlFor={id} className="label">
      {label}
    </label>
    {mark && <span className="shrink-0 text-note leading-none text-ink-2 italic">{mark}</span>}
  </div>
)
