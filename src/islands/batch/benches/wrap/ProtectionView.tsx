import { compareProtection } from '../../../../core/foil/protection'
import { countOf } from '../../../../core/plan/tray'
import { IN_PACKET, PROTECTION } from '../../../../data/protection'
import { editBatch } from '../../../../store/batches'
import { Prose } from '../../../../ui/Units'
import { Working } from '../../../../ui/Working'
import type { WrapProps } from './wrap-props'

/** Foil, argon in the packet or the oven, coat, bare and vacuum for this batch: what each costs, how it finishes, and what may go wrong. */
export function ProtectionView({ batch, shop, wrap }: WrapProps) {
  const rows = compareProtection({
    blades: countOf(batch.blades),
    steelAreaM2: batch.blades.reduce((sum, b) => sum + (2 * b.count * b.lengthMm * b.widthMm) / 1e6, 0),
    hottestC: wrap.hottestC,
    soakMin: Math.max(...batch.groups.map(g => g.route.soakMin)),
    foilM: wrap.laid ? wrap.laid.check.usedLengthMm / 1000 : null,
    foilPricePerM: shop.foil.pricePerM,
    prices: shop.prices ?? PROTECTION.prices,
  })
  const chosen = batch.protection ?? 'foil'
  return (
    <div>
      <div className="overflow-x-auto">
        <table className="sheet min-w-[640px] text-[13px]">
          <thead>
            <tr>
              <th>
                <span className="sr-only">Chosen</span>
              </th>
              <th>Way</th>
              <th>Material</th>
              <th>Work</th>
              <th>All told</th>
              <th>Finish</th>
              <th>Risk</th>
              <th>Leave a side</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(row => (
              <tr key={row.name} className={row.refused ? 'text-ink-2' : undefined}>
                <td className="!py-1">
                  <label className="grid min-h-11 w-11 place-items-center">
                    <span className="sr-only">{row.label} for this batch</span>
                    <input
                      type="radio"
                      name="protection"
                      className="h-5 w-5"
                      disabled={row.refused !== null}
                      checked={row.name === chosen}
                      onChange={() => void editBatch(batch, row.label, b => ({ ...b, protection: row.name }))}
                    />
                  </label>
                </td>
                <td className="!py-1 font-semibold">{row.label}</td>
                <td className="!py-1 whitespace-nowrap">
                  {row.material.toFixed(0)} <Working of={`${row.label}, cost`} lines={row.working} />
                </td>
                <td className="!py-1 whitespace-nowrap">{row.hours.toFixed(1)} h</td>
                <td className="!py-1">{row.total.toFixed(0)}</td>
                <td className="!py-1">{row.refused ?? row.finish}</td>
                <td className="!py-1">{row.risk}</td>
                <td className="!py-1 whitespace-nowrap">
                  <Prose>{`${row.allowanceMm.toFixed(2)} mm`}</Prose>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <dl className="mt-2 grid grid-cols-[130px_1fr] gap-x-3 gap-y-0.5 text-[13px]">
        <dt className="text-ink-2">In the packet</dt>
        <dd className="text-ink-2">the schools</dd>
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
