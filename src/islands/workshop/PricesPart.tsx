import { BOUNDS } from '../../core/shop/bounds'
import type { Workshop } from '../../core/shop/workshop'
import { PROTECTION } from '../../data/protection'
import { BELTS_PER_BLADE, TASK_MIN } from '../../data/task-times'
import { More } from '../../ui/More'
import { NumberField } from '../../ui/PlainFields'
import { ScaledField } from '../../ui/ScaledField'
import { asMinutes, asTime } from '../../ui/time-of-day'
import { CurrencyField } from '../CurrencyField'
import { useShopNow } from '../shop-context'
import type { EditShop } from './edit-shop'

interface Props {
  readonly edit: EditShop
}

/** Prices by the piece, and their defaults. */
const FIELDS = [
  ['argonPerPacket', 'Argon into a packet', 'per packet', 'argonPricePerPacket', 0],
  ['vacuumPerBlade', 'Vacuum, sent out', 'per blade', 'vacuumPricePerBlade', 0],
  ['abrasivesPerBareBlade', 'Belts to clean a bare blade', 'per blade', 'abrasivesPricePerBlade', 0],
  ['beltsPerBlade', 'Belts to finish', 'per blade', 'beltsPricePerBlade', BELTS_PER_BLADE],
  ['prepareMin', 'Your minutes before the heat', 'per blade', 'taskMin', TASK_MIN.preparePerBlade],
  ['finishMin', 'Your minutes to finish', 'per blade', 'taskMin', TASK_MIN.finishPerBlade],
] as const

/** Prices by what is measured. */
const MEASURED = [
  ['coatPerM2', 'Anti-scale coat', 'pricePerM2', 'coatPricePerM2'],
  ['argonPerM3', 'Argon from the bottle', 'pricePerM3', 'argonPricePerM3'],
] as const

/** Changes some prices; the usual ones stand in for the rest. */
const priced = (edit: EditShop) => (part: Partial<Prices>) =>
  edit(s => ({ prices: { ...(s.prices ?? PROTECTION.prices), ...part } }))

/** The prices that every cost rests on. */
export function MainPrices({ edit }: Props) {
  const prices: Prices = useShopNow().prices ?? PROTECTION.prices
  const price = priced(edit)
  return (
    <>
      <NumberField
        label="An hour of your work"
        value={prices.hour}
        {...BOUNDS.hourPrice}
        onCommit={hour => price({ hour })}
      />
      <ScaledField
        label="Steel"
        kind="pricePerKg"
        value={prices.steelPerKg ?? 0}
        {...BOUNDS.steelPricePerKg}
        onCommit={steelPerKg => price({ steelPerKg })}
      />
      <NumberField
        label="Electricity"
        unit="per kWh"
        value={prices.kWh ?? 0}
        {...BOUNDS.kWhPrice}
        onCommit={kWh => price({ kWh })}
      />
    </>
  )
}

/** Fields for the prices of the ways to keep air out: the Wrap bench compares them by these. */
export function PricesPart({ edit }: Props) {
  const shop = useShopNow()
  const prices: Prices = shop.prices ?? PROTECTION.prices
  const price = priced(edit)
  return (
    <div className="grid grid-cols-2 gap-3">
      <CurrencyField />
      <MainPrices edit={edit} />
      <div className="col-span-2">
        <More place="prices" title="More prices" says="argon, coat, vacuum, belts, minutes, cheap hours">
          <div className="grid grid-cols-2 gap-3">
            {FIELDS.map(([name, label, unit, bound, usual]) => (
              <NumberField
                key={name}
                label={label}
                unit={unit}
                value={prices[name] ?? usual}
                {...BOUNDS[bound]}
                onCommit={value => price({ [name]: value })}
              />
            ))}
            {MEASURED.map(([name, label, kind, bound]) => (
              <ScaledField
                key={name}
                label={label}
                kind={kind}
                value={prices[name]}
                {...BOUNDS[bound]}
                onCommit={value => price({ [name]: value })}
              />
            ))}
            <CheapHours prices={prices} edit={edit} />
          </div>
        </More>
      </div>
    </div>
  )
}

type Prices = NonNullable<Workshop['prices']>
/** A night's rate, as many have one. */
const USUAL_CHEAP = { fromMin: 1320, toMin: 360 }

/** Hours of the day in which electricity costs less. */
function CheapHours({ prices, edit }: Props & { readonly prices: Prices }) {
  const { cheap } = prices
  const save = (change: (now: Prices) => Prices['cheap']) =>
    edit(s => {
      const now = s.prices ?? PROTECTION.prices
      return { prices: { ...now, cheap: change(now) } }
    })
  return (
    <fieldset className="col-span-2 grid grid-cols-3 gap-3">
      <legend className="col-span-3">
        <label className="flex min-h-touch items-center gap-2">
          <input
            type="checkbox"
            checked={cheap !== undefined}
            onChange={event => {
              const isOn = event.target.checked
              void save(now => (isOn ? { ...USUAL_CHEAP, kWh: now.kWh ?? 0 } : undefined))
            }}
          />
          Electricity costs less at some hours
        </label>
      </legend>
      {cheap && (
        <>
          <p className="col-span-3 text-small text-ink-2">
            Of plans that end at the same time Today takes the cheapest. No blade waits longer for it.
          </p>
          {!(cheap.kWh < (prices.kWh ?? 0)) && (
            <p role="status" className="col-span-3 text-small text-bad">
              {prices.kWh
                ? 'Electricity then costs no less than at other hours'
                : 'The usual price of a kWh is not set'}
              : these hours decide nothing yet.
            </p>
          )}
          {(
            [
              ['fromMin', 'Cheap from'],
              ['toMin', 'Cheap until'],
            ] as const
          ).map(([name, label]) => (
            <label key={name} className="flex flex-col">
              <span className="mb-1 block text-small text-ink-2">{label}</span>
              <input
                type="time"
                className="field"
                value={asTime(cheap[name])}
                onChange={event => {
                  const min = asMinutes(event.target.value)
                  if (event.target.value !== '') void save(now => now.cheap && { ...now.cheap, [name]: min })
                }}
              />
            </label>
          ))}
          <NumberField
            label="Electricity then"
            unit="per kWh"
            value={cheap.kWh}
            {...BOUNDS.kWhPrice}
            onCommit={kWh => save(now => now.cheap && { ...now.cheap, kWh })}
          />
        </>
      )}
    </fieldset>
  )
}
