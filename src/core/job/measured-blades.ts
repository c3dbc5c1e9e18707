import type { Batch, BatchGroup } from '../shop/batch'
import type { Reading } from '../shop/reading'
import type { Stage } from '../shop/route'
import type { Tester } from '../shop/workshop'
import { gradeOf } from '../steel/grades'
import { predict, type ShopExperience } from '../steel/predict'
import { bladeHardness } from './hardness'
import type { MeasuredBlades } from './measured'
import { predictionAt, stagesOf } from './stages'
import { type BatchBlade, bladesOf, routeOfBlade } from './tray'

/** What a hardness rests on. */
export interface MeasuredSources {
  /** Of all blades: how much readings scatter is learnt from the others too. */
  readonly readings: readonly Reading[]
  readonly tester: Tester
  readonly experience: ShopExperience | null
}

/** How hard each blade of a steel is, by itself, at each stage it was read or filed at: as every view of a blade shows it. */
export function measuredBladesOf(
  batch: Batch,
  group: BatchGroup,
  { readings, tester, experience }: MeasuredSources,
): MeasuredBlades {
  const grade = gradeOf(group)
  const usual = grade && predict(grade, group.route, experience)
  const predictionOf = (blade: BatchBlade) =>
    grade && (blade.record.tempers?.length ?? 0) > 0 ? predict(grade, routeOfBlade(blade), experience) : usual
  return Object.fromEntries(
    bladesOf(batch, group.id).flatMap(blade => {
      const prediction = predictionOf(blade)
      const predicted = (stage: Stage) => (prediction ? predictionAt(prediction, stage) : null)
      const found = stagesOf(routeOfBlade(blade)).flatMap(
        stage => bladeHardness(blade, stage, { readings, tester, predicted }) ?? [],
      )
      return found.length > 0 ? [[blade.id, found]] : []
    }),
  )
}
