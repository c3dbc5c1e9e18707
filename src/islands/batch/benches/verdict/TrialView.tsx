import { bladeHardness } from '../../../../core/job/hardness'
import { stagesOf } from '../../../../core/job/stages'
import { type BatchBlade, routeOfBlade } from '../../../../core/job/tray'
import { halvesOf, type Trial } from '../../../../core/job/trial'
import { meanDifference, rateDifference } from '../../../../core/numeric/two-means'
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
  const halves = halvesOf(batch, trial)
  const hardnessOf = (blades: readonly BatchBlade[]) =>
    blades.flatMap(blade => {
      const stage = stagesOf(routeOfBlade(blade)).at(-1)
      const found = stage && bladeHardness(blade, stage, { readings, tester: shop.tester })
      return found ? [{ mark: blade.mark, hrc: found.hrc }] : []
    })
  const edgesOf = (blades: readonly BatchBlade[]) => {
    const tests = blades.flatMap(blade => blade.record.edgeTests ?? []).filter(test => test.kind !== 'salt-water')
    return { count: tests.filter(test => test.result === 'holds').length, of: tests.length }
  }
  const rows = [
    ['As usual', halves.control],
    ['With the change', halves.changed],
  ] as const
  const [control, changed] = rows.map(([, blades]) => hardnessOf(blades).map(one => one.hrc))
  const [usualEdges, changedEdges] = [edgesOf(halves.control), edgesOf(halves.changed)]
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
          {rows.map(([name, blades]) => (
            <tr key={name}>
              <td className="font-semibold">{name}</td>
              <td>{marksOf(blades.map(blade => blade.mark))}</td>
              <td>
                {hardnessOf(blades)
                  .map(one => `${one.mark} ${hrcText(one.hrc)}`)
                  .join(', ') || 'not read'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <p>{outcomeWords(meanDifference(control ?? [], changed ?? []))}</p>
      {usualEdges.of > 0 && changedEdges.of > 0 && (
        <p>{edgesWords(usualEdges, changedEdges, rateDifference(usualEdges, changedEdges))}</p>
      )}
    </div>
  )
}
