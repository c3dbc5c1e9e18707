import { PACE } from '../../data/pace'
import type { BatchBlade } from '../batch/tray'
import { ok, type Result } from '../codes/result'
import { placesOf, rackPacketsOf } from '../load/heat-load'
import type { Load } from '../load/loads'
import { type PlannedPull, pullPlanOf } from '../load/pull-plan'
import { viewOf } from '../oven/rack'
import type { Batch } from '../shop/batch'
import type { Oven } from '../shop/oven'
import type { RunBlade } from '../shop/run'
import type { Workshop } from '../shop/workshop'

/** A load with its pulls, and how long after one another they come if nobody helps. */
export interface PlannedLoad {
  readonly load: Load
  readonly pulls: readonly PlannedPull[]
  readonly alone: ReadonlyMap<string, number>
  readonly views: ReadonlyMap<string, number>
}

/** A load with its pull list, worked out with the hands there are and with one pair alone. Errors: as ovenOf. */
export function plannedLoad(load: Load, oven: Oven, shop: Workshop, batch: Batch): Result<PlannedLoad> {
  const plan = pullPlanOf(load, shop, batch)
  if (!plan.ok) return plan
  const single = pullPlanOf(load, { ...shop, plates: { ...shop.plates, people: 1 } }, batch)
  if (!single.ok) return single
  const [packets, places] = [rackPacketsOf(load), placesOf(load, oven)]
  return ok({
    load,
    pulls: plan.value?.pulls ?? [],
    alone: new Map(single.value?.pulls.map(pull => [pull.bladeId, pull.apartS])),
    views: new Map(load.blades.map(({ id }) => [id, viewOf(id, packets, places)])),
  })
}

/** The blades of a load in pull order, each with what its clock needs. */
export const runBladesOf = ({ load, pulls, views }: PlannedLoad): RunBlade[] => {
  const byId = new Map(load.blades.map(blade => [blade.id, blade]))
  return pulls.flatMap(pull => {
    const blade = byId.get(pull.bladeId)
    return blade ? [runBlade(blade, pull, views.get(pull.bladeId) ?? 1)] : []
  })
}

/** A blade as it goes into a run; one that is only tempered has no pull. */
export const runBlade = (
  { id, line, group, record }: BatchBlade,
  pull: PlannedPull | undefined,
  view: number,
): RunBlade => ({
  bladeId: id,
  batchId: record.batchId,
  thicknessMm: line.thicknessMm,
  widthMm: line.widthMm,
  lengthMm: line.lengthMm,
  view,
  austenitizeC: group.route.austenitizeC,
  soakMin: group.route.soakMin,
  longestMin: pull && Number.isFinite(pull.longestMin) ? pull.longestMin : null,
  lagS: pull?.arrivesS ?? 0,
  set: pull?.set ?? 1,
  platesC: pull?.plateStartC ?? PACE.roomC,
})
