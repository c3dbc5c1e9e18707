import { expose } from 'comlink'
import type { Problem } from '../core/codes/problem'
import { ok, type Result } from '../core/codes/result'
import { bladesCsv } from '../core/files/blades-csv'
import { decodeText } from '../core/files/encoding'
import type { Exchange } from '../core/files/exchange'
import { type LooseEnd, looseEndsOf } from '../core/files/loose-ends'
import {
  matchColumns,
  type OldRecord,
  oldRecords,
  type RecordColumns,
  type RecordUnits,
  readTable,
  unitsOf,
} from '../core/files/old-records'
import { batchesOfRecords, batchKeyOf, recordsAsData } from '../core/files/old-records-data'
import type { ImportedOutline } from '../core/files/outline/import-outline'
import type { ToldShare } from '../core/files/pieces'
import { parseExchange } from '../core/files/read-exchange'
import { readingsCsv } from '../core/files/readings-csv'
import { importReadings, type ReadingsImport } from '../core/files/readings-import'
import { exportPieces } from '../core/files/write-exchange'
import type { Added } from '../core/joining/join-logs'
import type { Batch } from '../core/shop/batch'
import type { Stage } from '../core/shop/route'
import { gradesWith } from '../core/steel/grades'
import { addAll, batchesOf, readAll, replaceAll } from '../store/backup'
import { db } from '../store/database'
import { saveTrouble } from '../store/save-state'
import { type Unsaved, withUnsaved } from '../store/unsaved'

/** Contents of a workshop file, said before anything of it is stored. */
export interface OpenedFile {
  readonly shopName: string
  readonly exportedAt: string
  readonly counts: Readonly<Record<'batches' | 'blades' | 'readings' | 'recipes' | 'runs', number>>
  readonly looseEnds: readonly LooseEnd[]
}

export type Stored<T> = { readonly stored: T } | { readonly problem: Problem | null }

/** A table of old notes, before it is said what its columns hold. */
export interface OpenedRecords {
  readonly head: readonly string[]
  readonly lines: number
  readonly columns: RecordColumns
  readonly units: RecordUnits
}

/** Shown of what was understood, and of what was left out. */
const SHOWN_RECORDS = 4

/** Preview of old notes: how much is understood, and the first of it. */
export interface ShownRecords {
  readonly blades: number
  readonly batches: number
  readonly records: readonly OldRecord[]
  readonly skipped: readonly Problem[]
  readonly moreSkipped: number
}

const textOf = async (file: Blob): Promise<string> => decodeText(new Uint8Array(await file.arrayBuffer()))

/** The notes that were read last, line by line. */
let recordRows: readonly (readonly string[])[] = []
/** The file that was read last: it stays here and is stored from here. */
let opened: Exchange | null = null

const refused = (): Stored<never> => ({ problem: saveTrouble.get()?.problem ?? null })

