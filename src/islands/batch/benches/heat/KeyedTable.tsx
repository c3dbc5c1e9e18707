import { type KeyedStep, rampHeading } from '../../../../core/oven/as-keyed'
import type { Oven } from '../../../../core/record/oven-schema'
import type { Workshop } from '../../../../core/record/schemas'
import { formatBoth } from '../../../../core/units/quantity'

/** To key in, exactly as shown. */
export function KeyedTable({ steps, oven, shop }: { steps: readonly KeyedStep[]; oven: Oven; shop: Workshop }) {
  const { degrees } = oven.controller
  const other = (set: number) =>
    degrees === 'C' ? `${Math.round(set * 1.8 + 32)} °F` : `${Math.round((set - 32) / 1.8)} °C`
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
              <span className="text-[12.5px] text-ink-2">{other(step.set)}</span>
            </td>
            <td className="figure text-[22px]">{step.holdMin}</td>
            <td>{formatBoth(step.nominalC, shop.units)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
