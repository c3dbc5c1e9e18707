import { useMemo } from 'react'
import { usualOvenOf } from '../core/equipment/ovens'
import type { Learnt } from '../core/learn/shop-memory'
import type { Workshop } from '../core/shop/workshop'
import { useShopNow } from './shop-context'

/** Which of the shop's readings a prediction leans on; null where the workshop has learning switched off. */
export const learntOf = (shop: Workshop, learnt: Learnt): Learnt | null => (shop.learning === false ? null : learnt)

/** The same for blades of no lot and no batch, in the oven new batches are hardened in. */
export function useLearnt(): Learnt | null {
  const shop = useShopNow()
  return useMemo(() => learntOf(shop, { lot: '', ovenId: usualOvenOf(shop).id, exceptBatchId: null }), [shop])
}
