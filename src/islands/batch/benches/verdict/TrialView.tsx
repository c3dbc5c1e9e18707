import type { Trial } from '../../../../core/batch/trial'
import { trialOutcome } from '../../../../core/logbook/trial-outcome'
import { useReadings } from '../../../../store/hooks'
import { useSay } from '../../../../ui/Units'
import { marksOf } from '../../../../words/lists'
import { hrcText } from '../../../../words/speaker'
import { edgesWords, outcomeWords, trialWords } from '../../../../words/trial'
import { useBench } from '../../bench-context'

/** Both halves of a trial side by side, and what the change did. */
export function TrialView({ trial }: { trial: Trial }) {
  const { batch, shop } = useBench()
  const say = useSay()
  const readings = useReadings(batch.id) ?? []
  const { control, changed, hardness, edges } = trialOutcome(batch, trial, { readings, tester: shop.tester })
  const rows = [
    ['As usual', control],
    ['With the change', changed],
  ] as const
  return (
    <div className="space-y-3 py-2">
      <p className="text-lead">{trialWords(trial, say)}</p>
      <table className="sheet max-w-2xl">
        <thead>
          <tr>
            <th>Half</th>
            <th>Blades</th>
            <th>Finished hardness of each</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, half]) => (
            <tr key={name}>
              <td className="font-semibold">{name}</td>
              <td>{marksOf(half.marks)}</td>
              <td>{half.hardness.map(one => `${one.mark} ${hrcText(one.hrc)}`).join(', ') || 'not read'}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p>{outcomeWords(hardness)}</p>
      {edges && <p>{edgesWords(control.edges, changed.edges, edges)}</p>}
    </div>
  )
}
