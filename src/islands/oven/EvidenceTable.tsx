import { halfWidth95 } from '../../core/numeric/coverage'
import { observationsOf } from '../../core/oven/correction'
import { formatDifference, formatQuantity } from '../../core/units/quantity'
import { useSay } from '../../ui/Units'
import { useShopNow } from '../shop-context'
import { undoable } from '../undo'
import type { OvenProps } from './oven-props'

const KIND_WORDS = { sensor: 'sensor check', survey: 'survey', hardness: 'hardness' } as const

/** Lists the measurements of an oven, newest first; each can be taken out, and brought back. */
export function EvidenceTable({ oven, edit }: OvenProps) {
  const say = useSay()
  const shop = useShopNow()
  const rows = observationsOf(oven.evidence).reverse()
  if (rows.length === 0) return null
  return (
    <table className="sheet">
      <caption className="sr-only">What was measured, newest first</caption>
      <thead>
        <tr>
          <th>Day</th>
          <th>Measured by</th>
          <th>At</th>
          <th>Blades hotter (+) than the display</th>
          <th>
            <span className="sr-only">Remove</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map(row => (
          <tr key={row.id}>
            <td>{row.at.slice(0, 10)}</td>
            <td>{KIND_WORDS[row.kind]}</td>
            <td>{formatQuantity(row.atC, 'temperature', shop.units)}</td>
            <td className="font-semibold">
              {formatDifference(row.offsetK, shop.units)} ±{' '}
              {formatDifference(halfWidth95(row.sdK), shop.units).replace(/^\+/, '')}
            </td>
            <td className="text-right">
              <button
                type="button"
                className="link min-h-row text-small"
                aria-label={`Remove the ${KIND_WORDS[row.kind]} of ${row.at.slice(0, 10)} at ${say.t(row.atC)}`}
                onClick={() => {
                  void edit(o => ({ ...o, evidence: o.evidence.filter(e => e.id !== row.id) })).then(
                    done => done.saved && undoable(`Removed: ${KIND_WORDS[row.kind]} of ${row.at.slice(0, 10)}`),
                  )
                }}
              >
                remove
              </button>
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
