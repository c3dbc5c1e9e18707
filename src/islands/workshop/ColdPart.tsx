import type { Workshop } from '../../core/record/schemas'
import { inShopUnits } from '../../core/units/prose'
import { USUAL_BOX_MM } from '../../data/cold'
import { NumberField, SelectField } from '../../ui/PlainFields'
import { QuantityField } from '../../ui/QuantityField'

interface Props {
  readonly shop: Workshop
  readonly edit: (part: Partial<Workshop>) => void
}

/** How cold the shop goes, and in what. */
export function ColdPart({ shop, edit }: Props) {
  const { cold } = shop
  const set = (part: Partial<Workshop['cold']>) => edit({ cold: { ...cold, ...part } })
  const box = cold.boxMm ?? USUAL_BOX_MM
  return (
    <>
      <SelectField
        label="The shop has"
        value={cold.medium}
        options={[
          ['none', 'nothing colder than the room'],
          ['freezer', inShopUnits('a freezer, −18 °C', shop.units)],
          ['dry-ice', inShopUnits('dry ice, −75 °C', shop.units)],
          ['liquid-nitrogen', inShopUnits('liquid nitrogen, −196 °C', shop.units)],
        ]}
        onCommit={medium => set({ medium })}
      />
      <div className="grid grid-cols-3 gap-3">
        {(['length', 'width', 'depth'] as const).map(side => (
          <QuantityField
            key={side}
            label={`Box ${side}`}
            dimension="length"
            value={box[side]}
            min={50}
            max={2000}
            onCommit={mm => set({ boxMm: { ...box, [side]: mm } })}
          />
        ))}
        <QuantityField
          label="Vessel"
          dimension="mass"
          value={cold.vesselKg}
          min={0}
          max={40}
          onCommit={vesselKg => set({ vesselKg })}
        />
        <NumberField
          label="Heat leak"
          unit="W/K"
          value={cold.lossWPerK}
          min={0.05}
          max={5}
          onCommit={lossWPerK => set({ lossWPerK })}
        />
        <NumberField
          label={cold.medium === 'liquid-nitrogen' ? 'Price of a litre' : 'Price of a kg'}
          value={cold.price ?? 0}
          min={0}
          max={1000}
          onCommit={price => set({ price })}
        />
      </div>
    </>
  )
}
