import Papa from 'papaparse'
import type { Batch, Reading } from './schemas'

/**
 * Readings as CSV with a header, one a line, newest last. Cells that a spreadsheet would take for a formula are
 * kept as text.
 */
export function readingsCsv(readings: readonly Reading[], batches: readonly Batch[]): string {
  const byId = new Map(batches.map(batch => [batch.id, batch]))
  const rows = [...readings]
    .filter(reading => reading.deletedAt === null)
    .sort((a, b) => a.at.localeCompare(b.at))
    .map(reading => {
      const batch = byId.get(reading.batchId)
      const group = batch?.groups.find(g => g.id === reading.groupId)
      return {
        at: reading.at,
        batch: batch?.name ?? '',
        grade: group?.gradeName ?? '',
        blade: reading.piece,
        stage: reading.stage,
        hrc: reading.hrc,
        austenitize_c: group?.route.austenitizeC ?? '',
        soak_min: group?.route.soakMin ?? '',
        cold_c: group?.route.cold?.toC ?? '',
        tempers: group?.route.tempers.map(t => `${t.atC} C ${t.holdMin} min`).join(' + ') ?? '',
      }
    })
  return Papa.unparse(rows, { columns: CSV_COLUMNS, escapeFormulae: true })
}

export const CSV_COLUMNS = [
  'at',
  'batch',
  'grade',
  'blade',
  'stage',
  'hrc',
  'austenitize_c',
  'soak_min',
  'cold_c',
  'tempers',
]
