import { useMemo } from 'react'
import { usualOvenOf } from '../core/job/ovens'
import type { ShopFit } from '../core/learn/fit-shop'
import type { Workshop } from '../core/shop/workshop'
import type { ShopExperience } from '../core/steel/predict'
import { useBatches, useReadings } from '../store/hooks'
import { useAnswer } from '../workers/use-answer'
import { useShopNow } from './shop-context'

/** What the shop's readings teach; undefined while it is worked out, null where there is nothing to learn from. */
export function useShopFit(exceptBatchId: string | null = null): ShopFit | null | undefined {
  const { tester } = useShopNow()
  const batches = useBatches()
  const readings = useReadings()
  // A year of logs is a large question: it is asked anew only when the log changes.
  const request = useMemo(
    () => (batches && readings ? { batches, readings, tester, exceptBatchId } : null),
    [batches, readings, tester, exceptBatchId],
  )
  const answer = useAnswer('learn', request)
  if (!answer) return undefined
  return answer.ok ? answer.value : null
}

/** The shop's experience for a lot and oven, where the workshop has learning switched on and it helps. */
export function experienceOf(
  fit: ShopFit | null | undefined,
  shop: Workshop,
  lot: string | undefined,
  ovenId: string | null,
): ShopExperience | null {
  if (!fit || shop.learning === false || fit.model.strength === 0) return null
  return { model: fit.model, lot: lot ?? '', ovenId: ovenId ?? '' }
}

/** The same for blades of no lot in the oven new batches are hardened in. */
export const useExperience = (): ShopExperience | null => {
  const shop = useShopNow()
  const fit = useShopFit()
  return useMemo(() => experienceOf(fit, shop, undefined, usualOvenOf(shop).id), [fit, shop])
}
