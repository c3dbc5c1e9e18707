import { useMemo } from 'react'
import type { Batch } from '../../core/shop/batch'
import type { OvenLog } from '../../core/shop/oven-log'
import type { LoggedRoute } from '../../core/trace/logged-heat'
import { useAnswer } from '../../workers/use-answer'
import { useShopNow } from '../shop-context'

/** A steel's route as the logs of its batch show it; undefined while they are read and it is worked out. */
export function useLoggedRoute(
  batch: Batch,
  groupId: string,
  logs: readonly OvenLog[] | undefined,
): LoggedRoute | undefined {
  const { ovens, units } = useShopNow()
  const request = useMemo(
    () => (logs ? { batch, groupId, shop: { ovens, units }, logs } : null),
    [batch, groupId, ovens, units, logs],
  )
  const answer = useAnswer('logged-route', request)
  return answer?.ok ? answer.value : undefined
}
