import { stateOf } from '../batch/blade-state'
import { stagesOf } from '../batch/hardness-stages'
import { bladesOf, routeOfBlade } from '../batch/tray'
import { bladeHardness } from '../hardness/hardness'
import { groupBy } from '../numeric/group-by'
import type { Batch } from '../shop/batch'
import type { Reading } from '../shop/reading'
import type { Tester } from '../shop/workshop'
import { csvOf, temperText } from './csv'

const COLUMNS = [
  'serial',
  'mark',
  'batch',
  'begun',
  'grade',
  'length_mm',
  'width_mm',
  'thickness_mm',
  'austenitize_c',
  'soak_min',
  'cold_c',
  'tempers',
  'stage',
  'hrc',
  'state',
  'why',
  'to',
] as const

/**
 * Blades as CSV with a header (RFC 4180), one a line, batches in the order given: size, route, and how hard each was at the last stage
 * it was read at, corrected as everywhere. Cells that a spreadsheet would take for a formula are kept as text.
 */
export function bladesCsv(batches: readonly Batch[], readings: readonly Reading[], tester: Tester): string {
  const byBatch = groupBy(readings, reading => reading.batchId)
  const rows = batches.flatMap(batch => {
    const evidence = { readings: byBatch.get(batch.id) ?? [], tester }
    return bladesOf(batch).map(blade => {
      const route = routeOfBlade(blade)
      const measured = stagesOf(route)
        .map(stage => [stage, bladeHardness(blade, stage, evidence)] as const)
        .findLast(([, hardness]) => hardness !== null)
      const last = blade.record.states?.at(-1)
      return {
        serial: blade.serial,
        mark: blade.mark,
        batch: batch.name,
        begun: batch.createdAt,
        grade: blade.group.gradeName,
        length_mm: blade.line.lengthMm,
        width_mm: blade.line.widthMm,
        thickness_mm: blade.line.thicknessMm,
        austenitize_c: route.austenitizeC,
        soak_min: route.soakMin,
        cold_c: route.cold?.toC ?? '',
        tempers: temperText(route.tempers),
        stage: measured?.[0] ?? '',
        hrc: measured?.[1]?.hrc.toFixed(1) ?? '',
        state: stateOf(blade.record),
        why: last?.why ?? '',
        to: last?.to ?? '',
      }
    })
  })
  return csvOf(rows, COLUMNS)
}
