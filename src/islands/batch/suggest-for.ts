import { reachC } from '../../core/oven/correction'
import { bladesOf, thickestMm } from '../../core/plan/tray'
import { coldToC } from '../../core/record/defaults'
import { ovenOf } from '../../core/record/oven-record'
import type { Batch, BatchGroup, Workshop } from '../../core/record/schemas'
import { gradeOf } from '../../core/steel/grades'
import { suggestRoute } from '../../core/steel/suggest'
import { editGroup, sayWithUndo } from './edit'

/** Puts the suggested route for a group's target and this shop in place of its own. */
export function suggestFor(batch: Batch, group: BatchGroup, shop: Workshop) {
  const grade = gradeOf(group)
  if (!grade) return
  const thicknessMm = thickestMm(bladesOf(batch, group.id)) || 2.5
  const route = suggestRoute(grade, group.target, {
    coldToC: coldToC(shop),
    ovenMaxC: reachC(ovenOf(shop, batch)),
    thicknessMm,
  })
  void editGroup(batch, group.id, 'Suggested route', g => ({
    ...g,
    recipeId: null,
    route: { ...route, tempers: [...route.tempers] },
  })).then(() => sayWithUndo('Route suggested for the target and this shop', batch.id))
}
