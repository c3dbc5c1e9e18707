import type { Grade } from '../../data/grades'
import { routeWish } from '../advice/shop-can'
import { samePart } from '../batch/route-edit'
import { thicknessOf } from '../batch/tray'
import { chillMin, chillTauMin } from '../cold/chill'
import { chillWayOf } from '../equipment/chill-way'
import { ovenOf, usualOvenOf } from '../equipment/ovens'
import { quenchSecondsOf } from '../load/quench-seconds'
import { reachC } from '../oven/correction'
import type { TargetHrc } from '../rockwell/target'
import type { Batch, BatchGroup } from '../shop/batch'
import type { PlannedRoute } from '../shop/route'
import { ROUTE_PARTS, type RoutePart } from '../shop/route-parts'
import type { Workshop } from '../shop/workshop'
import { gradeOf } from '../steel/grades'
import { type GivenParts, suggestRoute } from '../steel/suggest'

/** Returns the first version of a recipe: a steel's usual target, and the route suggested for it in this shop. */
export function suggestedFirst(
  grade: Grade,
  shop: Workshop,
): { readonly target: TargetHrc; readonly route: PlannedRoute } {
  const { target, can } = routeWish(grade, shop)
  return { target, route: suggestRoute(grade, target, can) }
}

type PlannedTray = Pick<Batch, 'lines' | 'ovenId' | 'ovenName'>

/** The wish of one steel of a batch: for its thickest blade, in the batch's oven. */
function wishOf(batch: PlannedTray, group: BatchGroup, grade: Grade, shop: Workshop) {
  const oven = ovenOf(shop, batch)
  return routeWish(grade, shop, {
    target: group.target,
    thicknessMm: thicknessOf(batch, group.id),
    // Only the highest temperature that can be asked for depends on the oven: without one, the usual oven's stands in.
    ovenMaxC: reachC(oven.ok ? oven.value : usualOvenOf(shop)),
  })
}

const partsOf = (route: PlannedRoute, parts: readonly RoutePart[]): GivenParts =>
  Object.fromEntries(parts.map(part => [part, route[part]]))

/** Returns the suggestion for each part of a steel's route, if that part alone were open. */
export function suggestionOf(
  batch: PlannedTray,
  group: BatchGroup,
  grade: Grade,
  shop: Workshop,
): Pick<PlannedRoute, RoutePart> {
  const { target, can } = wishOf(batch, group, grade, shop)
  const { seconds800to500 } = group.route
  const given = (parts: readonly RoutePart[]): GivenParts => ({ ...partsOf(group.route, parts), seconds800to500 })
  const open = suggestRoute(grade, target, can, given(group.fixed))
  const alone = (part: RoutePart) =>
    group.fixed.includes(part)
      ? suggestRoute(grade, target, can, given(group.fixed.filter(other => other !== part)))
      : open
  return {
    austenitizeC: alone('austenitizeC').austenitizeC,
    soakMin: alone('soakMin').soakMin,
    cold: alone('cold').cold,
    tempers: alone('tempers').tempers,
  }
}

/** How slowly a blade comes to its cold, min, where the hold is too short for it; undefined where it is there in time. */
function chillTauOf(cold: PlannedRoute['cold'], thicknessMm: number, shop: Workshop): number | undefined {
  if (!cold) return undefined
  const way = chillWayOf(thicknessMm, cold.toC, shop)
  return chillMin(way) > cold.holdMin ? chillTauMin(way) : undefined
}

/**
 * A batch that is not hardened yet with every part of its routes that the maker left open as it is suggested now, for its blades, its
 * steels and this shop, and with how fast its quench is. The same batch where nothing moves.
 */
export function followed<B extends Batch>(batch: B, shop: Workshop): B {
  const groups = batch.groups.map(group => {
    const grade = gradeOf(group)
    if (!grade) return group
    const { target, can } = wishOf(batch, group, grade, shop)
    const cooledFrom = (fromC: number) => quenchSecondsOf(batch, group, { grade, shop, fromC })
    const first = cooledFrom(group.route.austenitizeC)
    const suggested = suggestRoute(grade, target, can, { ...partsOf(group.route, group.fixed), seconds800to500: first })
    const seconds800to500 =
      suggested.austenitizeC === group.route.austenitizeC ? first : cooledFrom(suggested.austenitizeC)
    const open = ROUTE_PARTS.filter(part => !samePart(group.route[part], suggested[part]))
    const slowlyMin = chillTauOf(suggested.cold, can.thicknessMm, shop)
    const asBefore = group.route.seconds800to500 === seconds800to500 && group.route.chillTauMin === slowlyMin
    if (open.length === 0 && asBefore) return group
    const { seconds800to500: _, chillTauMin: __, ...route } = group.route
    return {
      ...group,
      route: {
        ...route,
        ...partsOf(suggested, open),
        ...(seconds800to500 === undefined ? {} : { seconds800to500 }),
        ...(slowlyMin === undefined ? {} : { chillTauMin: slowlyMin }),
      },
    }
  })
  return groups.every((group, i) => group === batch.groups[i]) ? batch : { ...batch, groups }
}
