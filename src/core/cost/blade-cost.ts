import { COST_KINDS, type CostKind } from '../../data/task-times'
import { standing } from '../batch/blade-state'
import type { BatchBlade } from '../batch/tray'
import { bladeKg } from '../oven/chamber'

/** One blade's share of what its batch cost. */
export interface BladeCost {
  readonly bladeId: string
  /** Of its own, and of the blades that were lost. */
  readonly own: number
  readonly ofLost: number
}

export interface SharedBy {
  /** Money a kilogram of the steel of each. */
  readonly perKg: (blade: BatchBlade) => number
  readonly foilM2: ReadonlyMap<string, number>
}

/**
 * Returns each blade's share of a batch's cost: steel by mass and the price of its bar, foil by the area of the packet, electricity by mass,
 * coolant by the mass that goes into the cold, belts and hours alike. Those that are lost are carried by the good ones alike. Together
 * they are the cost of the batch; none where no blade is good.
 */
export function bladeCosts(
  blades: readonly BatchBlade[],
  costs: Readonly<Record<CostKind, number>>,
  { perKg, foilM2 }: SharedBy,
): BladeCost[] {
  const weights: Readonly<Record<CostKind, (blade: BatchBlade) => number>> = {
    steel: blade => bladeKg(blade.line) * perKg(blade),
    protection: blade => foilM2.get(blade.id) ?? 0,
    power: blade => bladeKg(blade.line),
    coolant: blade => (blade.group.route.cold ? bladeKg(blade.line) : 0),
    belts: () => 1,
    work: () => 1,
  }
  const shares = COST_KINDS.map(kind => {
    const each = blades.map(weights[kind])
    const sum = each.reduce((a, b) => a + b, 0)
    // What has nothing to be shared by is shared alike: no money goes missing.
    return each.map(weight => costs[kind] * (sum > 0 ? weight / sum : 1 / blades.length))
  })
  const own = new Map(blades.map((blade, i) => [blade.id, shares.reduce((sum, share) => sum + (share[i] ?? 0), 0)]))
  const good = standing(blades)
  const goodIds = new Set(good.map(blade => blade.id))
  const lost = blades.reduce((sum, { id }) => sum + (goodIds.has(id) ? 0 : (own.get(id) ?? 0)), 0)
  return good.map(({ id }) => ({ bladeId: id, own: own.get(id) ?? 0, ofLost: lost / good.length }))
}
