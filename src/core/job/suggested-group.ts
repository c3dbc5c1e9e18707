import type { Grade } from '../../data/grades'
import type { BatchGroup } from '../shop/batch'
import type { Workshop } from '../shop/workshop'
import { suggestRoute } from '../steel/suggest'
import { newGroup, routeWish } from './new-batch'

/** A steel as it joins a batch of blades of one thickness, mm: its usual target, and the route this shop would take to it. */
export function suggestedGroup(id: string, grade: Grade, shop: Workshop, thicknessMm: number): BatchGroup {
  const wish = routeWish(grade, shop, { thicknessMm })
  return newGroup(id, grade, suggestRoute(grade, wish.target, wish.can))
}
