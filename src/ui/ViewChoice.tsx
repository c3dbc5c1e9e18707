interface Props<V extends string> {
  readonly views: readonly (readonly [view: V, label: string])[]
  readonly view: V
  readonly onView: (view: V) => void
}

/** Which of a few drawings of the same thing is shown. */
export function ViewChoice<V extends string>({ views, view, onView }: Props<V>) {
  return (
    <fieldset aria-label="Drawn as" className="-my-2 flex flex-wrap">
      {views.map(([key, label]) => (
        <button
          key={key}
          type="button"
          aria-pressed={view === key}
          className={`min-h-touch px-2 text-small ${view === key ? 'font-semibold underline decoration-ember decoration-2 underline-offset-[6px]' : 'text-ink-2'}`}
          onClick={() => onView(key)}
        >
          {label}
        </button>
      ))}
    </fieldset>
  )
}
