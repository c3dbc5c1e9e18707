import { useDeferredValue, useMemo } from 'react'
import { usualOvenOf } from '../../core/job/ovens'
import type { Grade } from '../../data/grades'
import { HeatLine } from '../../ui/heatline/HeatLine'
import { useAnswer } from '../../workers/use-answer'
import { useShopNow } from '../shop-context'
import type { RecipeRoute } from './recipe-edit'

/** A recipe's route as a Heat Line, without a batch: its stations are not places yet. */
export function RecipeHeatLine({ route, grade }: { route: RecipeRoute; grade: Grade }) {
  const shop = useShopNow()
  // Drawn bit by bit, so that a hand that drags is followed meanwhile.
  const answer = useDeferredValue(
    useAnswer(
      'recipe-line',
      useMemo(() => ({ route, grade, oven: usualOvenOf(shop), system: shop.units }), [route, grade, shop]),
    ),
  )
  if (!answer?.ok) return <div className="min-h-[190px]" />
  return <HeatLine stretches={answer.value} others={[]} system={shop.units} stations={null} trace={[]} now={null} />
}
