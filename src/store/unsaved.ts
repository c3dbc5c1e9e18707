import type { WorkshopData } from '../core/files/exchange'
import type { Batch } from '../core/shop/batch'
import { partBatch } from '../core/shop/batch-records'
import type { Run } from '../core/shop/run'
import { refusedRows, type UnsavedRows } from './save-state'
import { unsavedBatches } from './unsaved-batches'
import { unsavedRuns } from './unsaved-runs'

/** Everything of this page that the browser would not store. */
export interface Unsaved {
  readonly batches: readonly Batch[]
  readonly runs: readonly Run[]
  readonly rows: UnsavedRows
}

/** Returns what this page holds and the browser would not store. */
export const unsavedNow = (): Unsaved => ({
  batches: [...unsavedBatches.get().values()],
  runs: [...unsavedRuns.get().values()].flatMap(({ whole }) => whole ?? []),
  rows: refusedRows(),
})

const laidOver = <T extends { readonly id: string }>(stored: readonly T[], over: readonly T[]): T[] => {
  const ids = new Set(over.map(one => one.id))
  return [...stored.filter(one => !ids.has(one.id)), ...over]
}

/** Returns everything stored with what could not be stored laid over it. */
export function withUnsaved(data: WorkshopData, { batches, runs, rows }: Unsaved): WorkshopData {
  const parts = batches.map(partBatch)
  const ids = new Set(parts.map(part => part.record.id))
  return {
    ...data,
    batches: laidOver(
      data.batches,
      parts.map(part => part.record),
    ),
    blades: [...data.blades.filter(blade => !ids.has(blade.batchId)), ...parts.flatMap(part => part.blades)],
    runs: laidOver(data.runs, runs),
    readings: laidOver(data.readings, rows.readings ?? []),
    pictures: laidOver(data.pictures, rows.pictures ?? []),
  }
}
