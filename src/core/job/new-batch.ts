import { FOIL } from '../../data/foil'
import type { Grade } from '../../data/grades'
import type { Batch, BatchGroup } from '../shop/batch'
import type { Workshop } from '../shop/workshop'
import { planFor } from '../steel/grades'
import { DRY_ICE_C, FREEZER_C, LIQUID_NITROGEN_C, suggestRoute, usualTargetOf } from '../steel/suggest'
import { usualOvenOf } from './ovens'

/** Blades assumed while the tray is still empty, mm. */
export const ASSUMED_THICKNESS_MM = 2.5

/** How cold the shop goes, °C; null without cold. */
export const coldToC = (shop: Pick<Workshop, 'cold'>): number | null =>
  ({ none: null, freezer: FREEZER_C, 'dry-ice': DRY_ICE_C, 'liquid-nitrogen': LIQUID_NITROGEN_C })[shop.cold.medium]

/** A steel as it joins a batch: its usual target, and the route this shop would take to it. */
export function newGroup(id: string, grade: Grade, shop: Workshop, thicknessMm: number): BatchGroup {
  const target = usualTargetOf(grade)
  return {
    id,
    ...planFor(grade),
    target,
    route: suggestRoute(grade, target, { coldToC: coldToC(shop), ovenMaxC: usualOvenOf(shop).maxC, thicknessMm }),
    recipeId: null,
    symptom: null,
    decisions: [],
  }
}

/** A batch with a first steel and no blades yet, planned for the shop's usual oven. */
export function newBatch(
  ids: { batch: string; group: string },
  name: string,
  grade: Grade,
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
    groups: [newGroup(ids.group, grade, shop, ASSUMED_THICKNESS_MM)],
    lines: [],
    blades: [],
    ovenId: oven.id,
    ovenName: oven.name,
    envelope: { ...FOIL.envelope },
    countedOut: null,
    note: '',
  }
}
