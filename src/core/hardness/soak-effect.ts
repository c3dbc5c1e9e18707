import type { BatchGroup } from '../shop/batch'
import { predictedAtSoak } from './predicted-blade'

/** Effect of another soak than planned on a steel. */
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

/** Returns the effect of a soak of another length on a group's blades, min; null if its grade is unknown. */
export function soakEffect(group: BatchGroup, soakMin: number): SoakEffect | null {
  const planned = predictedAtSoak(group, group.route.soakMin)
  const real = predictedAtSoak(group, soakMin)
  return (
    planned &&
    real && {
      groupId: group.id,
      soakMin,
      hrcChange: real.finalHrc.mean - planned.finalHrc.mean,
      austeniteChange: real.retainedAustenite.asQuenched - planned.retainedAustenite.asQuenched,
      coarsens: real.grainPinning < 1,
    }
  )
}
