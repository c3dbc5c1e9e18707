import { USUAL_ROOM_C } from '../../data/cold'
import { dryIceFor } from '../cold/dry-ice'
import { liquidNitrogenFor } from '../cold/liquid-nitrogen'
import { coldWay } from '../cold/way'
import type { Workshop } from '../shop/workshop'
import { steelKgOf } from './loads'
import type { BatchBlade } from './tray'

/** What is bought for the cold: dry ice, kg, or liquid nitrogen, l. */
export interface Coolant {
  readonly medium: 'dry-ice' | 'liquid-nitrogen'
  /** To chill the blades and keep them cold to the end of their hold. */
  readonly amount: number
  /** What the box or vessel loses of it in an hour once it is cold. */
  readonly lostPerHour: number
}

/**
 * What all blades of a tray that go into the cold need together; null where none does, or a freezer does it. `heldMin`: from the first
 * in to the end of the last one's hold; absent: the hold of their route.
 */
export function coolantFor(blades: readonly BatchBlade[], shop: Workshop, heldMin?: number): Coolant | null {
  const cold = blades.filter(blade => blade.group.route.cold)
  const way = cold[0]?.group.route.cold
  const medium = way ? coldWay(way.toC) : 'freezer'
  if (!way || medium === 'freezer') return null
  const { lossWPerK, room, bath, vesselKg } = shop.cold
  const ambientC = shop.roomC ?? USUAL_ROOM_C
  const holdH = (heldMin ?? way.holdMin) / 60
  const asked = { steelKg: steelKgOf(cold), startC: ambientC, ambientC, vesselKg, lossWPerK, room, holdH }
  if (medium === 'liquid-nitrogen') {
    const { coolantL, holdL } = liquidNitrogenFor(asked)
    return { medium, amount: coolantL, lostPerHour: holdH > 0 ? holdL / holdH : 0 }
  }
  const { coolantKg, holdKg } = dryIceFor({ ...asked, bath })
  return { medium, amount: coolantKg, lostPerHour: holdH > 0 ? holdKg / holdH : 0 }
}
