import { BOUNDS } from '../../core/shop/bounds'
import { QuantityField } from '../../ui/QuantityField'
import { useShopNow } from '../shop-context'
import type { EditShop } from './edit-shop'

const SIDES = [
  ['thicknessMm', 'Plate thickness', BOUNDS.plateThicknessMm],
  ['widthMm', 'Plate width', BOUNDS.plateWidthMm],
  ['lengthMm', 'Plate length', BOUNDS.plateLengthMm],
] as const

/** How large the quench plates are. */
export function PlateSizeFields({ edit }: { edit: EditShop }) {
  const { plates } = useShopNow()
  return SIDES.map(([side, label, bounds]) => (
    <QuantityField
      key={side}
      label={label}
      dimension="length"
      value={plates[side]}
      {...bounds}
      onCommit={mm => edit(s => ({ plates: { ...s.plates, [side]: mm } }))}
    />
  ))
}
