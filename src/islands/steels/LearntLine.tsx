import { NOTHING } from '../../core/codes/said'
import type { Grade } from '../../data/grades'
import { useAnswer } from '../../workers/use-answer'

/** Whether the shop's own readings help with a grade: errors on batches left out, with them and without. */
export function LearntLine({ grade }: { grade: Grade }) {
  const lesson = useAnswer('learn', NOTHING)
  if (!lesson) return null
  const own = lesson.ok ? lesson.value?.byGrade[grade.id] : undefined
  if (!own)
    return <p className="border-t border-rule py-2 text-note text-ink-2">No reading of this steel in your shop yet.</p>
  const helps = own.shop < own.chart
  return (
    <p className="border-t border-rule py-2 text-note text-ink-2">
      Tested on batches left out of the learning: the chart alone is off by {own.chart.toFixed(2)} HRC, with your{' '}
      {own.readings} readings by {own.shop.toFixed(2)} HRC.{' '}
      {helps ? 'Your readings help.' : 'Your readings do not help here yet.'}
    </p>
  )
}
