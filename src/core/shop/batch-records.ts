import { groupBy } from '../numeric/group-by'
import type { Batch, BatchRecord } from './batch'
import type { Blade } from './blade'

/** Batches with their blades, as everything outside the storage knows them. Blades of no batch among them are left aside. */
export function withBlades(records: readonly BatchRecord[], blades: readonly Blade[]): Batch[] {
  const byBatch = groupBy(blades, blade => blade.batchId)
  return records.map(record => ({ ...record, blades: byBatch.get(record.id) ?? [] }))
}

/** A batch parted into its record and those of its blades, as they are stored. */
export function partBatch({ blades, ...record }: Batch): { record: BatchRecord; blades: readonly Blade[] } {
  return { record, blades }
}
