import type { Batch, BatchGroup, Workshop } from '../../../core/record/schemas'
import type { StationName } from '../../../data/cautions'
import type { GroupPlan } from '../use-plan'

export interface BenchProps {
  readonly batch: Batch
  /** The group shown. */
  readonly plan: GroupPlan
  readonly plans: readonly GroupPlan[]
  readonly shop: Workshop
  readonly go: (station: StationName) => void
  /** Shows a route while it is dragged, before it is saved; null puts the saved one back. */
  readonly preview: (groupId: string, route: BatchGroup['route'] | null) => void
}

export const hrcText = (hrc: number): string => hrc.toFixed(1)
/** Half width of the 95 % band from one sigma. */
export const band95 = (sd: number): string => `± ${(1.96 * sd).toFixed(1)}`
export const percentText = (fraction: number): string => `${Math.round(fraction * 100)} %`
