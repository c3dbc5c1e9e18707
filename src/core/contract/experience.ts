import type { ShopMemory } from '../learn/shop-memory'
import type { Batch, BatchGroup } from '../shop/batch'
import type { ShopExperience } from '../steel/predict'

/** What the shop's readings of other batches add to a steel of one; null where learning is switched off or does not help. */
export const experienceOf = (
  memory: ShopMemory,
  batch: Pick<Batch, 'id' | 'ovenId'>,
  group: Pick<BatchGroup, 'lot'>,
  learning: boolean,
): ShopExperience | null =>
  learning ? memory.experience({ lot: group.lot ?? '', ovenId: batch.ovenId ?? '', exceptBatchId: batch.id }) : null
