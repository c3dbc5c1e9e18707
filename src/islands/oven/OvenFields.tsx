import { heatUpMin } from '../../core/oven/chamber'
import { chamberOf, newOven } from '../../core/record/oven-record'
import type { Oven } from '../../core/record/oven-schema'
import type { Workshop } from '../../core/record/schemas'
import { formatBoth, formatNumber } from '../../core/units/quantity'
import { OVEN_PRESETS } from '../../data/ovens'
import { saveShop } from '../../store/records'
import { Figure, Warnings } from '../../ui/Bench'
import { NumberField, SelectField, TextField } from '../../ui/PlainFields'
import { QuantityField } from '../../ui/QuantityField'
import type { OvenProps } from './oven-props'

/** What an oven is: chamber, power, controller; and what follows from it. */
export function OvenFields({ oven, shop, edit }: OvenProps) {
  const set = (part: Partial<Oven>) => edit(o => ({ ...o, ...part }))
  return (
    <div className="grid gap-x-10 gap-y-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)_300px]">
      <section className="space-y-3 border-t border-rule-strong pt-3">
        <h2 className="text-[17px]">Chamber and power</h2>
        <TextField label="Name" value={oven.name} longest={40} onCommit={name => set({ name })} />
        <SelectField
          label="Walls like those of"
          value={oven.preset}
          options={OVEN_PRESETS.map(p => [p.name, p.label] as const)}
          hint="Choosing another fills in its chamber and power; change what differs."
          onCommit={preset =>
            edit(o => ({
              ...newOven(o.id, o.name, preset, o.use),
              controller: o.controller,
              evidence: o.evidence,
              correctionC: o.correctionC,
              correctionFrom: o.correctionFrom,
              volts: o.volts,
            }))
          }
        />
        <div className="grid grid-cols-3 gap-3">
          {(['width', 'height', 'depth'] as const).map(side => (
            <QuantityField
              key={side}
              label={`Chamber ${side}`}
              dimension="length"
              value={oven.chamberMm[side]}
              min={60}
              max={1500}
              onCommit={mm => edit(o => ({ ...o, chamberMm: { ...o.chamberMm, [side]: mm }, fit: null }))}
            />
          ))}
        </div>
        <div className="grid grid-cols-2 gap-3">
          <NumberField
            label="Power"
            unit="W"
            value={oven.powerW}
            min={300}
            max={30_000}
            whole
            onCommit={powerW => edit(o => ({ ...o, powerW, fit: null }))}
          />
          <NumberField
            label="Mains"
            unit="V"
            value={oven.volts}
            min={90}
            max={480}
            whole
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
          hint="A fan halves the time a blade is behind in a temper."
          onCommit={air => set({ fan: air === 'unknown' ? undefined : air === 'fan' })}
        />
        <QuantityField
          label="Hottest it may go"
          dimension="temperature"
          value={oven.maxC}
          min={200}
          max={1300}
          onCommit={maxC => set({ maxC })}
        />
      </section>
      <ControllerFields oven={oven} set={set} />
      <OvenFigures oven={oven} shop={shop} set={set} />
    </div>
  )
}

