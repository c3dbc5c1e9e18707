import { useMemo } from 'react'
import type { Result } from '../core/codes/result'
import type { MeasuredBlades } from '../core/hardness/measured-hardness'
import type { Batch } from '../core/shop/batch'
import type { Reading } from '../core/shop/reading'
import { useAnswer } from '../workers/use-answer'
import { useShopNow } from './shop-context'

/** How hard each blade of a steel of a batch is at each stage; undefined until it was worked out once. */
export function useMeasured(
  batch: Batch,
  groupId: string,
  readings: readonly Reading[] | undefined,
): Result<{ readonly blades: MeasuredBlades }> | undefined {
  const { tester, learning } = useShopNow()
  return useAnswer(
    'measured',
    useMemo(
      () => (readings ? { batch, groupId, readings, tester, learning: learning !== false } : null),
      [batch, groupId, readings, tester, learning],
    ),
  )
}
