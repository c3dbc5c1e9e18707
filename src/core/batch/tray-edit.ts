import type { Batch } from '../shop/batch'
import type { Blade, Line } from '../shop/blade'
import { bladesOf } from './tray'

/** A blade that was just put on the tray: its serial is given when it is stored. */
export const newBladeRecord = (id: string, batchId: string, lineId: string, number: number): Blade => ({
  id,
  batchId,
  lineId,
  number,
  serial: '',
  removedAt: null,
})

/** Marks run A, B, C …; after Z they are doubled. Marks whose blades would be taken for another's are passed over. */
export function nextMark(batch: Pick<Batch, 'lines' | 'blades' | 'groups'>): string {
  const used = new Set([...batch.lines, ...bladesOf(batch)].map(({ mark }) => mark.toUpperCase()))
  for (let i = 0; ; i++) {
    const mark = String.fromCharCode(65 + (i % 26)).repeat(1 + Math.floor(i / 26))
    if (!used.has(mark)) return mark
  }
}

const FIRST_SIZE = { lengthMm: 250, widthMm: 40, thicknessMm: 2.5, bevels: 'pre-ground' as const }

/** A further line of one blade, sized like the last. */
export function addLine(batch: Batch, groupId: string, newId: () => string): Batch {
  const { lengthMm, widthMm, thicknessMm, bevels } = batch.lines.at(-1) ?? FIRST_SIZE
  const line: Line = { id: newId(), groupId, mark: nextMark(batch), lengthMm, widthMm, thicknessMm, bevels }
  return {
    ...batch,
    lines: [...batch.lines, line],
    blades: [...batch.blades, newBladeRecord(newId(), batch.id, line.id, 1)],
  }
}

/**
 * As many blades on a line as were counted. Fewer: the last are taken off the tray, with all that is known of them. More: those
 * that were taken off come back first, then new ones.
 */
export function setCount(batch: Batch, lineId: string, count: number, newId: () => string, nowIso: string): Batch {
  const own = batch.blades.filter(blade => blade.lineId === lineId).sort((a, b) => a.number - b.number)
  const present = own.filter(blade => blade.removedAt === null)
  const leaving = new Set(present.slice(count).map(blade => blade.id))
  const gone = own.filter(blade => blade.removedAt !== null)
  const returning = new Set(gone.slice(0, Math.max(0, count - present.length)).map(blade => blade.id))
  const highest = own.at(-1)?.number ?? 0
  const fresh = Array.from({ length: Math.max(0, count - present.length - gone.length) }, (_, i) =>
    newBladeRecord(newId(), batch.id, lineId, highest + 1 + i),
  )
  return {
    ...batch,
    blades: [
      ...batch.blades.map(blade =>
        leaving.has(blade.id)
          ? { ...blade, removedAt: nowIso }
          : returning.has(blade.id)
            ? { ...blade, removedAt: null }
            : blade,
      ),
      ...fresh,
    ],
  }
}

/** Some equal blades of a thickness, mm, on an empty line of their own. */
export function layBlades(
  batch: Batch,
  groupId: string,
  { count, thicknessMm }: { readonly count: number; readonly thicknessMm: number },
  newId: () => string,
  nowIso: string,
): Batch {
  const added = addLine(batch, groupId, newId)
  const line = added.lines.at(-1) as Line
  const sized = { ...added, lines: added.lines.map(one => (one === line ? { ...one, thicknessMm } : one)) }
  return setCount(sized, line.id, count, newId, nowIso)
}

/** A line off the tray; its blades are kept as taken off, with all that is known of them. */
export const removeLine = (batch: Batch, lineId: string, nowIso: string): Batch => ({
  ...setCount(batch, lineId, 0, () => '', nowIso),
  lines: batch.lines.filter(line => line.id !== lineId),
})

/** A blade with something noted of it. */
export const editBlade = (batch: Batch, bladeId: string, change: (blade: Blade) => Blade): Batch => ({
  ...batch,
  blades: batch.blades.map(blade => (blade.id === bladeId ? change(blade) : blade)),
})
