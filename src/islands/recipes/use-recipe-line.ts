import { useMemo } from 'react'
import { usualOvenOf } from '../../core/equipment/ovens'
import type { Grade } from '../../data/grades'
import { useAnswer } from '../../workers/use-answer'
import { useShopNow } from '../shop-context'
import type { RecipeRoute } from './recipe-edit'

/** A route's plan by itself, in the oven the shop hardens in. */
export function useRecipeLine(route: RecipeRoute, grade: Grade) {
  const shop = useShopNow()
  return useAnswer(
    'recipe-line',
    useMemo(() => ({ route, grade, oven: usualOvenOf(shop), system: shop.units }), [route, grade, shop]),
  )
}
