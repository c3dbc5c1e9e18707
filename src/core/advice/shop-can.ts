import type { Grade } from '../../data/grades'
import { ASSUMED_THICKNESS_MM } from '../batch/tray'
import { COLD_C } from '../cold/way'
import { ovenOf, usualOvenOf } from '../equipment/ovens'
import { reachC } from '../oven/correction'
import type { TargetHrc } from '../rockwell/target'
import type { Batch } from '../shop/batch'
import type { Workshop } from '../shop/workshop'
import type { ShopCan } from '../steel/suggest'
import { usualTargetOf } from '../steel/usual'
import type { AdviceRequest } from './option'

/** How cold the shop goes, °C; null without cold. */
export const coldToC = (shop: Pick<Workshop, 'cold'>): number | null =>
  shop.cold.medium === 'none' ? null : COLD_C[shop.cold.medium]

/** Returns the request for a suggested route: a steel at its usual target, or another, in this shop. */
export const routeWish = (
  grade: Grade,
  shop: Workshop,
  {
    target = usualTargetOf(grade),
    thicknessMm = ASSUMED_THICKNESS_MM,
    ovenMaxC = reachC(usualOvenOf(shop)),
  }: { readonly target?: TargetHrc; readonly thicknessMm?: number; readonly ovenMaxC?: number } = {},
): { readonly grade: Grade; readonly target: TargetHrc; readonly can: ShopCan } => ({
  grade,
  target,
  can: { coldToC: coldToC(shop), ovenMaxC, thicknessMm, system: shop.units },
})

/** Returns the shop's abilities for the options after a reading. */
export const adviceCanOf = (batch: Pick<Batch, 'ovenId' | 'ovenName'>, shop: Workshop): AdviceRequest['can'] => {
  const oven = ovenOf(shop, batch)
  return {
    coldToC: coldToC(shop),
    anneal: true,
    ovenMaxC: reachC(oven.ok ? oven.value : usualOvenOf(shop)),
    system: shop.units,
  }
}
