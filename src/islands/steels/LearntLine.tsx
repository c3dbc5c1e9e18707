import { NOTHING } from '../../core/codes/said'
import type { Grade } from '../../data/grades'
import { useAnswer } from '../../workers/use-answer'

/** Whether the shop's own readings help with a grade: errors on batches left out, with them and without. */
export function LearntLine({ grade }: { grade: Grade }) {
  const lesson = useAnswer('learn', NOTHING)
  if (!lesson) return null
  const own = lesson.ok ? lesson.value?.byGrade[grade.id] : undefined
  if (!own) return <p className="border-t border-rule py-2 text-note text-ink-2">No reading of it in this shop yet.</p>
  const helps = own.shop < own.chart
  return (
    <p className="border-t border-rule py-2 text-note text-ink-2">
      On batches left out, the chart is off by {own.chart.toFixed(2)} HRC and with your {own.readings} readings by{' '}
      {own.shop.toFixed(2)}: {helps ? 'they help' : 'they do not help here yet'}.
    </p>
  )
}
