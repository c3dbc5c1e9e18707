import { predictionAt, stagesOf } from '../batch/hardness-stages'
import { type BatchBlade, bladesOf, routeOfBlade } from '../batch/tray'
import type { Batch, BatchGroup } from '../shop/batch'
import type { Reading } from '../shop/reading'
import type { PlannedRoute, Stage } from '../shop/route'
import type { Tester } from '../shop/workshop'
import { gradeOf } from '../steel/grades'
import { type Prediction, predict, type ShopExperience } from '../steel/predict'
import { bladeHardness, type Hardness } from './hardness'
import type { MeasuredBlades } from './measured-hardness'

/** What a hardness rests on. */
export interface MeasuredSources {
  /** Of all blades: how much readings scatter is learnt from the others too. */
  readonly readings: readonly Reading[]
  readonly tester: Tester
  readonly experience: ShopExperience | null
}

/** How hard each blade of a steel is, by itself, at each stage it was read or filed at: as every view of a blade shows it. */
export const measuredBladesOf = (batch: Batch, group: BatchGroup, sources: MeasuredSources): MeasuredBlades => {
  const usual = predictionOf(group, group.route, sources)
  return Object.fromEntries(
    bladesOf(batch, group.id).flatMap(blade => {
      const found = measuredBladeOf(blade, sources, usual)
      return found.length > 0 ? [[blade.id, found]] : []
    }),
  )
}

/** The same of one blade, in the order of its route's stages; `usual` is what is predicted of its steel, null where that is unknown. */
export function measuredBladeOf(
  blade: BatchBlade,
  sources: MeasuredSources,
  usual: Prediction | null = predictionOf(blade.group, blade.group.route, sources),
): Hardness[] {
  const route = routeOfBlade(blade)
  const hasOwnTempers = (blade.record.tempers?.length ?? 0) > 0
  const prediction = hasOwnTempers ? predictionOf(blade.group, route, sources) : usual
  const predicted = (stage: Stage) => (prediction ? predictionAt(prediction, stage) : null)
  return stagesOf(route).flatMap(stage => bladeHardness(blade, stage, { ...sources, predicted }) ?? [])
}

function predictionOf(group: BatchGroup, route: PlannedRoute, { experience }: MeasuredSources): Prediction | null {
  const grade = gradeOf(group)
  return grade ? predict(grade, route, experience) : null
}
