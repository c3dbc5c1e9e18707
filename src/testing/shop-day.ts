import type { DayBatch } from '../core/day/day-batch'
import type { Batch } from '../core/shop/batch'

/** A batch of a day on which nothing of it was begun and nothing is set: it may be loaded at any time. */
export const dayBatchOf = (batch: Batch, change: Partial<DayBatch> = {}): DayBatch => ({
  batch,
  progress: new Map(),
  running: false,
  notBeforeMin: 0,
  notAfterMin: Number.POSITIVE_INFINITY,
  deadlineMin: null,
  ...change,
})