function ControllerFields({ oven, set }: { oven: Oven; set: (part: Partial<Oven>) => void }) {
  const { controller } = oven
  const change = (part: Partial<Oven['controller']>) => set({ controller: { ...controller, ...part } })
  return (
    <section className="space-y-3 border-t border-rule-strong pt-3">
      <h2 className="text-[17px]">Controller</h2>
      <p className="text-[12.5px] text-ink-2">Programmes are shown as this controller wants them keyed.</p>
      <SelectField
        label="It asks for a ramp as"
        value={controller.ramp}
        options={[
          ['per-hour', 'degrees an hour'],
          ['per-minute', 'degrees a minute'],
          ['minutes-to-target', 'minutes to get there'],
        ]}
        onCommit={ramp => change({ ramp })}
      />
      <SelectField
        label="Its degrees"
        value={controller.degrees}
        options={[
          ['C', '°C'],
          ['F', '°F'],
        ]}
        onCommit={degrees => change({ degrees })}
      />
      <TextField
        label="Keyed for full power, such as 9999, FULL or 0"
        value={controller.fullPower}
        longest={8}
        onCommit={fullPower => change({ fullPower })}
      />
      <div className="grid grid-cols-2 gap-3">
        <NumberField
          label="Steps a programme holds"
          value={controller.steps}
          min={1}
          max={99}
          whole
          onCommit={steps => change({ steps })}
        />
        <QuantityField
          label="Longest hold"
          dimension="duration"
          value={controller.longestHoldMin}
          min={10}
          max={6000}
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
        onCommit={use => set({ use })}
      />
    </section>
  )
}

/** What a usual socket circuit gives. Common practice, no published source; the local code decides. */
const AMPS_USUAL = 16

function OvenFigures({ oven, shop, set }: { oven: Oven; shop: Workshop; set: (part: Partial<Oven>) => void }) {
  const chamber = chamberOf(oven)
  const [low, top] = [heatUpMin(chamber, 20, 790, 0), heatUpMin(chamber, 790, 1065, 0)]
  const shown = (min: number) => (Number.isFinite(min) ? String(Math.round(min)) : 'never')
  const amps = oven.powerW / oven.volts
  const working = [
    {
      name: 'T∞ of one node',
      value: chamber.heating.settlesAtC,
      unit: '°C',
      equation: 'τ·ln((T∞ − a)/(T∞ − b)), fitted to the wall model at full power',
      source: oven.fit ? `wall model with what “${oven.fit.logName}” taught` : 'wall model of the size, docs/method.md',
    },
    { name: 'τ', value: chamber.heating.tauMin, unit: 'min', equation: 'as above', source: 'as above' },
  ]
  const others = shop.ovens.length > 1
  return (
    <section>
      {oven.use === 'hardening' && (
        <>
          <Figure
            label={`Empty, from cold to ${formatNumber(790, 'temperature', shop.units)}°`}
            value={shown(low)}
            unit="min"
            working={working}
          />
          <Figure
            label={`And on to ${formatNumber(1065, 'temperature', shop.units)}°`}
            value={shown(top)}
            unit="min"
            working={working}
          />
        </>
      )}
      <Figure
        label="Takes from the mains"
        value={amps.toFixed(1)}
        unit="A"
        working={[{ name: 'Current', value: amps, unit: 'A', equation: 'W / V', source: 'as entered' }]}
      />
      <Warnings
        lines={
          amps > AMPS_USUAL
            ? [
                {
                  code: 'amps',
                  message: `More than a usual ${AMPS_USUAL} A circuit gives. Wiring is for a licensed electrician.`,
                },
              ]
            : []
        }
      />
      <p className="mt-2 text-[12.5px] text-ink-2">
        It may see up to {formatBoth(oven.maxC, shop.units)}. Mains wiring is for a licensed electrician.
      </p>
      <div className="mt-4 flex flex-wrap gap-3">
        {oven.use === 'hardening' && shop.hardeningOven !== oven.id && (
          <button type="button" className="btn" onClick={() => void saveShop(s => ({ ...s, hardeningOven: oven.id }))}>
            Use it for new batches
          </button>
        )}
        {oven.fit && (
          <button type="button" className="btn" onClick={() => set({ fit: null })}>
            Forget what the log taught
          </button>
        )}
        {others && shop.hardeningOven !== oven.id && (
          <button
            type="button"
            className="btn"
            onClick={() => {
              void saveShop(s => ({ ...s, ovens: s.ovens.filter(o => o.id !== oven.id) })).then(done => {
                if (done) location.assign('/workshop')
              })
            }}
          >
            Take it out of the workshop
          </button>
        )}
      </div>
    </section>
  )
}
