import { heatUpMin } from '../../core/oven/chamber'
import { chamberOf } from '../../core/record/oven-record'
import type { Oven } from '../../core/record/oven-schema'
import type { Workshop } from '../../core/record/schemas'
import { formatBoth, formatNumber } from '../../core/units/quantity'
import { saveShop } from '../../store/records'
import { Ask } from '../../ui/Ask'
import { Figure, Warnings } from '../../ui/Bench'

/** What a usual socket circuit gives. Common practice, no published source; the local code decides. */
const AMPS_USUAL = 16

/** What follows from what an oven is: its climb, its current, its limit. */
export function OvenFigures({ oven, shop, set }: { oven: Oven; shop: Workshop; set: (part: Partial<Oven>) => void }) {
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
          <Ask
            title={`Take ${oven.name} out of the workshop?`}
            says={`What was measured of it goes with it: ${oven.evidence.length} checks and surveys${oven.fit ? ', and what its log taught' : ''}. Batches hardened in it keep its name.`}
            act="Take it out"
            onAct={async () => {
              if (await saveShop(s => ({ ...s, ovens: s.ovens.filter(o => o.id !== oven.id) })))
                location.assign('/workshop')
            }}
          >
            Take it out of the workshop …
          </Ask>
        )}
      </div>
    </section>
  )
}
