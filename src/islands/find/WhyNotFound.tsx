import { useMemo } from 'react'
import { targetAbout, whyNotIn } from '../../core/logbook/why-not'
import { gradeOf, gradesWith } from '../../core/steel/grades'
import { useBatch, useOwnGrades } from '../../store/hooks'
import { ReachSays } from '../ReachSays'
import { useLearnt } from '../use-learnt'

interface Props {
  readonly text: string
  /** Batch that is open: its first steel is meant where the text names none. */
  readonly batchId: string | null
}

/** Answers "why not 61" in Find: for the steel it names, or the open batch's. */
export default function WhyNotFound({ text, batchId }: Props) {
  const own = useOwnGrades()
  const batch = useBatch(batchId ?? '')
  const learnt = useLearnt()
  const asked = useMemo(() => whyNotIn(text, gradesWith(own ?? [])), [text, own])
  const target = useMemo(() => targetAbout(asked?.hrc ?? 0), [asked?.hrc])
  if (!asked) return null
  const group = batch?.groups[0]
  const grade = asked.grade ?? (group && gradeOf(group))
  return (
    <div className="p-4">
      <p className="font-semibold">
        Why not {asked.hrc} HRC{grade ? ` with ${grade.name}` : ''}?
      </p>
      {grade ? (
        <ReachSays grade={grade} target={target} learnt={learnt} />
      ) : (
        <p className="text-small text-ink-2">Add the steel: “why not {asked.hrc} 440C”.</p>
      )}
    </div>
  )
}
