import { BOUNDS } from '../../core/shop/bounds'
import type { Workshop } from '../../core/shop/workshop'
import { USUAL_BOX_MM, USUAL_ROOM_C } from '../../data/cold'
import { More } from '../../ui/More'
import { QuantityField } from '../../ui/QuantityField'
import { ScaledField } from '../../ui/ScaledField'
import { useShopNow } from '../shop-context'
import { ColdMediumField } from './ColdMediumField'
import type { EditShop } from './edit-shop'

interface Props {
  readonly edit: EditShop
}

const BOX_BOUNDS = { length: BOUNDS.boxLengthMm, width: BOUNDS.boxWidthMm, depth: BOUNDS.boxDepthMm } as const

/** How cold the shop goes, and in what. */
export function ColdPart({ edit }: Props) {
  const shop = useShopNow()
  const { cold } = shop
  const set = (part: Partial<Workshop['cold']>) => edit(s => ({ cold: { ...s.cold, ...part } }))
  const box = cold.boxMm ?? USUAL_BOX_MM
  return (
    <>
      <ColdMediumField edit={edit} />
      <More place="cold" title="More" says="room, box, vessel, price">
        <QuantityField
          label="Room temperature"
          dimension="temperature"
          value={shop.roomC ?? USUAL_ROOM_C}
          {...BOUNDS.roomC}
          onCommit={roomC => edit({ roomC })}
        />
        <div className="grid grid-cols-3 gap-3">
          {(['length', 'width', 'depth'] as const).map(side => (
            <QuantityField
              key={side}
              label={`Box ${side}`}
              dimension="length"
              value={box[side]}
              {...BOX_BOUNDS[side]}
              onCommit={mm =>
                edit(s => ({ cold: { ...s.cold, boxMm: { ...(s.cold.boxMm ?? USUAL_BOX_MM), [side]: mm } } }))
              }
            />
          ))}
          <QuantityField
            label="Vessel weight"
            dimension="mass"
            value={cold.vesselKg}
            {...BOUNDS.vesselKg}
            onCommit={vesselKg => set({ vesselKg })}
          />
          <ScaledField
            label="Heat leak of the box"
            kind="leak"
            value={cold.lossWPerK}
            {...BOUNDS.lossWPerK}
            onCommit={lossWPerK => set({ lossWPerK })}
          />
          <ScaledField
            label="Price of the coolant"
            kind={cold.medium === 'liquid-nitrogen' ? 'pricePerLitre' : 'pricePerKg'}
            value={cold.price ?? 0}
            {...BOUNDS.coolantPrice}
            onCommit={price => set({ price })}
          />
        </div>
      </More>
    </>
  )
}
