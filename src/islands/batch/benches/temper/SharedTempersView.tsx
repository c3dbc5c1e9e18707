import { furthestK, type SharedTempers, withSharedTempers } from '../../../../core/bench/shared-tempers'
import type { Result } from '../../../../core/codes/result'
import { editBatch } from '../../../../store/batches'
import { Problems } from '../../../../ui/Problems'
import { ScrollRegion } from '../../../../ui/ScrollRegion'
import { useSay } from '../../../../ui/Units'
import { nothingSharedWords, temperChangeWords, withinWords } from '../../../../words/batch-day'
import { hoursText } from '../../../../words/clock-text'
import { useBench } from '../../bench-context'

/** Shorter plans of the tempers, each with what it does to every steel; one press takes it. */
export function SharedTempersView({ plans }: { plans: Result<readonly SharedTempers[]> | null }) {
  const { batch, shop } = useBench()
  const say = useSay()
  if (!plans) return <p className="py-6 text-ink-2">Working out …</p>
  if (!plans.ok) return <Problems of={plans.problems} />
  const take = (plan: SharedTempers) => void editBatch(batch, 'Share tempers', b => withSharedTempers(b, plan))
  return (
    <>
      <ScrollRegion label="Temper loads that are shared" className="max-h-[228px] overflow-auto">
        <table className="sheet">
          <thead className="sticky top-0 bg-ash">
            <tr>
              <th>Temperatures</th>
              <th>Loads</th>
              <th>Whole batch, h:min</th>
              <th>What changes</th>
              <th>
                <span className="sr-only">Take it</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {plans.value.map(plan => (
              <tr key={`${plan.withinK} ${plan.changes.length}`}>
                <td className="whitespace-nowrap">{withinWords(plan, say)}</td>
                <td className="figure">{plan.loads}</td>
                <td className="figure">{hoursText(plan.totalMin)}</td>
                <td>
                  {plan.changes.map(change => (
                    <span key={change.groupId} className="block">
                      {temperChangeWords(change, say)}
                    </span>
                  ))}
                </td>
                <td>
                  {plan.changes.length > 0 && (
                    <button
                      type="button"
                      className="btn whitespace-nowrap"
                      aria-label={`Take it: ${plan.loads} loads`}
                      onClick={() => take(plan)}
                    >
                      Take it
                    </button>
                  )}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </ScrollRegion>
      {plans.value.length === 1 && (
        <p className="mt-2 text-small text-ink-2">{nothingSharedWords(furthestK(shop.units), say)}</p>
      )}
    </>
  )
}
