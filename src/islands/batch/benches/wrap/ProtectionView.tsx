import { protectionRows } from '../../../../core/cost/protection-cost'
import { IN_PACKET } from '../../../../data/protection'
import { editBatch } from '../../../../store/batches'
import { useSay } from '../../../../ui/Units'
import { Working } from '../../../../ui/Working'
import { PROTECTION_WORDS, protectionRefusal } from '../../../../words/protection'
import { useBench } from '../../bench-context'
import type { WrapProps } from './wrap-props'

/** Foil, argon in the packet or the oven, coat, bare and vacuum for this batch: what each costs, how it finishes, and what may go wrong. */
export function ProtectionView({ wrap }: WrapProps) {
  const { batch, shop } = useBench()
  const say = useSay()
  const rows = protectionRows(batch, shop, wrap.length)
  const chosen = batch.protection ?? 'foil'
  return (
    <div>
      <div className="overflow-x-auto">
        <table className="sheet min-w-[640px] text-small">
          <thead>
            <tr>
              <th>
                <span className="sr-only">Chosen</span>
              </th>
              <th>Way</th>
              <th>Material</th>
              <th>Work</th>
              <th>Total cost</th>
              <th>Finish</th>
              <th>Risk</th>
              <th>Grind off per side</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(row => {
              const { label, finish, risk } = PROTECTION_WORDS[row.name]
              return (
                <tr key={row.name} className={row.refused ? 'text-ink-2' : undefined}>
                  <td className="!py-0">
                    <label className="grid min-h-row w-11 place-items-center">
                      <span className="sr-only">{label} for this batch</span>
                      <input
                        type="radio"
                        name="protection"
                        className="h-5 w-5"
                        disabled={row.refused !== null}
                        checked={row.name === chosen}
                        onChange={() => void editBatch(batch, label, b => ({ ...b, protection: row.name }))}
                      />
                    </label>
                  </td>
                  <td className="!py-0 font-semibold">{label}</td>
                  <td className="!py-0 whitespace-nowrap">
                    {say.roundMoney(row.material)} <Working of={`${label}, cost`} lines={row.working} />
                  </td>
                  <td className="!py-0 whitespace-nowrap">{row.hours.toFixed(1)} h</td>
                  <td className="!py-0">{say.roundMoney(row.total)}</td>
                  <td className="!py-0">{row.refused ? protectionRefusal(row.refused, say) : finish}</td>
                  <td className="!py-0">{risk}</td>
                  <td className="!py-0 whitespace-nowrap">{say.thin(row.allowanceMm)}</td>
                </tr>
              )
            })}
          </tbody>
        </table>
      </div>
      <h3 className="mt-2 text-small font-semibold">What to add to the packet</h3>
      <dl className="grid grid-cols-[130px_1fr] gap-x-3 gap-y-0.5 text-small">
        {IN_PACKET.map(({ what, why }) => (
          <div key={what} className="contents">
            <dt>{what}</dt>
            <dd>{why}</dd>
          </div>
        ))}
      </dl>
    </div>
  )
}
