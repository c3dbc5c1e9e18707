import { USUAL_ROOM_C } from '../../data/cold'
import type { BatchBlade } from '../batch/tray'
import { dryIceFor } from '../cold/dry-ice'
import { liquidNitrogenFor } from '../cold/liquid-nitrogen'
import { coldWay } from '../cold/way'
import { steelKgOf } from '../load/loads'
import type { Workshop } from '../shop/workshop'

/** Coolant to buy: dry ice, kg, or liquid nitrogen, L. */
export interface Coolant {
  readonly medium: 'dry-ice' | 'liquid-nitrogen'
  /** To chill the blades and keep them cold to the end of their hold. */
  readonly amount: number
  /** Loss of the cold box or vessel per hour, in the same unit. */
  readonly lostPerHour: number
}

interface InUse {
  /** From the first blade in, or from now where the box is cold, to the end of the last one's hold, min; absent: the hold of their route. */
  readonly heldMin?: number
  /** Box or vessel are cold already, from blades before these. */
  readonly isCold?: boolean
}

/** Returns the coolant for all blades of a tray that go into the cold, or null if none does or a freezer does it. */
export function coolantFor(
  blades: readonly BatchBlade[],
  shop: Workshop,
  { heldMin, isCold = false }: InUse = {},
): Coolant | null {
  const cold = blades.filter(blade => blade.group.route.cold)
  const way = cold[0]?.group.route.cold
  const medium = way ? coldWay(way.toC) : 'freezer'
  if (!way || medium === 'freezer') return null
  const amountFor = (steelKg: number, holdH: number) => amountOf(medium, shop, steelKg, holdH)
  return {
    medium,
    amount: amountFor(steelKgOf(cold), (heldMin ?? way.holdMin) / 60) - (isCold ? amountFor(0, 0) : 0),
    lostPerHour: amountFor(0, 1) - amountFor(0, 0),
  }
}

function amountOf(medium: Coolant['medium'], shop: Workshop, steelKg: number, holdH: number): number {
  const { lossWPerK, room, bath, vesselKg } = shop.cold
  const ambientC = shop.roomC ?? USUAL_ROOM_C
  const asked = { steelKg, startC: ambientC, ambientC, vesselKg, lossWPerK, room, holdH }
  return medium === 'dry-ice'
    ? dryIceFor({ ...asked, bath }).coolantKg
    : liquidNitrogenFor({ ...asked, standingL: bath.litres }).coolantL
}
