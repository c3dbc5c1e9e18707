interface Props {
  readonly label: string
  readonly value: string
  readonly onChange: (text: string) => void
  readonly placeholder?: string
  readonly className?: string
}

/** Field that filters a list while it is typed in. */
export const SearchField = ({ label, value, onChange, placeholder, className = 'w-64' }: Props) => (
  <label className="block">
    <span className="label">{label}</span>
    <input
      type="search"
      className={`field ${className}`}
      placeholder={placeholder}
      maxLength={80}
      value={value}
      onChange={event => onChange(event.target.value)}
    />
  </label>
)
