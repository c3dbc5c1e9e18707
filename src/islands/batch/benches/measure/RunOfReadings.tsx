import { useId, useState } from 'react'
import type { Problem } from '../../../../core/codes/problem'
import { parseReadings } from '../../../../core/rockwell/parse-readings'
import { type FacedReading, onFace } from '../../../../core/rockwell/round-face'
import { useSay } from '../../../../ui/Units'
import { problemWords } from '../../../../words/problems'

/** Reads '61 60.5 61'; what is wrong is said by place and stays to be corrected. */
export function RunOfReadings({
  mark,
  text,
  faceMm,
  onText,
  onAdd,
}: {
  mark: string
  text: string
  /** Diameter of the face they are read on, mm; null: flat. */
  faceMm: number | null
  onText: (text: string) => void
  /** Takes the readings; it shows the next blade before they are stored, so that typing ahead is of that one. */
  onAdd: (readings: readonly FacedReading[]) => void
}) {
  const say = useSay()
  const id = useId()
  const [problems, setProblems] = useState<readonly Problem[]>([])
  const submit = () => {
    const parsed = parseReadings(text)
    const read = parsed.ok ? onFace(parsed.value, faceMm) : parsed
    setProblems(read.ok ? [] : read.problems)
    if (!read.ok) return
    onText('')
    onAdd(read.value)
  }
  return (
    <form
      onSubmit={event => {
        event.preventDefault()
        submit()
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
        <ul id={`${id}-p`} role="alert" className="mt-1 text-small text-bad">
          {problems.map(problem => (
            <li key={problem.path}>{problemWords(problem, say)}</li>
          ))}
        </ul>
      )}
    </form>
  )
}
