import { useDeferredValue, useMemo } from 'react'
import { ok, type Result } from '../../core/codes/result'
import { type BatchModel, batchModelOf } from '../../core/job/batch-model'
import type { Batch } from '../../core/shop/batch'
import type { Reading } from '../../core/shop/reading'
import { useAnswer } from '../../workers/use-answer'
import { useShopNow } from '../shop-context'

/**
 * A batch in this shop with all that is worked out for it, anew when batch, readings, shop or what the shop learnt change; undefined
 * until it was worked out once.
 */
export function useBatchModel(batch: Batch, readings: readonly Reading[] | undefined): Result<BatchModel> | undefined {
  const shop = useShopNow()
  const request = useMemo(() => (readings ? { batch, shop, readings } : null), [batch, shop, readings])
  // Drawn bit by bit, so that a hand that drags is followed meanwhile.
  const figures = useDeferredValue(useAnswer('batch', request))
  return useMemo(() => {
    if (!figures || !readings) return undefined
    return figures.ok ? ok(batchModelOf(batch, shop, readings, figures.value)) : figures
  }, [batch, shop, readings, figures])
}
