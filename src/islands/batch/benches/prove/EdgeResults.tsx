import type { ProvedEdge } from '../../../../core/logbook/edge-evidence'
import { rateOf } from '../../../../core/numeric/rate'
import { ScrollRegion } from '../../../../ui/ScrollRegion'
import { useSay } from '../../../../ui/Units'
import { rateWords, saltWords, testWords } from '../../../../words/edge-tests'
import { hrcText } from '../../../../words/speaker'
import { useBench } from '../../bench-context'
import { editBlade } from '../../edit'

/** Lists the edge tests of this steel, newest first: of this batch, and of others. */
export function EdgeResults({ proved }: { proved: readonly ProvedEdge[] }) {
  const { batch, shown } = useBench()
  const { prediction, group } = shown
  const say = useSay()
  if (proved.length === 0)
    return (
      <p className="max-w-2xl py-6 text-ink-2">
        No edge of this steel was tested yet. Sharpen every blade the same way, choose one test, and enter what each
        edge did below. Five results already narrow the best hardness down.
      </p>
    )
  const remove = (bladeId: string, testId: string, mark: string) =>
    void editBlade(batch, bladeId, `Edge test of ${mark} taken out`, blade => ({
      ...blade,
      edgeTests: (blade.edgeTests ?? []).filter(test => test.id !== testId),
    }))
  const edges = proved.filter(one => one.test.kind !== 'salt-water')
  // The model is asked of this batch's route: blades of other routes say nothing of it.
  const salt = proved
    .filter(
      ({ test, batchId, blade }) => test.kind === 'salt-water' && batchId === batch.id && blade.group.id === group.id,
    )
    .map(({ test }) => test.result)
  const share = (result: string) => rateOf(edges.filter(one => one.test.result === result).length, edges.length)
  return (
    <>
      {edges.length > 0 && (
        <p className="pb-2 text-small">
          {rateWords({ holds: share('holds'), rolls: share('rolls'), chips: share('chips') }, edges.length)}
        </p>
      )}
      {salt.length > 0 && prediction && <p className="pb-2 text-small">{saltWords(salt, prediction.corrosion)}</p>}
      <ScrollRegion
        label="Edge tests"
        className={`overflow-y-auto ${salt.length > 0 ? 'max-h-[225px]' : 'max-h-[280px]'}`}
      >
        <table className="sheet">
          <thead className="sticky top-0 bg-ash">
            <tr>
              <th>Blade</th>
              <th>Hardness</th>
              <th>Test</th>
              <th>Control</th>
              <th>
                <span className="sr-only">Take out</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {[...proved].reverse().map(({ batchId, batchName, blade, test, hardness }) => (
              <tr key={test.id}>
                <td className="font-semibold">
                  {blade.mark}
                  {batchId !== batch.id && <span className="block text-note font-normal text-ink-2">{batchName}</span>}
                </td>
                <td className="whitespace-nowrap">{hardness ? `${hrcText(hardness.hrc)} HRC` : 'not read'}</td>
                <td>
                  {testWords(test, say)}
                  {test.hidden ? ', mark hidden' : ''}
                </td>
                <td>{test.control ? `${hrcText(test.control.hrc)} HRC ${test.control.result}` : 'none'}</td>
                <td className="!py-0">
                  {batchId === batch.id && (
                    <button
                      type="button"
                      className="min-h-row min-w-touch text-ink-2 hover:text-ink"
                      aria-label={`Take out the test of ${blade.mark}: ${testWords(test, say)}`}
                      onClick={() => remove(blade.id, test.id, blade.mark)}
                    >
                      ×
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </ScrollRegion>
    </>
  )
}
