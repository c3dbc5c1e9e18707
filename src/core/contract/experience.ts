import type { ShopMemory } from '../learn/shop-memory'
import type { Batch, BatchGroup } from '../shop/batch'
import type { ShopExperience } from '../steel/predict'

/** Returns the correction by the shop's readings for one steel, or null if learning is switched off or does not help. */
export const experienceOf = (
  memory: ShopMemory,
  batch: Pick<Batch, 'id' | 'ovenId'>,
  group: Pick<BatchGroup, 'lot'>,
  learning: boolean,
): ShopExperience | null =>
  learning ? memory.experience({ lot: group.lot ?? '', ovenId: batch.ovenId ?? '', exceptBatchId: batch.id }) : null
