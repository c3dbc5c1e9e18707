import { BOUNDS, LONGEST } from '../../core/shop/bounds'
import type { Oven } from '../../core/shop/oven'
import { NumberField, SelectField, TextField } from '../../ui/PlainFields'
import { QuantityField } from '../../ui/QuantityField'
import type { OvenProps } from './oven-props'

/** How this oven's controller wants a programme keyed, and what the oven is for. */
export function ControllerFields({ oven, edit }: OvenProps) {
  const { controller } = oven
  const change = (part: Partial<Oven['controller']>) => edit(o => ({ ...o, controller: { ...o.controller, ...part } }))
  return (
    <section className="space-y-3 border-t border-rule-strong pt-3">
      <h2 className="text-large">Controller</h2>
      <p className="text-note text-ink-2">Programmes are shown as this controller wants them keyed.</p>
      <SelectField
        label="A ramp is entered as"
        value={controller.ramp}
        options={[
          ['per-hour', 'degrees per hour'],
          ['per-minute', 'degrees per minute'],
          ['minutes-to-target', 'minutes to get there'],
        ]}
        onCommit={ramp => change({ ramp })}
      />
      <SelectField
        label="Degrees it shows"
        value={controller.degrees}
        options={[
          ['C', '°C'],
          ['F', '°F'],
        ]}
        onCommit={degrees => change({ degrees })}
      />
      <TextField
        label="What it shows for full power"
        value={controller.fullPower}
        longest={LONGEST.fullPower}
        mayBeEmpty
        onCommit={fullPower => change({ fullPower })}
      />
      <p className="text-note text-ink-2">
        Look in its manual: some show FULL, some 9999, 999 or 0. Until it is entered the programme says “full power”.
      </p>
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Steps a programme holds"
          value={controller.steps}
          {...BOUNDS.controllerSteps}
          whole
          onCommit={steps => change({ steps })}
        />
        <QuantityField
          label="Longest hold"
          dimension="duration"
          value={controller.longestHoldMin}
          {...BOUNDS.longestHoldMin}
          onCommit={longestHoldMin => change({ longestHoldMin })}
        />
      </div>
      <SelectField
        label="Used for"
        value={oven.use}
        options={[
          ['hardening', 'hardening'],
          ['tempering', 'tempering'],
        ]}
        onCommit={use => edit(o => ({ ...o, use }))}
      />
    </section>
  )
}
