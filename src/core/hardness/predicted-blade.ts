import { bladeRouteAsRun, withSoak } from '../batch/route-as-run'
import type { BatchBlade } from '../batch/tray'
import type { BatchGroup } from '../shop/batch'
import { gradeOf } from '../steel/grades'
import { type Prediction, predict, type ShopExperience } from '../steel/predict'

type Grouped = Pick<BatchGroup, 'gradeId' | 'gradeName' | 'sheet' | 'route'>

/** Returns the prediction of a group's blades for a soak of so many minutes, or null if its grade is unknown. */
export function predictedAtSoak(
  group: Grouped,
  soakMin: number,
  experience: ShopExperience | null = null,
): Prediction | null {
  const grade = gradeOf(group)
  return grade ? predict(grade, withSoak(group.route, soakMin), experience) : null
}

/**
 * Returns the prediction of one blade: its own tempers, and its own soak where a run measured it. The only source of a blade's
 * predicted hardness: pull list, run, advice, blade page and certificate ask for it. Null if its grade is unknown.
 */
export function predictedBlade(blade: BatchBlade, experience: ShopExperience | null): Prediction | null {
  const grade = gradeOf(blade.group)
  return grade ? predict(grade, bladeRouteAsRun(blade), experience) : null
}
