import type { ShopFit } from '../../core/learn/fit-shop'
import type { Grade } from '../../data/grades'

/** Whether the shop's own readings help with a grade: errors on batches left out, with them and without. */
export function LearntLine({ grade, fit }: { grade: Grade; fit: ShopFit | null | undefined }) {
  const own = fit?.byGrade[grade.id]
  if (!own)
    return <p className="border-t border-rule py-2 text-[12.5px] text-ink-2">No reading of it in this shop yet.</p>
  const helps = own.shop < own.chart
  return (
    <p className="border-t border-rule py-2 text-[12.5px] text-ink-2">
      On batches left out, the chart is off by {own.chart.toFixed(2)} HRC and with your {own.readings} readings by{' '}
      {own.shop.toFixed(2)}: {helps ? 'they help' : 'they do not help here yet'}.
    </p>
  )
}
