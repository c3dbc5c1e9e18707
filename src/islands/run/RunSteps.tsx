const SHOWN_BEFORE = 2
const SHOWN = 8

/** Where the run stands among its steps: a few done, the present one, what follows. */
export function RunSteps({ steps, index }: { steps: readonly { id: string; title: string }[]; index: number }) {
  const first = Math.max(0, Math.min(index - SHOWN_BEFORE, steps.length - SHOWN))
  const shown = steps.slice(first, first + SHOWN)
  return (
    <ol
      className="hidden border-t-2 border-soot-rule sm:grid"
      style={{ gridTemplateColumns: `repeat(${shown.length}, minmax(0, 1fr))` }}
      aria-label="Steps"
    >
      {shown.map((step, i) => {
        const at = first + i
        return (
          <li
            key={step.id}
            aria-current={at === index ? 'step' : undefined}
            className={`-mt-[9px] px-1 text-center text-lead ${at === index ? 'font-bold text-bone' : 'text-bone-2'}`}
          >
            <span
              className={`mx-auto mb-1 block h-4 w-4 rounded-full border-2 ${at < index ? 'border-[#8d857c] bg-[#8d857c]' : at === index ? 'border-hot bg-hot' : 'border-[#8d857c] bg-soot'}`}
            />
            {step.title}
            <span className="sr-only">{at < index ? ', done' : ''}</span>
          </li>
        )
      })}
    </ol>
  )
}
