import type { WhyNot } from './limits'
import type { TaskKind } from './task-kinds'

/** One thing hands do; a temper with all that shares its closing. */
export interface PlannedTask {
  readonly kind: TaskKind
  /** Which load, for load and pull. */
  readonly load: number | null
  readonly groups: readonly string[]
  /** The round of each group, for a temper: a closing may mix them. */
  readonly rounds: Readonly<Record<string, number>> | null
  readonly startMin: number
  readonly endMin: number
  /** The second pair of hands does it, while the first is at something else. */
  readonly byHelper: boolean
}

export interface PlannedLoad {
  readonly groups: readonly string[]
  readonly austenitizeC: number
  readonly entryC: number
}

export interface DayPlan {
  readonly finishMin: number
  /** No plan ends before this. */
  readonly lowerBoundMin: number
  readonly proven: boolean
  readonly loads: readonly PlannedLoad[]
  /** In order of their start. */
  readonly tasks: readonly PlannedTask[]
}

export type DayAnswer =
  | { readonly feasible: true; readonly plan: DayPlan }
  /** `nearest`: the plan without the limit that makes it impossible, where there is one. */
  | { readonly feasible: false; readonly why: WhyNot; readonly nearest: DayPlan | null }

/** Options of a day plan. */
export interface PlanOptions {
  /** How much may be looked at: visits of a task's start. Some two million a second on a small machine. */
  readonly visits: number
  readonly seed?: number
  /** Returns the cost of a plan: among plans that end at the same time the cheapest is taken. Absent: cost is ignored. */
  readonly costOf?: (plan: DayPlan) => number
  /** Told each time a better plan is found. */
  readonly onBetter?: (plan: DayPlan) => void
}
