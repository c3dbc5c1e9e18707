import { FOIL } from '../../data/foil'
import type { Grade } from '../../data/grades'
import type { TargetHrc } from '../rockwell/target'
import type { Batch, BatchGroup } from '../shop/batch'
import type { PlannedRoute } from '../shop/route'
import type { Workshop } from '../shop/workshop'
import { planFor } from '../steel/grades'
import { DRY_ICE_C, FREEZER_C, LIQUID_NITROGEN_C, usualTargetOf } from '../steel/usual'
import { usualOvenOf } from './ovens'
import { ASSUMED_THICKNESS_MM } from './tray'

/** How cold the shop goes, °C; null without cold. */
export const coldToC = (shop: Pick<Workshop, 'cold'>): number | null =>
  ({ none: null, freezer: FREEZER_C, 'dry-ice': DRY_ICE_C, 'liquid-nitrogen': LIQUID_NITROGEN_C })[shop.cold.medium]

/** What a route is suggested for: a steel at its usual target, or another, in this shop. */
export const routeWish = (
  grade: Grade,
  shop: Workshop,
  {
    target = usualTargetOf(grade),
    thicknessMm = ASSUMED_THICKNESS_MM,
    ovenMaxC = usualOvenOf(shop).maxC,
  }: { readonly target?: TargetHrc; readonly thicknessMm?: number; readonly ovenMaxC?: number } = {},
) => ({ grade, target, can: { coldToC: coldToC(shop), ovenMaxC, thicknessMm } })

/** A steel as it joins a batch: its usual target, and the route that was suggested for it. */
export const newGroup = (id: string, grade: Grade, route: PlannedRoute): BatchGroup => ({
  id,
  ...planFor(grade),
  target: usualTargetOf(grade),
  route,
  recipeId: null,
  symptom: null,
  decisions: [],
})

/** A batch with a first steel and no blades yet, planned for the shop's usual oven. */
export function newBatch(
  ids: { batch: string; group: string },
  name: string,
  grade: Grade,
  route: PlannedRoute,
  shop: Workshop,
  nowIso: string,
): Batch {
  const oven = usualOvenOf(shop)
  return {
    id: ids.batch,
    rev: 0,
    name,
    createdAt: nowIso,
    updatedAt: nowIso,
    deletedAt: null,
    groups: [newGroup(ids.group, grade, route)],
    lines: [],
    blades: [],
    ovenId: oven.id,
    ovenName: oven.name,
    envelope: { ...FOIL.envelope },
    countedOut: null,
    note: '',
  }
}
