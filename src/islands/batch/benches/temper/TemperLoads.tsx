import { useMemo } from 'react'
import { keyedC } from '../../../../core/oven/correction'
import { expectedAfter } from '../../../../core/plan/temper-expected'
import { temperLoadsOf } from '../../../../core/plan/tray'
import { foilMarkLine } from '../../../../core/plan/words'
import type { Oven } from '../../../../core/record/oven-schema'
import type { Batch, Workshop } from '../../../../core/record/schemas'
import { formatBoth, formatQuantity } from '../../../../core/units/quantity'
import { heatColour } from '../../../../ui/heatline/colour'
import type { GroupPlan } from '../../use-plan'
import { hrcText } from '../bench-props'

interface Props {
  readonly batch: Batch
  readonly oven: Oven
  readonly shop: Workshop
  readonly plans: readonly GroupPlan[]
}

/** The temper loads in order: who goes in together, what is keyed, and what it should read afterwards. */
export function TemperLoads({ batch, oven, shop, plans }: Props) {
  const loads = useMemo(
    () => temperLoadsOf(batch).map(load => ({ ...load, expected: expectedAfter(load, batch, plans) })),
    [batch, plans],
  )
  return (
    <table className="sheet">
      <thead>
        <tr>
          <th>Load</th>
          <th>Blades</th>
          <th>Set to</th>
          <th>Hold</th>
          <th>Oxide tint</th>
          <th>Should read after, HRC</th>
        </tr>
      </thead>
      <tbody>
        {loads.map(load => (
          <tr key={`${load.round} ${load.atC} ${load.holdMin}`}>
            <td>Temper {load.round}</td>
            <td>{foilMarkLine(load.pieces.map(p => p.mark))}</td>
            <td className="figure text-[22px]">{formatBoth(keyedC(oven, load.atC), shop.units)}</td>
            <td>{formatQuantity(load.holdMin, 'duration', shop.units)}</td>
            <td>
              <span
                className="inline-block h-5 w-12 border align-middle border-rule-strong"
                style={{ background: heatColour(load.atC, 'temper') }}
              />
            </td>
            <td>
              {load.expected
                .map(e => `${hrcText(e.hrc)}${load.expected.length > 1 ? ` (${e.gradeName})` : ''}`)
                .join(', ')}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
