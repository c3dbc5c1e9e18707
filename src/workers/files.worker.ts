import { expose } from 'comlink'
import type { Problem } from '../core/codes/problem'
import { ok, type Result } from '../core/codes/result'
import type { Adoption } from '../core/files/adopt'
import { bladesCsv } from '../core/files/blades-csv'
import { decodeText } from '../core/files/encoding'
import { type Exchange, exportText, parseExchange } from '../core/files/exchange'
import { type LooseEnd, looseEndsOf } from '../core/files/loose-ends'
import { oldRecords, type RecordColumns, type RecordUnits } from '../core/files/old-records'
import { batchKeyOf, recordsAsData } from '../core/files/old-records-data'
import { readingsCsv } from '../core/files/readings-csv'
import type { Batch } from '../core/shop/batch'
import { gradesWith } from '../core/steel/grades'
import { addAll, batchesOf, readAll, replaceAll, withUnsaved } from '../store/backup'
import { saveTrouble } from '../store/save-state'

/** What a workshop file holds, as it is said before anything of it is stored. */
export interface OpenedFile {
  readonly shopName: string
  readonly exportedAt: string
  readonly counts: Readonly<Record<'batches' | 'blades' | 'readings' | 'recipes' | 'runs', number>>
  readonly looseEnds: readonly LooseEnd[]
}

export type Stored<T> = { readonly stored: T } | { readonly problem: Problem | null }

/** The file that was read last: it stays here and is stored from here. */
let opened: Exchange | null = null

const refused = (): Stored<never> => ({ problem: saveTrouble.get()?.problem ?? null })

const door = {
  /** Reads a workshop file and checks all of it; nothing is stored yet. */
  open: async (file: Blob): Promise<Result<OpenedFile>> => {
    const parsed = parseExchange(decodeText(new Uint8Array(await file.arrayBuffer())))
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
  add: async (): Promise<Stored<Omit<Adoption, 'data'>>> => {
    const adopted = opened && (await addAll(opened))
    return adopted ? { stored: { ovens: adopted.ovens, serials: adopted.serials } } : refused()
  },
  replace: async (): Promise<Stored<true>> =>
    opened && (await replaceAll(opened)).saved ? { stored: true } : refused(),
  /** Old notes into the log, in one go or not at all; batches that are there already by day and name are left out. */
  addRecords: async (
    rows: readonly (readonly string[])[],
    columns: RecordColumns,
    units: RecordUnits,
  ): Promise<Stored<{ readonly batches: number; readonly blades: number; readonly known: number }>> => {
    const here = await readAll()
    const read = oldRecords(rows, columns, units, gradesWith(here.grades))
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
    if (!(await addAll(added))) return refused()
    const [batches, blades] = [added.batches.length, added.blades.length]
    return { stored: { batches, blades, known: data.batches.length - batches } }
  },
  /** Every reading, or every blade, of the log as it is stored now, as CSV. */
  table: async (of: 'readings' | 'blades'): Promise<Blob> => {
    const data = await readAll()
    const batches = batchesOf(data)
    const { readings, shop } = data
    const text = of === 'readings' ? readingsCsv(readings, batches) : bladesCsv(batches, readings, shop.tester)
    return new Blob([text], { type: 'text/csv' })
  },
  /** Everything stored as a workshop file, with what could not be stored. */
  save: async (unsaved: readonly Batch[], exportedAt: string): Promise<Blob> =>
    new Blob([exportText(withUnsaved(await readAll(), unsaved), exportedAt)], { type: 'application/json' }),
}

export type FilesDoor = typeof door
expose(door)
