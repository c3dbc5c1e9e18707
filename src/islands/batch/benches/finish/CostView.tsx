import { useMemo, useState } from 'react'
import { bladesOf } from '../../../../core/batch/tray'
import { worked } from '../../../../core/codes/working'
import type { Answer } from '../../../../core/contract/questions'
import { lossOf, quoteOf } from '../../../../core/cost/quote'
import { attendedMinByBatch } from '../../../../core/run/attended'
import { BOUNDS } from '../../../../core/shop/bounds'
import { useNewestBatches } from '../../../../store/hooks'
import { useRunsOf } from '../../../../store/run-hooks'
import { Figure } from '../../../../ui/Bench'
import { CostTable } from '../../../../ui/CostTable'
import { NumberField } from '../../../../ui/PlainFields'
import { Problems } from '../../../../ui/Problems'
import { ScaledField } from '../../../../ui/ScaledField'
import { useSay } from '../../../../ui/Units'
import {
  bladeCostWords,
  FOIL_FROM_WORDS,
  hoursWords,
  lossWords,
  perGoodWords,
  quoteWords,
} from '../../../../words/cost'
import { useAnswer } from '../../../../workers/use-answer'
import { InventedPrices } from '../../../InventedPrices'
import { useBench } from '../../bench-context'
import { editGroup } from '../../edit'

/** Newest batches whose losses tell what an order must allow for. */
const LOSS_OF = 200

/** Shows the cost of this batch, of each good blade, and of an order of more like them. */
export function CostView() {
  const { batch, shop } = useBench()
  const say = useSay()
  const runs = useRunsOf(batch.id)
  const lately = useNewestBatches(LOSS_OF)
  const [ordered, setOrdered] = useState(6)
  const answer = useAnswer(
    'batch-cost',
    useMemo(
      () =>
        runs && {
          batch,
          shop,
          attendedMin: attendedMinByBatch(runs)[batch.id] ?? null,
        },
      [batch, shop, runs],
    ) ?? null,
  )
  if (!answer) return <p className="py-6 text-ink-2">Working out …</p>
  if (!answer.ok) return <Problems of={answer.problems} />
  const cost = answer.value
  const loss = lossOf((lately?.batches ?? []).flatMap(one => bladesOf(one)))
  return (
    <div className="grid gap-x-10 gap-y-3 md:grid-cols-2">
      <div>
        <CostTable
          columns={[
            { head: 'Batch', costs: cost.costs, total: cost.total },
            { head: 'A good blade', costs: cost.costs, total: cost.total, by: cost.good },
          ]}
        />
        <EachBlade cost={cost} />
      </div>
      <div>
        <Figure
          label="A good blade of this batch"
          value={say.money(cost.perGood)}
          unit={perGoodWords(cost, say)}
          working={[worked('batch-cost', cost.total, 'money', { good: cost.good })]}
        />
        <InventedPrices />
        <p className="py-2 text-small">
          Hours: {hoursWords(cost)}. {FOIL_FROM_WORDS[cost.foil]}
        </p>
        <div className="grid max-w-xl grid-cols-2 gap-3 md:grid-cols-3">
          {batch.groups.map(group => (
            <ScaledField
              key={group.id}
              label={`Price of steel ${group.lot || group.gradeName}`}
              kind="pricePerKg"
              value={group.steelPerKg ?? shop.prices?.steelPerKg ?? 0}
              {...BOUNDS.steelPricePerKg}
              onCommit={steelPerKg =>
                void editGroup(batch, group.id, 'Price of the steel', one => ({ ...one, steelPerKg }))
              }
            />
          ))}
          <NumberField
            label="An order of"
            value={ordered}
            unit="blades"
            whole
            {...BOUNDS.bladeCount}
            onCommit={setOrdered}
          />
        </div>
        <p className="pt-2">{quoteWords(quoteOf(cost, ordered, loss), say)}</p>
        <p className="pt-1 text-note text-ink-2">
          {lossWords(loss.lost, loss.tried)} Prices and minutes are in the <a href="/workshop">Workshop</a>.
        </p>
      </div>
    </div>
  )
}

/** A larger blade takes more steel and foil than a small one beside it. */
function EachBlade({ cost }: { cost: Answer<'batch-cost'> }) {
  const { batch } = useBench()
  const say = useSay()
  const of = new Map(cost.blades.map(blade => [blade.bladeId, blade]))
  return (
    <details className="pt-2 text-small">
      <summary className="min-h-touch cursor-pointer content-center">What each blade costs</summary>
      <ul className="max-h-40 overflow-auto">
        {bladesOf(batch).map(blade => {
          const its = of.get(blade.id)
          return (
            <li key={blade.id} className="flex justify-between gap-3 border-t border-rule py-1">
              <strong>{blade.mark}</strong>
              <span>{its ? bladeCostWords(its, say) : 'scrapped'}</span>
            </li>
          )
        })}
      </ul>
    </details>
  )
}
