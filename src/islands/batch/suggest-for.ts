import { ovenOf, usualOvenOf } from '../../core/job/ovens'
import { thicknessOf } from '../../core/job/tray'
import { reachC } from '../../core/oven/correction'
import type { Batch, BatchGroup } from '../../core/shop/batch'
import type { Workshop } from '../../core/shop/workshop'
import { gradeOf } from '../../core/steel/grades'
import { suggestedRoute } from '../suggested-route'
import { editGroup, sayProblems, sayWithUndo } from './edit'

/** Puts the suggested route for a group's target and this shop in place of its own. */
export async function suggestFor(batch: Batch, group: BatchGroup, shop: Workshop) {
  const grade = gradeOf(group)
  if (!grade) return
  const oven = ovenOf(shop, batch)
  const route = await suggestedRoute(grade, shop, {
    target: group.target,
    // Only the highest temperature that can be asked for depends on the oven: without one, the usual oven's stands in.
    ovenMaxC: reachC(oven.ok ? oven.value : usualOvenOf(shop)),
    thicknessMm: thicknessOf(batch, group.id),
  })
  if (!route.ok) return sayProblems(route.problems, shop.units)
  await editGroup(batch, group.id, 'Suggested route', g => ({ ...g, recipeId: null, route: route.value }))
  sayWithUndo('Route suggested for the target and this shop', batch.id)
}
