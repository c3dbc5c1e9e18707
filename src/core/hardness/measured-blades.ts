import { predictionAt, stagesOf } from '../batch/hardness-stages'
import { type BatchBlade, bladesOf, routeOfBlade } from '../batch/tray'
import { once } from '../numeric/once'
import type { Batch, BatchGroup } from '../shop/batch'
import type { Reading } from '../shop/reading'
import type { Stage } from '../shop/route'
import type { Tester } from '../shop/workshop'
import type { ShopExperience } from '../steel/predict'
import { bladeHardness, type Hardness } from './hardness'
import type { MeasuredBlades } from './measured-hardness'
import { predictedBlade } from './predicted-blade'

/** Evidence that a hardness is computed from. */
export interface MeasuredSources {
  /** Of all blades: how much readings scatter is learnt from the others too. */
  readonly readings: readonly Reading[]
  readonly tester: Tester
  readonly experience: ShopExperience | null
}

/** How hard each blade of a steel is, by itself, at each stage it was read or filed at: as every view of a blade shows it. */
export const measuredBladesOf = (batch: Batch, group: BatchGroup, sources: MeasuredSources): MeasuredBlades => {
  return Object.fromEntries(
    bladesOf(batch, group.id).flatMap(blade => {
      const found = measuredBladeOf(blade, sources)
      return found.length > 0 ? [[blade.id, found]] : []
    }),
  )
}

/** Returns the hardness of one blade at each stage it was measured at, in the order of its route. */
export function measuredBladeOf(blade: BatchBlade, sources: MeasuredSources): Hardness[] {
  const stages = stagesOf(routeOfBlade(blade))
  const prediction = once(() => predictedBlade(blade, sources.experience))
  const predicted = (stage: Stage) => {
    const own = prediction()
    return own ? predictionAt(own, stage) : null
  }
  return stages.flatMap(stage => bladeHardness(blade, stage, { ...sources, predicted }) ?? [])
}
