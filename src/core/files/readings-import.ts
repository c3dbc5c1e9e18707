import Papa from 'papaparse'
import { ROCKWELL } from '../../data/rockwell'
import { stagesOf } from '../batch/hardness-stages'
import { type BatchBlade, bladesOf, routeOfBlade } from '../batch/tray'
import type { Problem } from '../codes/problem'
import { fail, ok, type Result } from '../codes/result'
import type { Batch } from '../shop/batch'
import type { Reading } from '../shop/reading'

/** One reading of a file, matched to a blade and stage of the batch. */
export interface ImportedReading {
  readonly bladeId: string
  readonly mark: string
  readonly stage: Reading['stage']
  readonly hrc: number
}

export interface ReadingsImport {
  readonly readings: readonly ImportedReading[]
  /** Rows left out, each with its line and why. */
  readonly skipped: readonly Problem[]
}

const COLUMNS = {
  blade: /^(blade|piece|mark|part|id|specimen)\b/i,
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

/** Headings that are said back where a column is missing. */
const MOST_HEADINGS = 6

/**
 * Readings of a tester's file for the blades of a batch: columns named blade, stage and HRC in any order, comma, semicolon or tab,
 * decimal commas. A row that does not fit is left out and named. `stage` stands in where the file has no such column.
 * Errors: 'readings-columns' (which are missing), 'readings-nothing'.
 */
export function importReadings(text: string, batch: Batch, stage: Reading['stage']): Result<ReadingsImport> {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true })
  const head = data[0] ?? []
  const at = (name: keyof typeof COLUMNS) => head.findIndex(cell => COLUMNS[name].test(cell.trim()))
  const [bladeAt, stageAt, hrcAt] = [at('blade'), at('stage'), at('hrc')]
  const missing = [...(bladeAt < 0 ? (['blade'] as const) : []), ...(hrcAt < 0 ? (['HRC'] as const) : [])]
  if (missing.length > 0)
    return fail('readings-columns', { missing, head: head.slice(0, MOST_HEADINGS).map(cell => cell.slice(0, 20)) })
  const blades = bladesOf(batch)
  const readings: ImportedReading[] = []
  const skipped: Problem[] = []
  data.slice(1).forEach((row, i) => {
    const read = readRow(
      { blade: row[bladeAt] ?? '', stage: stageAt < 0 ? null : (row[stageAt] ?? ''), hrc: row[hrcAt] ?? '' },
      blades,
      stage,
    )
    const path = String(i + 2)
    if (read.ok) readings.push(read.value)
    else skipped.push(...read.problems.map(found => ({ ...found, path })))
  })
  return readings.length === 0 ? fail('readings-nothing', { first: skipped[0] ?? null }) : ok({ readings, skipped })
}

/** One row as a reading of this batch; a blade is named by its serial or by its mark. Errors: 'row-…'. */
function readRow(
  row: { readonly blade: string; readonly stage: string | null; readonly hrc: string },
  blades: readonly BatchBlade[],
  standIn: Reading['stage'],
): Result<ImportedReading> {
  const name = row.blade.trim().toUpperCase()
  const named = blades.filter(b => b.serial.toUpperCase() === name)
  const found = named.length > 0 ? named : blades.filter(b => b.mark.toUpperCase() === name)
  const [blade] = found
  if (!blade) return fail('row-blade', { blade: row.blade })
  if (found.length > 1) return fail('row-two-blades', { mark: row.blade })
  const stage = row.stage === null ? standIn : stageFrom(row.stage)
  if (!stage) return fail('row-no-stage', { text: row.stage ?? '' })
  if (!stagesOf(routeOfBlade(blade)).includes(stage))
    return fail('row-stage-not-on-route', { mark: blade.mark, text: row.stage ?? stage })
  const hrc = Number(
    row.hrc
      .trim()
      .replace(/\s*HRC$/i, '')
      .replace(',', '.'),
  )
  if (row.hrc.trim() === '' || Number.isNaN(hrc)) return fail('row-value', { text: row.hrc })
  if (hrc < ROCKWELL.plausible.min || hrc > ROCKWELL.plausible.max) return fail('row-implausible', { hrc })
  return ok({ bladeId: blade.id, mark: blade.mark, stage, hrc })
}
