import { BOUNDS, LONGEST } from '../../core/shop/bounds'
import { ofSize } from '../../core/shop/defaults'
import type { Oven } from '../../core/shop/oven'
import { OVEN_PRESETS } from '../../data/ovens'
import { SelectField, TextField } from '../../ui/PlainFields'
import { QuantityField } from '../../ui/QuantityField'
import { ControllerFields } from './ControllerFields'
import { OvenFigures } from './OvenFigures'
import type { OvenProps } from './oven-props'

/** Fields of an oven: chamber, power, controller; and what follows from them. */
export function OvenFields({ oven, edit }: OvenProps) {
  const set = (part: Partial<Oven>) => edit(o => ({ ...o, ...part }))
  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_300px]">
      <section className="space-y-3 border-t border-rule-strong pt-3">
        <h2 className="text-large">Chamber and power</h2>
        <TextField label="Name" value={oven.name} longest={LONGEST.ovenName} onCommit={name => set({ name })} />
        <SelectField
          label="Walls like those of"
          value={oven.preset}
          options={OVEN_PRESETS.map(p => [p.name, p.label] as const)}
          hint="What you entered for chamber, power and limit stays. Only figures you did not change follow the size."
          onCommit={preset => edit(o => ofSize(o, preset))}
        />
        <div className="grid grid-cols-3 gap-3">
          {(['width', 'height', 'depth'] as const).map(side => (
            <QuantityField
              key={side}
              label={`Chamber ${side}`}
              dimension="length"
              value={oven.chamberMm[side]}
              {...BOUNDS.chamberSideMm}
              onCommit={mm => edit(o => ({ ...o, chamberMm: { ...o.chamberMm, [side]: mm }, fit: null }))}
            />
          ))}
        </div>
        <div className="grid grid-cols-2 gap-3">
          <QuantityField
            label="Power"
            dimension="power"
            value={oven.powerW}
            {...BOUNDS.powerW}
            onCommit={powerW => edit(o => ({ ...o, powerW, fit: null }))}
          />
          <QuantityField
            label="Mains"
            dimension="voltage"
            value={oven.volts}
            {...BOUNDS.volts}
            onCommit={volts => set({ volts })}
          />
          <SelectField
            label="Elements"
            value={oven.elements}
            options={[
              ['sides', 'in both sides'],
              ['sides-and-back', 'in sides and back'],
              ['back', 'in the back'],
              ['top', 'in the roof'],
            ]}
            onCommit={elements => set({ elements })}
          />
          <SelectField
            label="Thermocouple"
            value={oven.thermocouple}
            options={(['K', 'N', 'S', 'R'] as const).map(type => [type, `type ${type}`] as const)}
            onCommit={thermocouple => set({ thermocouple })}
          />
        </div>
        <SelectField
          label="Air inside"
          value={oven.fan === undefined ? 'unknown' : oven.fan ? 'fan' : 'still'}
          options={[
            ['unknown', 'not said'],
            ['fan', 'moved by a fan'],
            ['still', 'still'],
          ]}
          hint="A fan halves the time a blade needs to heat through in a temper."
          onCommit={air => set({ fan: air === 'unknown' ? undefined : air === 'fan' })}
        />
        <QuantityField
          label="Hottest it may go"
          dimension="temperature"
          value={oven.maxC}
          {...BOUNDS.ovenMaxC}
          onCommit={maxC => set({ maxC })}
        />
      </section>
      <ControllerFields oven={oven} edit={edit} />
      <OvenFigures oven={oven} set={set} />
    </div>
  )
}
