import { bladesOf, sharedMarks } from '../batch/tray'
import { groupBy } from '../numeric/group-by'
import { withBlades } from '../shop/batch-records'
import { gradeOf } from '../steel/grades'
import type { WorkshopData } from './exchange'

/** Something in a workshop that points nowhere, or at two things at once; named as it is known. */
export type LooseEnd =
  | { readonly kind: 'oven'; readonly batch: string; readonly oven: string }
  | { readonly kind: 'grade'; readonly batch: string; readonly grade: string }
  | { readonly kind: 'marks'; readonly batch: string; readonly marks: readonly string[] }
  | { readonly kind: 'readings'; readonly batch: string; readonly marks: readonly string[]; readonly count: number }
  | { readonly kind: 'notes'; readonly batch: string; readonly marks: readonly string[] }
  | {
      readonly kind: 'no-batch'
      readonly what: 'readings' | 'blades' | 'runs' | 'logs' | 'pictures'
      readonly count: number
    }

/** Everything that points nowhere in a workshop or a file of one: to be said by name, kept, and not guessed. */
export function looseEndsOf(data: WorkshopData): LooseEnd[] {
  const batches = withBlades(data.batches, data.blades)
  const known = new Set(batches.map(batch => batch.id))
  const ovens = new Set(data.shop.ovens.map(oven => oven.id))
  const readingsOf = groupBy(data.readings, reading => reading.batchId)
  const ends: LooseEnd[] = []
  for (const batch of batches) {
    if (batch.deletedAt !== null) continue
    const { name } = batch
    if (batch.ovenId === null || !ovens.has(batch.ovenId))
      ends.push({ kind: 'oven', batch: name, oven: batch.ovenName })
    for (const group of batch.groups)
      if (!gradeOf(group)) ends.push({ kind: 'grade', batch: name, grade: group.gradeName })
    const marks = sharedMarks(batch)
    if (marks.length > 0) ends.push({ kind: 'marks', batch: name, marks })
    const notes = (batch.unplaced ?? []).map(note => note.mark)
    if (notes.length > 0) ends.push({ kind: 'notes', batch: name, marks: notes })
    const blades = new Set([...bladesOf(batch).map(b => b.id), ...batch.blades.map(b => b.id)])
    const unplaced = (readingsOf.get(batch.id) ?? []).filter(
      r => r.deletedAt === null && (r.bladeId === null || !blades.has(r.bladeId)),
    )
    if (unplaced.length > 0)
      ends.push({
        kind: 'readings',
        batch: name,
        marks: [...new Set(unplaced.map(r => r.unplaced?.mark ?? ''))],
        count: unplaced.length,
      })
  }
  const batchless = {
    readings: data.readings.filter(r => !known.has(r.batchId)),
    blades: data.blades.filter(b => !known.has(b.batchId)),
    runs: data.runs.filter(run => run.batchIds.every(id => !known.has(id))),
    logs: data.logs.filter(l => l.batchId !== null && !known.has(l.batchId)),
    pictures: data.pictures.filter(p => !known.has(p.batchId)),
  }
  for (const what of ['readings', 'blades', 'runs', 'logs', 'pictures'] as const)
    if (batchless[what].length > 0) ends.push({ kind: 'no-batch', what, count: batchless[what].length })
  return ends
}
