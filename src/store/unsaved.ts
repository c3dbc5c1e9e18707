import type { WorkshopData } from '../core/files/exchange'
import { stampsAfter } from '../core/joining/parts'
import { stampRowId, tickUs } from '../core/joining/stamp'
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

/**
 * Returns the stamps of a file with those of changes that were never stored: without them the older state would be taken where the file
 * is joined again. They are of a screen of their own, since this one's clock did not go on.
 */
function stampsOfUnsaved(
  { batches, blades, stamps, seen }: WorkshopData,
  parts: readonly ReturnType<typeof partBatch>[],
): Pick<WorkshopData, 'stamps' | 'seen'> {
  const screen = crypto.randomUUID()
  const atUs = tickUs(Date.now(), Math.max(0, ...Object.values(seen)))
  const rows = new Map(stamps.map(row => [row.id, row]))
  const stored = new Map<string, { readonly id: string }>([...batches, ...blades].map(row => [row.id, row]))
  const stamp = (table: 'batches' | 'blades', row: { readonly id: string }) => {
    const after = stampsAfter(table, row.id, [stored.get(row.id), row], rows.get(stampRowId(table, row.id)), [
      atUs,
      screen,
    ])
    if (after) rows.set(after.id, after)
  }
  for (const { record, blades } of parts) {
    stamp('batches', record)
    for (const blade of blades) stamp('blades', blade)
  }
  return { stamps: [...rows.values()], seen: parts.length > 0 ? { ...seen, [screen]: atUs } : seen }
}

/** Returns everything stored with what could not be stored laid over it. */
export function withUnsaved(data: WorkshopData, { batches, runs, rows }: Unsaved): WorkshopData {
  const parts = batches.map(partBatch)
  const ids = new Set(parts.map(part => part.record.id))
  return {
    ...data,
    ...stampsOfUnsaved(data, parts),
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
