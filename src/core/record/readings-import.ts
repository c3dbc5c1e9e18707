import Papa from 'papaparse'
import { ROCKWELL } from '../../data/rockwell'
import { type Piece, piecesOf, routeOfPiece } from '../plan/tray'
import { fail, ok, type Problem, type Result } from '../result'
import { stagesOf } from '../rockwell/stages'
import type { Batch, Reading } from './schemas'

/** One reading of a file, matched to a blade and stage of the batch. */
export interface ImportedReading {
  readonly piece: string
  readonly groupId: string
  readonly stage: Reading['stage']
  readonly hrc: number
}

export interface ReadingsImport {
  readonly readings: readonly ImportedReading[]
  /** Rows left out, each with its line and why. */
  readonly skipped: readonly Problem[]
}

const COLUMNS = {
  piece: /^(blade|piece|mark|part|id|specimen)\b/i,
  stage: /^(stage|step|after)\b/i,
  hrc: /^(hrc|hardness|value|reading|result)\b/i,
} as const

/** Stages as people and testers write them. */
function stageFrom(text: string): Reading['stage'] | null {
  const word = text.trim().toLowerCase()
  if (/^(as[- ]?quenched|aq|quenched|hardened)$/.test(word)) return 'as-quenched'
  if (/^(after[- ]?cold|cold|sub-?zero|cryo)$/.test(word)) return 'after-cold'
  const temper = /(?:after )?(?:temper|t)[- ]?(\d)$/.exec(word)?.[1]
  return temper ? (`temper-${temper}` as Reading['stage']) : null
}

/**
 * Readings of a tester's file for the blades of a batch: columns named blade, stage and HRC in any order, comma, semicolon or tab,
 * decimal commas. A row that does not fit is left out and named. `stage` stands in where the file has no such column.
 * Errors: 'columns' (which are missing), 'nothing'.
 */
export function importReadings(text: string, batch: Batch, stage: Reading['stage']): Result<ReadingsImport> {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true })
  const head = data[0] ?? []
  const at = (name: keyof typeof COLUMNS) => head.findIndex(cell => COLUMNS[name].test(cell.trim()))
  const [pieceAt, stageAt, hrcAt] = [at('piece'), at('stage'), at('hrc')]
  const missing = [...(pieceAt < 0 ? ['blade'] : []), ...(hrcAt < 0 ? ['HRC'] : [])]
  if (missing.length > 0)
    return fail(
      'columns',
      `This file has no column ${missing.join(' and none ')}: its first line reads “${head.slice(0, 6).join(', ').slice(0, 120)}”. Name the columns blade, stage and HRC.`,
    )
  const pieces = new Map(piecesOf(batch).map(piece => [piece.mark.toUpperCase(), piece]))
  const readings: ImportedReading[] = []
  const skipped: Problem[] = []
  data.slice(1).forEach((row, i) => {
    const read = readRow(
      { piece: row[pieceAt] ?? '', stage: stageAt < 0 ? null : (row[stageAt] ?? ''), hrc: row[hrcAt] ?? '' },
      pieces,
      batch,
      stage,
    )
    const path = String(i + 2)
    if (read.ok) readings.push(read.value)
    else
      for (const problem of read.problems)
        skipped.push({ ...problem, message: `Line ${path}: ${problem.message}`, path })
  })
  return readings.length === 0
    ? fail('nothing', skipped[0] ? `No row could be used. ${skipped[0].message}` : 'This file has no rows of readings.')
    : ok({ readings, skipped })
}

/** One row as a reading of this batch. Errors: 'blade', 'stage', 'value'. */
function readRow(
  row: { readonly piece: string; readonly stage: string | null; readonly hrc: string },
  pieces: ReadonlyMap<string, Piece>,
  batch: Batch,
  standIn: Reading['stage'],
): Result<ImportedReading> {
  const piece = pieces.get(row.piece.trim().toUpperCase())
  if (!piece) return fail('blade', `there is no blade “${row.piece}” in this batch.`)
  const stage = row.stage === null ? standIn : stageFrom(row.stage)
  if (!stage) return fail('stage', `“${row.stage}” is no stage: as quenched, cold, temper 1 …`)
  if (!stagesOf(routeOfPiece(batch, piece)).includes(stage))
    return fail('stage', `${piece.mark} has no stage “${stage}” on its route.`)
  const hrc = Number(
    row.hrc
      .trim()
      .replace(/\s*HRC$/i, '')
      .replace(',', '.'),
  )
  if (row.hrc.trim() === '' || Number.isNaN(hrc)) return fail('value', `“${row.hrc}” is not a number.`)
  if (hrc < ROCKWELL.plausible.min || hrc > ROCKWELL.plausible.max) return fail('value', `${hrc} HRC cannot be.`)
  return ok({ piece: piece.mark, groupId: piece.group.id, stage, hrc })
}
