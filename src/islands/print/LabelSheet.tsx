import { bladesOf } from '../../core/batch/tray'
import type { Batch } from '../../core/shop/batch'
import { bothScales, formatQuantity } from '../../core/units/quantity'
import { QrCode } from '../../ui/QrCode'
import { useShopNow } from '../shop-context'

/** A label for each packet, with the code that opens its blade. */
export function LabelSheet({ batch }: { batch: Batch }) {
  const shop = useShopNow()
  return (
    <section className="print-page">
      <h1 className="mt-6 mb-3 text-title print:mt-0">{batch.name}: packet labels</h1>
      <ul className="grid grid-cols-3">
        {bladesOf(batch).map(({ id, mark, serial, line, group }) => (
          <li key={id} className="keep-together -mt-px -ml-px h-[34mm] border border-dashed border-rule-strong p-2">
            <QrCode
              text={`${location.origin}/blade/${id}`}
              label={`Code that opens ${mark}`}
              className="float-right h-[28mm] w-[28mm]"
            />
            <p className="figure text-figure-small">{mark}</p>
            <p className="font-semibold">{group.gradeName}</p>
            <p className="text-note">
              {formatQuantity(line.thicknessMm, 'length', shop.units)};{' '}
              {bothScales(group.route.austenitizeC, shop.units)}, {Math.round(group.route.soakMin)} min
            </p>
            <p className="text-note text-ink-2">
              {serial} · {batch.name}
            </p>
          </li>
        ))}
      </ul>
    </section>
  )
}
