import type { BatchGroup } from '../shop/batch'
import { gradeOf } from '../steel/grades'
import { predict } from '../steel/predict'

/** What another soak than planned does to a steel. */
export interface SoakEffect {
  readonly groupId: string
  readonly soakMin: number
  /** Of the finished blade, HRC. */
  readonly hrcChange: number
  /** Of the retained austenite as quenched, fraction. */
  readonly austeniteChange: number
  /** The grain is no longer held at this temperature: it grows with every minute. */
  readonly coarsens: boolean
}

/** What a soak of another length than planned does to a group's blades; null where its steel is not known. Min. */
export function soakEffect(group: BatchGroup, soakMin: number): SoakEffect | null {
  const grade = gradeOf(group)
  if (!grade) return null
  const planned = predict(grade, group.route)
  const real = predict(grade, { ...group.route, soakMin })
  return {
    groupId: group.id,
    soakMin,
    hrcChange: real.finalHrc.mean - planned.finalHrc.mean,
    austeniteChange: real.retainedAustenite.asQuenched - planned.retainedAustenite.asQuenched,
    coarsens: real.grainPinning < 1,
  }
}
