import { useDeferredValue, useMemo } from 'react'
import type { Learnt } from '../core/learn/shop-memory'
import type { PlannedRoute } from '../core/shop/route'
import { steelRequest } from '../core/steel/grades'
import type { Prediction } from '../core/steel/predict'
import type { Grade } from '../data/grades'
import { useAnswer } from '../workers/use-answer'

/** A steel on a route, to be predicted. */
export interface Wished {
  readonly grade: Grade
  readonly route: PlannedRoute
}

/**
 * Predictions of some steels on some routes, in their order, with what the shop's own readings add; undefined while they are worked
 * out for the first time.
 */
export function usePredictions(
  wished: readonly Wished[] | null,
  learnt: Learnt | null,
): readonly Prediction[] | undefined {
  const request = useMemo(
    () => wished && { asked: wished.map(({ grade, route }) => ({ steel: steelRequest(grade), route })), learnt },
    [wished, learnt],
  )
  // Drawn bit by bit, so that a hand that drags is followed meanwhile.
  const answer = useDeferredValue(useAnswer('predictions', request))
  return answer?.ok ? answer.value : undefined
}
