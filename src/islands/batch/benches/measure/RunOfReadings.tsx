import { useEffect, useId, useRef, useState } from 'react'
import type { Problem } from '../../../../core/codes/problem'
import { type FarReading, farReadings } from '../../../../core/rockwell/far-reading'
import { parseReadings } from '../../../../core/rockwell/parse-readings'
import { type FacedReading, onFace } from '../../../../core/rockwell/round-face'
import { useSay } from '../../../../ui/Units'
import { farReadingWords } from '../../../../words/far-reading'
import { problemWords } from '../../../../words/problems'
import { READINGS_FIELD, takeFocusReadings } from '../../focus-readings'

/** Reads '61 60.5 61'; what is wrong is said by place and stays to be corrected. */
export function RunOfReadings({
  mark,
  text,
  faceMm,
  isDial,
  known,
  predictedHrc,
  onText,
  onAdd,
}: {
  mark: string
  text: string
  /** Diameter of the face they are read on, mm; null: flat. */
  faceMm: number | null
  /** Whether the tester shows half points; else tenths. */
  isDial: boolean
  /** Readings the blade has at this stage already, as shown, and what is predicted for it, HRC. */
  known: readonly number[]
  predictedHrc: number | null
  onText: (text: string) => void
  /** Takes the readings; it shows the next blade before they are stored, so that typing ahead is of that one. */
  onAdd: (readings: readonly FacedReading[]) => void
}) {
  const say = useSay()
  const id = useId()
  const [problems, setProblems] = useState<readonly Problem[]>([])
  /** Question asked before something is stored, with the text typed at that moment. */
  const [asked, setAsked] = useState<{ readonly of: string; readonly far: readonly FarReading[] } | null>(null)
  const field = useRef<HTMLInputElement>(null)
  useEffect(() => {
    if (takeFocusReadings()) field.current?.focus()
  }, [])
  const far = asked?.of === text ? asked.far : []
  const submit = (isMeant = false) => {
    const parsed = parseReadings(text, isDial ? 'half points' : 'tenths')
    const read = parsed.ok ? onFace(parsed.value, faceMm) : parsed
    setProblems(read.ok ? [] : read.problems)
    if (!parsed.ok || !read.ok) return
    const doubtful = isMeant ? [] : farReadings(parsed.value, known, predictedHrc)
    setAsked(doubtful.length > 0 ? { of: text, far: doubtful } : null)
    if (doubtful.length > 0) return
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
      <div className="flex items-baseline justify-between gap-2">
        <label htmlFor={id} className="label">
          Readings of {mark}, HRC
        </label>
        <span aria-hidden="true" className="text-note text-ink-2">
          R
        </span>
      </div>
      <div className="flex gap-2">
        <input
          ref={field}
          id={id}
          {...{ [READINGS_FIELD]: '' }}
          className="field"
          aria-keyshortcuts="R"
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
      {far.length > 0 && (
        <div role="alert" className="mt-1 flex flex-wrap items-center gap-x-3 text-small">
          <p>{farReadingWords(far)}</p>
          <button type="button" className="btn" onClick={() => submit(true)}>
            Record it as typed
          </button>
          <button type="button" className="btn btn-plain" onClick={() => field.current?.focus()}>
            Correct it
          </button>
        </div>
      )}
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
