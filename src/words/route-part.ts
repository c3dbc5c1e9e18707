import { coldWay } from '../core/cold/way'
import type { PlannedRoute } from '../core/shop/route'
import type { RoutePart } from '../core/shop/route-parts'
import { counted } from './lists'
import type { Speaker } from './speaker'

const COLD = { freezer: 'freezer', 'dry-ice': 'dry ice', 'liquid-nitrogen': 'liquid nitrogen' } as const

/** A part of a route in a few words: '1065 °C', '35 min', 'dry ice for 1 h', '2 × 200 °C for 2 h'. */
export function routePartText(part: RoutePart, route: Pick<PlannedRoute, RoutePart>, say: Speaker): string {
  switch (part) {
    case 'austenitizeC':
      return say.t(route.austenitizeC)
    case 'soakMin':
      return say.minutes(route.soakMin)
    case 'cold':
      return route.cold ? `${COLD[coldWay(route.cold.toC)]} for ${say.minutes(route.cold.holdMin)}` : 'no cold'
    case 'tempers':
      return tempersText(route.tempers, say)
  }
}

function tempersText(tempers: PlannedRoute['tempers'], say: Speaker): string {
  const [first] = tempers
  if (!first) return 'no temper'
  const alike = tempers.every(t => t.atC === first.atC && t.holdMin === first.holdMin)
  if (alike) return `${counted(tempers.length, 'temper')} at ${say.t(first.atC)} for ${say.minutes(first.holdMin)}`
  return tempers.map(t => `${say.t(t.atC)} for ${say.minutes(t.holdMin)}`).join(', then ')
}
