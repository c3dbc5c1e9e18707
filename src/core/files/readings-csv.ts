import { bladesOf, routeOfBlade } from '../batch/tray'
import { compareInstants } from '../numeric/instants'
import type { Batch } from '../shop/batch'
import type { Reading } from '../shop/reading'
import { csvOf, temperText } from './csv'

export const CSV_COLUMNS = [
  'at',
  'batch',
  'grade',
  'blade',
  'serial',
  'stage',
  'hrc',
  'austenitize_c',
  'soak_min',
  'cold_c',
  'tempers',
] as const

/**
 * Readings as CSV with a header, one a line, newest last. Cells that a spreadsheet would take for a formula are
 * kept as text. A reading that belongs to no blade keeps the mark it came with, and has no serial.
 */
export function readingsCsv(readings: readonly Reading[], batches: readonly Batch[]): string {
  const byId = new Map(batches.map(batch => [batch.id, batch]))
  const blades = new Map(batches.flatMap(batch => bladesOf(batch).map(blade => [blade.id, blade] as const)))
  const rows = [...readings]
    .filter(reading => reading.deletedAt === null)
    .sort((a, b) => compareInstants(a.at, b.at))
    .map(reading => {
      const blade = reading.bladeId === null ? undefined : blades.get(reading.bladeId)
      const route = blade && routeOfBlade(blade)
      return {
        at: reading.at,
        batch: byId.get(reading.batchId)?.name ?? '',
        grade: blade?.group.gradeName ?? '',
        blade: blade?.mark ?? reading.unplaced?.mark ?? '',
        serial: blade?.serial ?? '',
        stage: reading.stage,
        hrc: reading.hrc,
        austenitize_c: route?.austenitizeC ?? '',
        soak_min: route?.soakMin ?? '',
        cold_c: route?.cold?.toC ?? '',
        tempers: route ? temperText(route.tempers) : '',
      }
    })
  return csvOf(rows, CSV_COLUMNS)
}
