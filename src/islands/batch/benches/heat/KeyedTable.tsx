import type { KeyedStep } from '../../../../core/oven/keyed-programme'
import type { Oven } from '../../../../core/shop/oven'
import { formatQuantity } from '../../../../core/units/quantity'
import { useSay } from '../../../../ui/Units'
import { keyedStepName, rampHeading } from '../../../../words/oven'

/** To key in, exactly as shown. */
export function KeyedTable({ steps, oven }: { steps: readonly KeyedStep[]; oven: Oven }) {
  const say = useSay()
  const { degrees } = oven.controller
  // From the exact set point, not from the digits: 1065.6 °C is 1950 °F, though 1066 is keyed.
  const other = (setC: number) => formatQuantity(setC, 'temperature', degrees === 'C' ? 'imperial' : 'metric')
  return (
    <table className="sheet">
      <caption className="mb-1 text-left text-note text-ink-2">Key in exactly as shown, for {oven.name}</caption>
      <thead>
        <tr>
          <th>Step</th>
          <th>{rampHeading(oven.controller)}</th>
          <th>Set to, °{degrees}</th>
          <th>Hold, min</th>
          <th>Blade temperature</th>
        </tr>
      </thead>
      <tbody>
        {steps.map(step => (
          <tr key={step.step}>
            <td>
              {step.step} {keyedStepName(step)}
            </td>
            <td className={step.ramp === '' ? 'text-body' : 'figure text-title'}>{step.ramp || 'full power'}</td>
            <td>
              <span className="figure text-title">{step.set}</span>{' '}
              <span className="text-note text-ink-2">{other(step.setC)}</span>
            </td>
            <td className="figure text-title">{step.holdMin}</td>
            <td>{say.keyed(step.nominalC)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
