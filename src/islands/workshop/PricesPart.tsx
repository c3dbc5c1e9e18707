import type { Workshop } from '../../core/record/schemas'
import { PROTECTION } from '../../data/protection'
import { NumberField } from '../../ui/PlainFields'

interface Props {
  readonly shop: Workshop
  readonly edit: (part: Partial<Workshop>) => void
}

const FIELDS = [
  ['hour', 'An hour of your work', '', 500],
  ['coatPerM2', 'Anti-scale coat', 'a m²', 1000],
  ['argonPerPacket', 'Argon into a packet', 'a packet', 100],
  ['argonPerM3', 'Argon from the bottle', 'a m³', 1000],
  ['vacuumPerBlade', 'Vacuum, sent out', 'a blade', 1000],
  ['abrasivesPerBareBlade', 'Belts to clean a bare blade', 'a blade', 100],
] as const

/** What the ways to keep air out cost here: the Wrap bench compares them by these. */
export function PricesPart({ shop, edit }: Props) {
  const prices: NonNullable<Workshop['prices']> = shop.prices ?? PROTECTION.prices
  return (
    <div className="grid grid-cols-2 gap-3">
      {FIELDS.map(([name, label, unit, most]) => (
        <NumberField
          key={name}
          label={label}
          unit={unit}
          value={prices[name]}
          min={0}
          max={most}
          onCommit={value => edit({ prices: { ...prices, [name]: value } })}
        />
      ))}
      <NumberField
        label="Electricity"
        unit="a kWh"
        value={prices.kWh ?? 0}
        min={0}
        max={10}
        onCommit={kWh => edit({ prices: { ...prices, kWh } })}
      />
    </div>
  )
}
