import type { Batch, BatchGroup } from '../shop/batch'
import type { PlannedRoute } from '../shop/route'
import { type BatchBlade, bladesOf, routeOfBlade } from './tray'

/** Shortest soak of a route, min: a blade pulled at once has had none worth the name. */
const LEAST_SOAK_MIN = 0.5

/** Returns a route with another soak, min; at least half a minute. */
export const withSoak = (route: PlannedRoute, soakMin: number): PlannedRoute => ({
  ...route,
  soakMin: Math.max(LEAST_SOAK_MIN, soakMin),
})

/** Returns a group's route with the mean soak of its blades where a run followed them, else as planned. */
export function routeAsRun(batch: Pick<Batch, 'lines' | 'blades' | 'groups'>, group: BatchGroup): PlannedRoute {
  const soaks = bladesOf(batch, group.id).flatMap(({ record }) => record.soakedMin ?? [])
  if (soaks.length === 0) return group.route
  return withSoak(group.route, soaks.reduce((sum, min) => sum + min, 0) / soaks.length)
}

/** Returns a blade's whole route with the soak that its run measured, else as planned. */
export const bladeRouteAsRun = (blade: BatchBlade): PlannedRoute =>
  withSoak(routeOfBlade(blade), blade.record.soakedMin ?? blade.group.route.soakMin)
