import { useMemo } from 'react'
import { bladesOf } from '../../core/batch/tray'
import { type DrillReport, reportOf } from '../../core/run/drill'
import type { Batch } from '../../core/shop/batch'
import type { Run } from '../../core/shop/run'
import { minutesOf } from '../../core/units/time'
import { drillWords, habitWords, metWords } from '../../words/drill'
import { marksOfBlades } from '../../words/lists'
import { soakCostWords } from '../../words/soak-effect'
import { useAnswer } from '../../workers/use-answer'

/** How a practice with surprises went, beside the best possible, what that would have cost, and what to train next. */
export function DrillReportPart({ run, batch }: { run: Run; batch: Batch }) {
  const report = useMemo(() => reportOf(run), [run])
  return (
    <section aria-label="How it went" className="mb-8">
      <h2 className="mb-2 text-heading font-semibold">How it went</h2>
      <p className="text-large">{drillWords(report)}.</p>
      <WorstSoak report={report} batch={batch} />
      <p className="mt-2 border-l-4 border-hot bg-soot-2 p-3 text-large">{habitWords(report.habit)}</p>
      {report.happenings.length > 0 && (
        <ol className="mt-3 text-lead">
          {report.happenings.map(one => (
            <li key={one.surprise.stepId} className="border-t border-soot-rule py-1.5">
              {metWords(one, batch)}
            </li>
          ))}
        </ol>
      )}
    </section>
  )
}

/** Shows the cost to its blade of the soak that was furthest off. */
function WorstSoak({ report, batch }: { report: DrillReport; batch: Batch }) {
  const worst = report.pulls.reduce<DrillReport['pulls'][number] | null>(
    (a, b) => (a && Math.abs(a.offS) >= Math.abs(b.offS) ? a : b),
    null,
  )
  const groupId = bladesOf(batch).find(blade => blade.id === worst?.bladeId)?.group.id
  const soakMin = worst ? Math.min(600, Math.max(1, Math.round(minutesOf(worst.soakedS)))) : null
  const effect = useAnswer(
    'soak-effect',
    useMemo(
      () => (groupId === undefined || soakMin === null ? null : { groups: batch.groups, groupId, soakMin }),
      [batch.groups, groupId, soakMin],
    ),
  )
  if (!worst || !effect?.ok || !effect.value) return null
  return <p className="mt-1 text-large">{soakCostWords(marksOfBlades(batch, [worst.bladeId]), effect.value)}</p>
}
