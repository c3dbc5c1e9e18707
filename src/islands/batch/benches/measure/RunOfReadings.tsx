import { useId, useState } from 'react'
import type { Problem } from '../../../../core/result'
import { parseReadings } from '../../../../core/rockwell/parse-readings'

/** Reads '61 60.5 61'; what is wrong is said by place and stays to be corrected. */
export function RunOfReadings({
  mark,
  text,
  onText,
  onAdd,
}: {
  mark: string
  text: string
  onText: (text: string) => void
  onAdd: (values: readonly number[]) => Promise<boolean>
}) {
  const id = useId()
  const [problems, setProblems] = useState<readonly Problem[]>([])
  const submit = async () => {
    const parsed = parseReadings(text)
    setProblems(parsed.ok ? [] : parsed.problems)
    if (parsed.ok && (await onAdd(parsed.value))) onText('')
  }
  return (
    <form
      onSubmit={event => {
        event.preventDefault()
        void submit()
      }}
    >
      <label htmlFor={id} className="label">
        Readings of {mark}, HRC
      </label>
      <div className="flex gap-2">
        <input
          id={id}
          className="field"
          inputMode="decimal"
          autoComplete="off"
          placeholder="61 60.5 61"
          value={text}
          onChange={event => onText(event.target.value)}
          aria-invalid={problems.length > 0}
          aria-describedby={problems.length ? `${id}-p` : undefined}
        />
        <button type="submit" className="btn btn-ember">
          Record
        </button>
      </div>
      {problems.length > 0 && (
        <ul id={`${id}-p`} role="alert" className="mt-1 text-[13px] text-bad">
          {problems.map(problem => (
            <li key={problem.path}>{problem.message}</li>
          ))}
        </ul>
      )}
    </form>
  )
}
