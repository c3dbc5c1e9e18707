import { type KeyedStep, rampHeading } from '../../../../core/oven/as-keyed'
import type { Oven } from '../../../../core/record/oven-schema'
import type { Workshop } from '../../../../core/record/schemas'
import { formatBoth, formatQuantity } from '../../../../core/units/quantity'

/** To key in, exactly as shown. */
export function KeyedTable({ steps, oven, shop }: { steps: readonly KeyedStep[]; oven: Oven; shop: Workshop }) {
  const { degrees } = oven.controller
  // From the exact set point, not from the digits: 1065.6 °C is 1950 °F, though 1066 is keyed.
  const other = (setC: number) => formatQuantity(setC, 'temperature', degrees === 'C' ? 'imperial' : 'metric')
  return (
    <table className="sheet">
      <caption className="mb-1 text-left text-[12.5px] text-ink-2">
        To key in, exactly as shown, for {oven.name}
      </caption>
      <thead>
        <tr>
          <th>Step</th>
          <th>{rampHeading(oven.controller)}</th>
          <th>Set to, °{degrees}</th>
          <th>Hold, min</th>
          <th>The blade should see</th>
        </tr>
      </thead>
      <tbody>
        {steps.map(step => (
          <tr key={step.step}>
            <td>
              {step.step} {step.name}
            </td>
            <td className="figure text-[22px]">{step.ramp}</td>
            <td>
              <span className="figure text-[22px]">{step.set}</span>{' '}
              <span className="text-[12.5px] text-ink-2">{other(step.setC)}</span>
            </td>
            <td className="figure text-[22px]">{step.holdMin}</td>
            <td>{formatBoth(step.nominalC, shop.units)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
