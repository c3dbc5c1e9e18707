import { COLD_C, type ColdWay } from '../cold/way'
import type { BatchGroup } from '../shop/batch'
import type { PlannedRoute } from '../shop/route'
import { ROUTE_PARTS, type RoutePart } from '../shop/route-parts'
import { usualCold } from '../steel/route'

/** Whether two parts of a route say the same. */
export const samePart = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b)

/** A steel with its route changed by the maker: the parts that differ are the maker's from then on. */
export function withRoute(group: BatchGroup, route: PlannedRoute): BatchGroup {
  const changed = ROUTE_PARTS.filter(part => !samePart(group.route[part], route[part]))
  return {
    ...group,
    recipeId: null,
    route,
    fixed: ROUTE_PARTS.filter(p => group.fixed.includes(p) || changed.includes(p)),
  }
}

/** A steel with parts of its route left to what is suggested. */
export const letFollow = (group: BatchGroup, parts: readonly RoutePart[]): BatchGroup => ({
  ...group,
  recipeId: null,
  fixed: group.fixed.filter(part => !parts.includes(part)),
})

/** A cold treatment of a kind, its times kept from the one before. */
export const coldBy = (way: ColdWay | 'none', before: PlannedRoute['cold']): PlannedRoute['cold'] =>
  way === 'none' ? null : { ...usualCold(COLD_C[way]), ...before, toC: COLD_C[way] }
