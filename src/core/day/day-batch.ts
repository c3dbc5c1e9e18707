import type { BladeProgress } from '../batch/blade-progress'
import type { BatchBlade } from '../batch/tray'
import type { Batch } from '../shop/batch'
import type { Workshop } from '../shop/workshop'
import type { Window } from './problem'

/** Where a blade stands, since when, and when it was loaded, min. */
export interface BladeAt extends Pick<BladeProgress, 'kind' | 'round'> {
  readonly atMin: number
  readonly loadedMin: number
}

/** A batch on a day, times in min from the day's origin. */
export interface DayBatch {
  readonly batch: Batch
  /** Where its blades stand, by id; those not begun are not in it. */
  readonly progress: ReadonlyMap<string, BladeAt>
  /** A run of it has begun and is not over. */
  readonly running: boolean
  readonly notBeforeMin: number
  readonly notAfterMin: number
  readonly deadlineMin: number | null
  /** Blades in a heat before their hardening, by id, and since when, min; absent: none. */
  readonly heatedInMin?: ReadonlyMap<string, number>
}

export interface ShopDay {
  readonly batches: readonly DayBatch[]
  readonly shop: Workshop
  readonly work: readonly Window[]
  /** When a second pair of hands is there. */
  readonly helper: readonly Window[]
  /** When electricity costs less. */
  readonly cheap: readonly Window[]
  readonly nowMin: number
  readonly heatsAlone: boolean
}

/** Blades of one batch that are one group of the day. */
export interface ShopGroup {
  readonly id: string
  readonly batchId: string
  readonly blades: readonly BatchBlade[]
}
