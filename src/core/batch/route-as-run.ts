import type { Batch, BatchGroup } from '../shop/batch'
import type { PlannedRoute } from '../shop/route'
import { bladesOf } from './tray'

/** A group's route with the soak its blades had: their mean where a run followed them, else as planned. */
export function routeAsRun(batch: Pick<Batch, 'lines' | 'blades' | 'groups'>, group: BatchGroup): PlannedRoute {
  const soaks = bladesOf(batch, group.id).flatMap(({ record }) => record.soakedMin ?? [])
  if (soaks.length === 0) return group.route
  return { ...group.route, soakMin: Math.max(LEAST_SOAK_MIN, soaks.reduce((sum, min) => sum + min, 0) / soaks.length) }
}

/** A route soaks at least so long, min: a blade pulled at once has had none worth the name. */
const LEAST_SOAK_MIN = 0.5