const door = {
  /** Reads a workshop file and checks all of it; nothing is stored yet. */
  open: async (file: Blob, told?: ToldShare): Promise<Result<OpenedFile>> => {
    const parsed = parseExchange(await textOf(file), told)
    if (!parsed.ok) return parsed
    opened = parsed.value
    const { shop, exportedAt, batches, blades, readings, recipes, runs } = opened
    const counts = {
      batches: batches.length,
      blades: blades.length,
      readings: readings.length,
      recipes: recipes.length,
      runs: runs.length,
    }
    return ok({ shopName: shop.name, exportedAt, counts, looseEnds: looseEndsOf(opened) })
  },
  add: async (told: ToldShare): Promise<Stored<Added>> => {
    const added = opened && (await addAll(opened, told))
    return added ? { stored: added } : refused()
  },
  replace: async (told: ToldShare): Promise<Stored<true>> => {
    const outcome = opened && (await replaceAll(opened, told))
    return outcome?.saved ? { stored: true } : { problem: outcome?.problems[0] ?? null }
  },
  /** Reads a table of old notes and keeps it here: what its columns seem to hold, and how its figures seem to be meant. */
  openRecords: async (file: Blob): Promise<Result<OpenedRecords>> => {
    const table = readTable(await textOf(file))
    if (!table.ok) return table
    const { head, rows } = table.value
    recordRows = rows
    const columns = matchColumns(head)
    return ok({ head, lines: rows.length, columns, units: unitsOf(head, rows, columns) })
  },
  /** Returns what is understood of the opened notes with these columns and units; nothing is stored yet. */
  showRecords: async (columns: RecordColumns, units: RecordUnits): Promise<Result<ShownRecords>> => {
    const read = oldRecords(recordRows, columns, units, gradesWith(await db.ownGrades.toArray()))
    if (!read.ok) return read
    const { records, skipped } = read.value
    return ok({
      blades: records.length,
      batches: batchesOfRecords(records).length,
      records: records.slice(0, SHOWN_RECORDS),
      skipped: skipped.slice(0, SHOWN_RECORDS),
      moreSkipped: Math.max(0, skipped.length - SHOWN_RECORDS),
    })
  },
  /** The opened notes into the log, in one go or not at all; batches that are there already by day and name are left out. */
  addRecords: async (
    columns: RecordColumns,
    units: RecordUnits,
    told: ToldShare,
  ): Promise<Stored<{ readonly batches: number; readonly blades: number; readonly known: number }>> => {
    const here = await readAll()
    const read = oldRecords(recordRows, columns, units, gradesWith(here.grades))
    if (!read.ok) return { problem: read.problems[0] ?? null }
    const serials = here.blades.map(blade => blade.serial)
    const data = recordsAsData(read.value.records, { shop: here.shop, serials, newId: () => crypto.randomUUID() })
    const there = new Set(here.batches.filter(batch => batch.deletedAt === null).map(batchKeyOf))
    const fresh = new Set(data.batches.filter(batch => !there.has(batchKeyOf(batch))).map(({ id }) => id))
    const added = {
      ...data,
      batches: data.batches.filter(({ id }) => fresh.has(id)),
      blades: data.blades.filter(({ batchId }) => fresh.has(batchId)),
      readings: data.readings.filter(({ batchId }) => fresh.has(batchId)),
    }
    if (!(await addAll(added, told))) return refused()
    const [batches, blades] = [added.batches.length, added.blades.length]
    return { stored: { batches, blades, known: data.batches.length - batches } }
  },
  /** A tester's list, as readings of a batch's blades. */
  readings: async (file: Blob, batch: Batch, stage: Stage): Promise<Result<ReadingsImport>> =>
    importReadings(await textOf(file), batch, stage),
  /** A drawing, as the outline of a blade. */
  outline: async (name: string, file: Blob): Promise<Result<ImportedOutline>> => {
    const { importOutline } = await import('../core/files/outline/import-outline')
    return importOutline(name, await textOf(file))
  },
  /** Every reading, or every blade, of the log as it is stored now, as CSV. */
  table: async (of: 'readings' | 'blades', told: ToldShare): Promise<Blob> => {
    const data = await readAll(told)
    const batches = batchesOf(data)
    const { readings, shop } = data
    const text = of === 'readings' ? readingsCsv(readings, batches) : bladesCsv(batches, readings, shop.tester)
    return new Blob([text], { type: 'text/csv' })
  },
  /** Everything stored as a workshop file, with what could not be stored. */
  save: async (unsaved: Unsaved, exportedAt: string, told: ToldShare): Promise<Blob> => {
    // It is read and then written: half of the way each.
    const data = withUnsaved(await readAll(share => told(share / 2)), unsaved)
    return new Blob([...exportPieces(data, exportedAt, share => told((1 + share) / 2))], { type: 'application/json' })
  },
}

export type FilesDoor = typeof door
expose(door)
