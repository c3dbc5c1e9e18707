import { BOUNDS } from '../../core/shop/bounds'
import { ofSize } from '../../core/shop/defaults'
import type { Oven } from '../../core/shop/oven'
import type { Workshop } from '../../core/shop/workshop'
import { OVEN_PRESETS } from '../../data/ovens'
import type { SetupStep } from '../../data/setup'
import { SelectField } from '../../ui/PlainFields'
import { QuantityField } from '../../ui/QuantityField'
import { ScaledField } from '../../ui/ScaledField'
import { CurrencyField } from '../CurrencyField'
import { useShopNow } from '../shop-context'
import { ColdMediumField } from '../workshop/ColdMediumField'
import type { EditShop } from '../workshop/edit-shop'
import { PlateSizeFields } from '../workshop/PlateSizeFields'
import { MainPrices } from '../workshop/PricesPart'
import { UnitsField } from '../workshop/UnitsField'

interface Props {
  readonly edit: EditShop
}

/** The few fields of a step of the set-up; every other one is in the Workshop. */
export function SetupFields({ step, ...props }: Props & { step: SetupStep }) {
  const Fields = FIELDS[step]
  return (
    <div className="grid gap-3">
      <Fields {...props} />
    </div>
  )
}

function UnitsFields({ edit }: Props) {
  return (
    <>
      <UnitsField edit={edit} />
      <CurrencyField />
    </>
  )
}

function OvenFields({ edit }: Props) {
  const shop = useShopNow()
  const oven = shop.ovens.find(o => o.id === shop.hardeningOvenId)
  if (!oven) return null
  const set = (change: (oven: Oven) => Oven) =>
    edit(s => ({ ovens: s.ovens.map(o => (o.id === oven.id ? change(o) : o)) }))
  return (
    <>
      <SelectField
        label="Size of the hardening oven"
        value={oven.preset}
        options={OVEN_PRESETS.map(p => [p.name, p.label] as const)}
        onCommit={preset => set(o => ofSize(o, preset))}
      />
      <div className="grid grid-cols-2 gap-3">
        <QuantityField
          label="Power"
          dimension="power"
          value={oven.powerW}
          {...BOUNDS.powerW}
          onCommit={powerW => set(o => ({ ...o, powerW, fit: null }))}
        />
        <QuantityField
          label="Hottest it may go"
          dimension="temperature"
          value={oven.maxC}
          {...BOUNDS.ovenMaxC}
          onCommit={maxC => set(o => ({ ...o, maxC }))}
        />
      </div>
      <SelectField
        label="Degrees its controller shows"
        value={oven.controller.degrees}
        options={[
          ['C', '°C'],
          ['F', '°F'],
        ]}
        onCommit={degrees => set(o => ({ ...o, controller: { ...o.controller, degrees } }))}
      />
      <SelectField
        label="A ramp is entered as"
        value={oven.controller.ramp}
        options={[
          ['per-hour', 'degrees per hour'],
          ['per-minute', 'degrees per minute'],
          ['minutes-to-target', 'minutes to get there'],
        ]}
        onCommit={ramp => set(o => ({ ...o, controller: { ...o.controller, ramp } }))}
      />
      <SelectField
        label="Tempering"
        value={shop.temperingOvenId === null ? 'same' : 'own'}
        options={[
          ['own', 'in an oven of its own'],
          ['same', 'in the hardening oven, once it has cooled'],
        ]}
        onCommit={way =>
          edit(s => ({
            temperingOvenId: way === 'same' ? null : (s.ovens.find(o => o.use === 'tempering')?.id ?? null),
          }))
        }
      />
    </>
  )
}

function PlatesFields({ edit }: Props) {
  const { plates } = useShopNow()
  const set = (part: Partial<Workshop['plates']>) => edit(s => ({ plates: { ...s.plates, ...part } }))
  return (
    <>
      <div className="grid grid-cols-3 items-end gap-3">
        <PlateSizeFields edit={edit} />
      </div>
      <SelectField
        label="Plates cooled by"
        value={plates.air}
        options={[
          ['still', 'still air'],
          ['fan', 'a fan'],
          ['air-blast', 'compressed air'],
        ]}
        onCommit={air => set({ air })}
      />
    </>
  )
}

function TesterFields({ edit }: Props) {
  const { tester } = useShopNow()
  return (
    <SelectField
      label="The tester shows"
      value={tester.dial ? 'dial' : 'digital'}
      options={[
        ['dial', 'half points, on a dial (or there is none: files only)'],
        ['digital', 'tenths, in figures'],
      ]}
      onCommit={shows => edit(s => ({ tester: { ...s.tester, dial: shows === 'dial' } }))}
    />
  )
}

function PricesFields({ edit }: Props) {
  const { foil } = useShopNow()
  return (
    <div className="grid grid-cols-2 items-end gap-3">
      <QuantityField
        label="Roll width"
        dimension="length"
        value={foil.rollWidthMm}
        {...BOUNDS.rollWidthMm}
        onCommit={rollWidthMm => edit(s => ({ foil: { ...s.foil, rollWidthMm } }))}
      />
      <ScaledField
        label="Price of foil"
        kind="pricePerM"
        value={foil.pricePerM}
        {...BOUNDS.foilPricePerM}
        onCommit={pricePerM => edit(s => ({ foil: { ...s.foil, pricePerM } }))}
      />
      <MainPrices edit={edit} />
    </div>
  )
}

const FIELDS: Readonly<Record<SetupStep, (props: Props) => React.ReactNode>> = {
  units: UnitsFields,
  oven: OvenFields,
  plates: PlatesFields,
  cold: ColdMediumField,
  tester: TesterFields,
  prices: PricesFields,
}
