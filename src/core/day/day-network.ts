import type { TaskKind } from './task-kinds'

export interface NetworkTask {
  readonly kind: TaskKind
  readonly run: number
  /** Which load of the run, for load and pull. */
  readonly load: number | null
  readonly groups: readonly number[]
  /** Round of a temper, from 1. */
  readonly round: number | null
  readonly durationMin: number
  /** Nothing else is done beside it, however many hands there are. */
  readonly allHands?: boolean
}

/** Occupancy of an oven, from the task that opens it to the one that empties it. */
export interface Stay {
  readonly run: number
  readonly oven: number
  readonly first: number
  readonly last: number
  readonly inC: number
  readonly outC: number
  readonly count: number
  /** Tempers of one key may share a closing; null: nothing shares it. */
  readonly key: string | null
  readonly unit: number
  /** It is in already: what is in beside it went in with it. */
  readonly begun: boolean
}

/** Occupancy of the cold box. */
export interface BoxStay {
  readonly run: number
  readonly in: number
  readonly out: number
  readonly count: number
}

/**
 * A plan's tasks and what ties them: each start is at least another's and a lag, [from, to, lag]. Nothing ties two runs to each
 * other but hands, ovens and the box: those the search decides on.
 */
export interface Network {
  readonly tasks: readonly NetworkTask[]
  readonly arcs: readonly (readonly [from: number, to: number, lagMin: number])[]
  readonly stays: readonly Stay[]
  readonly box: readonly BoxStay[]
  /** The earliest each task can start, and the latest, by itself; and how long after hands came back. */
  readonly earliest: Float64Array
  readonly latest: Float64Array
  readonly lates: Float64Array
  /** Those that were done or are being done, at whatever hour. */
  readonly stood: Uint8Array
  /** From each task's start to the end of all that must follow it, at the least. */
  readonly tails: Float64Array
  /** Minutes between two stays of one oven, [stay][next stay]. */
  readonly setups: readonly Float64Array[]
  readonly runs: number
}
