import { PROTECTION } from '../../data/protection'
import { BELTS_PER_BLADE, type CostKind, TASK_MIN, TEMPER_KWH, type WorkTask } from '../../data/task-times'
import { standing } from '../batch/blade-state'
import { type BatchBlade, bladesOf } from '../batch/tray'
import type { FoilSource } from '../codes/working'
import { simulatedHeat } from '../load/load-heat'
import { loadsOf, temperLoadsOf } from '../load/loads'
import { bladeKg } from '../oven/chamber'
import type { Batch } from '../shop/batch'
import type { Workshop } from '../shop/workshop'
import { type BladeCost, bladeCosts } from './blade-cost'
import { coolantFor } from './coolant'
import { foilNeeded } from './foil-needed'
import { protectionRows } from './protection-cost'

export interface BatchCost {
  /** Money of the batch, by what it is paid for. */
  readonly costs: Readonly<Record<CostKind, number>>
  readonly hours: Readonly<Record<WorkTask, number>>
  /** Whether the hours of the run were measured by it. */
  readonly runMeasured: boolean
  readonly total: number
  /** Blades it began with, and those that came out good or may yet. */
  readonly begun: number
  readonly good: number
  /** Money per good blade, with its share of what was lost. */
  readonly perGood: number
  /** Of that, what is there because blades were lost. */
  readonly lostShare: number
  /** Where the length of foil is known from. */
  readonly foil: FoilSource
  /** Each good blade's own share, in the order of the tray. */
  readonly blades: readonly BladeCost[]
}

export interface CostSources {
  readonly batch: Batch
  readonly shop: Workshop
  /** Minutes of hands that its runs took; null where none was run. */
  readonly attendedMin: number | null
}

/** Returns the cost of a batch, and of each good blade, in the shop's currency. */
export function batchCost({ batch, shop, attendedMin }: CostSources): BatchCost {
  const blades = bladesOf(batch)
  const prices = shop.prices ?? PROTECTION.prices
  const n = blades.length
  const tempers = temperLoadsOf(batch).length
  const foil = foilNeeded(batch, shop)
  const protection =
    n === 0 ? undefined : protectionRows(batch, shop, foil).find(row => row.name === (batch.protection ?? 'foil'))
  const perKg = ({ group }: BatchBlade) => group.steelPerKg ?? shop.prices?.steelPerKg ?? 0
  const hours = {
    prepare: (n * (shop.prices?.prepareMin ?? TASK_MIN.preparePerBlade)) / 60,
    wrap: protection?.hours ?? 0,
    run: (attendedMin ?? (n > 0 ? TASK_MIN.runAside + n * TASK_MIN.runPerBlade : 0)) / 60,
    temper: (tempers * TASK_MIN.temper) / 60,
    finish: (n * (shop.prices?.finishMin ?? TASK_MIN.finishPerBlade)) / 60,
  }
  const worked = Object.values(hours).reduce((sum, h) => sum + h, 0)
  const costs = {
    steel: blades.reduce((sum, blade) => sum + bladeKg(blade.line) * perKg(blade), 0),
    protection: protection?.material ?? 0,
    power: (heatKWh(batch, shop) + tempers * TEMPER_KWH) * (shop.prices?.kWh ?? 0),
    coolant: (coolantFor(blades, shop)?.amount ?? 0) * (shop.cold.price ?? 0),
    belts: n * (shop.prices?.beltsPerBlade ?? BELTS_PER_BLADE),
    work: worked * prices.hour,
  }
  const total = Object.values(costs).reduce((sum, cost) => sum + cost, 0)
  const good = standing(blades).length
  const perGood = good > 0 ? total / good : 0
  return {
    costs,
    hours,
    runMeasured: attendedMin !== null,
    total,
    begun: n,
    good,
    perGood,
    lostShare: good > 0 ? perGood - total / n : 0,
    foil: foil.from,
    blades: bladeCosts(blades, costs, { perKg, foilM2: foil.areaM2 }),
  }
}

/** Electricity of the heats by the oven's wall model, kWh; 0 where the oven is gone or never gets there. */
function heatKWh(batch: Batch, shop: Workshop): number {
  const loads = loadsOf(batch, shop.units)
  if (loads.length === 0) return 0
  const heat = simulatedHeat({ batch, shop }, loads, loads.length - 1)
  return heat.ok ? heat.value.simulation.energyKWh : 0
}
