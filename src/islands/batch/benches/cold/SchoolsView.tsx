import { withRoute } from '../../../../core/batch/route-edit'
import { COLD_C } from '../../../../core/cold/way'
import { costAt } from '../../../../core/cost/price'
import type { BatchGroup } from '../../../../core/shop/batch'
import type { Workshop } from '../../../../core/shop/workshop'
import { usualCold } from '../../../../core/steel/route'
import { formatQuantity } from '../../../../core/units/quantity'
import { COLD_AFTER_SNAP_MIN, COLD_AFTER_TEMPER_MIN, SNAP_TEMPER_C } from '../../../../data/delays'
import { useSay } from '../../../../ui/Units'
import { hrcText, percentText, type Speaker } from '../../../../words/speaker'
import { usePredictions } from '../../../use-predictions'
import { useBench } from '../../bench-context'
import { editGroup } from '../../edit'
import { coldAmount } from './cold-amount'

const SCHOOLS = [
  ['none', 'no cold', null],
  ['freezer', 'freezer', COLD_C.freezer],
  ['ice', 'dry ice', COLD_C['dry-ice']],
  ['nitrogen', 'liquid nitrogen', COLD_C['liquid-nitrogen']],
] as const
const DELAYS = [
  ['at once', 15],
  ['next day', COLD_AFTER_TEMPER_MIN],
] as const

interface Row {
  readonly key: string
  readonly name: string
  readonly when: string
  readonly cold: BatchGroup['route']['cold']
}

/** None, freezer, dry ice, nitrogen; at once or a day late; with a snap temper first: what each does and costs. */
export function SchoolsView({ steelKg }: { steelKg: number }) {
  const say = useSay()
  const { batch, shop, shown, learnt } = useBench()
  const { route } = shown.group
  const holdMin = route.cold?.holdMin ?? usualCold(COLD_C['dry-ice']).holdMin
  const rows = SCHOOLS.flatMap(([key, name, toC]): Row[] =>
    toC === null
      ? [{ key, name, when: '—', cold: null }]
      : [
          ...DELAYS.map(([when, delayMin]) => ({
            key: `${key}-${delayMin}`,
            name,
            when,
            cold: { toC, holdMin, delayMin },
          })),
          {
            key: `${key}-snap`,
            name,
            when: 'after a snap temper',
            cold: { toC, holdMin, delayMin: COLD_AFTER_SNAP_MIN, snapTemperC: SNAP_TEMPER_C },
          },
        ],
  )
  const made = usePredictions(
    rows.map(row => ({ grade: shown.grade, route: { ...route, cold: row.cold } })),
    learnt,
  )
  const same = (cold: Row['cold']) => JSON.stringify(cold) === JSON.stringify(route.cold)
  return (
    <div className="max-h-[420px] overflow-y-auto">
      <table className="sheet">
        <caption className="mb-1 text-left text-note text-ink-2">
          {shown.grade.name}, held {formatQuantity(holdMin, 'duration', shop.units)}. Corrosion resistance is the same
          in every row
        </caption>
        <thead>
          <tr>
            <th>Cold</th>
            <th>When</th>
            <th>Retained austenite</th>
            <th>Finished, HRC</th>
            <th>Coolant</th>
            <th>
              <span className="sr-only">Choose</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => {
            const prediction = made?.[i]
            return (
              <tr key={row.key}>
                <td className="!py-0.5">{row.name}</td>
                <td className="!py-0.5 text-ink-2">{row.when}</td>
                <td className="!py-0.5">{prediction ? percentText(prediction.retainedAustenite.final) : '…'}</td>
                <td className="!py-0.5 font-semibold">{prediction ? hrcText(prediction.finalHrc.mean) : '…'}</td>
                <td className="!py-0.5 text-ink-2">{takes(row.cold, steelKg, shop, say)}</td>
                <td className="!py-0.5 text-right">
                  {same(row.cold) ? (
                    <span className="text-small text-ink-2">this batch</span>
                  ) : (
                    <button
                      type="button"
                      className="link min-h-row text-small"
                      aria-label={`Choose ${row.name} ${row.when}`}
                      onClick={() =>
                        void editGroup(batch, shown.group.id, 'Cold', g => withRoute(g, { ...g.route, cold: row.cold }))
                      }
                    >
                      choose
                    </button>
                  )}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
    </div>
  )
}

function takes(cold: Parameters<typeof coldAmount>[0] | null, steelKg: number, shop: Workshop, say: Speaker): string {
  const amount = cold && coldAmount(cold, steelKg, shop)
  if (!amount) return '—'
  const unit = amount.unit.startsWith('L') ? 'L' : amount.unit.split(',')[0]
  const money = priceIsOf(shop, amount.label) ? costAt(amount.bought, shop.cold.price) : null
  const cost = money === null ? '' : `, ${say.money(money)}`
  return `${amount.value} ${unit}${cost}${amount.air.refused ? ', not in this room' : ''}`
}

/** The price in the workshop is of what the shop uses. */
const priceIsOf = (shop: Workshop, label: string) =>
  (shop.cold.medium === 'liquid-nitrogen') === (label === 'Liquid nitrogen')
