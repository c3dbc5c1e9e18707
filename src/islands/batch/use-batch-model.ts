import { useDeferredValue, useMemo } from 'react'
import { type BatchModel, batchModelOf, NOTHING_KEYED } from '../../core/bench/batch-model'
import { ok, type Result } from '../../core/codes/result'
import type { Batch } from '../../core/shop/batch'
import type { Reading } from '../../core/shop/reading'
import { useTold } from '../../workers/use-answer'
import { useShopNow } from '../shop-context'

/**
 * A batch in this shop with all that is worked out for it, anew when batch, readings, shop or what the shop learnt change; undefined
 * until it was worked out once. What gets keyed or timed is never that of an earlier visit; nothing is, where `isForPaper`.
 */
export function useBatchModel(
  batch: Batch,
  readings: readonly Reading[] | undefined,
  { isForPaper = false } = {},
): Result<BatchModel> | undefined {
  const shop = useShopNow()
  const request = useMemo(() => (readings ? { batch, shop, readings } : null), [batch, shop, readings])
  // Drawn bit by bit, so that a hand that drags is followed meanwhile.
  const { answer, isOfBefore } = useDeferredValue(useTold('batch', request))
  return useMemo(() => {
    if (!answer || !readings || (isForPaper && isOfBefore)) return undefined
    if (!answer.ok) return answer
    const figures = isOfBefore ? { ...answer.value, ...NOTHING_KEYED } : answer.value
    return ok(batchModelOf(batch, shop, readings, figures))
  }, [batch, shop, readings, answer, isOfBefore, isForPaper])
}
