import { useMemo } from 'react'
import { ovenOf } from '../core/record/oven-record'
import type { Workshop } from '../core/record/schemas'
import type { ShopFit } from '../core/steel/learn/fit-shop'
import type { ShopExperience } from '../core/steel/predict'
import { useBatches, useReadings } from '../store/hooks'
import { useAnswer } from '../workers/use-answer'

/** What the shop's readings teach; undefined while it is worked out, null where there is nothing to learn from. */
export function useShopFit(exceptBatchId: string | null = null): ShopFit | null | undefined {
  const batches = useBatches()
  const readings = useReadings()
  // A year of logs is a large question: it is asked anew only when the log changes.
  const request = useMemo(
    () => (batches && readings ? { batches, readings, exceptBatchId } : null),
    [batches, readings, exceptBatchId],
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
  oven: string | undefined,
): ShopExperience | null {
  if (!fit || shop.learning === false || fit.model.strength === 0) return null
  return { model: fit.model, lot: lot ?? '', oven: oven ?? ovenOf(shop).name }
}

export const useExperience = (shop: Workshop, lot?: string, oven?: string): ShopExperience | null => {
  const fit = useShopFit()
  return useMemo(() => experienceOf(fit, shop, lot, oven), [fit, shop, lot, oven])
}
