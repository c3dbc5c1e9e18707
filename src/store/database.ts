import Dexie, { type DBCore, type EntityTable, type Transaction } from 'dexie'
import type { StoredDifference } from '../core/joining/join-logs'
import type { StampRow } from '../core/joining/stamp'
import type { BatchRecord } from '../core/shop/batch'
import type { Blade } from '../core/shop/blade'
import type { GradeSheet } from '../core/shop/grade-sheet'
import type { OvenLog } from '../core/shop/oven-log'
import type { Picture } from '../core/shop/picture'
import type { Reading } from '../core/shop/reading'
import type { Recipe } from '../core/shop/recipe'
import type { Run } from '../core/shop/run'
import type { Workshop } from '../core/shop/workshop'
import { stampingEdits } from './stamp-edits'
import { stampingLog } from './stamp-log'
import type { UPGRADES } from './upgrades'

export interface Meta {
  readonly key: string
  readonly value: string
}

/** The library counts the browser's own version in tenths of its own. */
const NATIVE_STEP = 10

/** A write to data that a newer version of the application has brought further. */
export class NewerDataError extends Error {
  override readonly name = 'NewerDataError'
}

/**
 * The workshop's data in this browser. Every change of shape is a further version with an upgrade; versions that
 * were ever released are never edited.
 */
export class WorkshopDatabase extends Dexie {
  declare batches: EntityTable<BatchRecord, 'id'>
  declare blades: EntityTable<Blade, 'id'>
  declare readings: EntityTable<Reading, 'id'>
  declare recipes: EntityTable<Recipe, 'id'>
  declare runs: EntityTable<Run, 'id'>
  /** The maker's own grades. */
  declare ownGrades: EntityTable<GradeSheet, 'id'>
  /** Measured logs of the ovens. */
  declare logs: EntityTable<OvenLog, 'id'>
  declare pictures: EntityTable<Picture, 'id'>
  declare shop: EntityTable<Workshop, 'id'>
  /** When and where each part of a record was changed last. */
  declare stamps: EntityTable<StampRow, 'id'>
  /** Parts that were changed on two screens: which was taken, and what the other was. */
  declare differences: EntityTable<StoredDifference, 'key'>
  declare meta: EntityTable<Meta, 'key'>

  constructor(name = 'tawny-ember') {
    super(name)
    this.version(1).stores({
      batches: 'id, updatedAt',
      readings: 'id, batchId, at',
      recipes: 'id, gradeName',
      runs: 'id, batchId, startedAt',
      shop: 'id',
      meta: 'key',
    })
    this.version(2).stores({ grades: 'name' })
    this.version(3).stores({ logs: 'id, ovenId, batchId' }).upgrade(broughtTo(3))
    this.version(4).stores({}).upgrade(broughtTo(4))
    // Blades, ovens and grades are known by ids. A table's key cannot change, so the maker's grades move to a table of their own.
    this.version(5)
      .stores({
        blades: 'id, batchId, serial',
        readings: 'id, batchId, bladeId, at',
        recipes: 'id, gradeId',
        ownGrades: 'id, name',
      })
      .upgrade(broughtTo(5))
    this.version(6).stores({ grades: null })
    this.version(7).stores({}).upgrade(broughtTo(7))
    this.version(8).stores({}).upgrade(broughtTo(8))
    this.version(9).stores({ runs: 'id, *batchIds, startedAt' }).upgrade(broughtTo(9))
    this.version(10).stores({ pictures: 'id, bladeId, batchId' })
    // What a long log is asked for most is found without reading all of it: the newest batches, and blades whose edge was tested.
    this.version(11).stores({ batches: 'id, updatedAt, createdAt', blades: 'id, batchId, serial, edgeTests.length' })
    // From here on every change of the log is stamped: a version that does not stamp only reads.
    this.version(12).stores({})
    // Only what was deleted stands in this index: those that are there are known without reading any.
    this.version(13).stores({ batches: 'id, updatedAt, createdAt, deletedAt' })
    // From here on each change of a record is stamped beside it, and two screens’ logs are joined by that.
    this.version(14).stores({ stamps: 'id', differences: 'key' })
    // From here on a cut of foil is noted beside the roll's count: a version that knows only the count would show too much.
    this.version(15).stores({})
    this.use({ stack: 'dbcore', name: 'stamps-edits', create: stampingEdits })
    this.use({ stack: 'dbcore', name: 'stamps-log', create: stampingLog })
    this.use({ stack: 'dbcore', name: 'newer-is-read-only', create: core => this.readOnlyWhereNewer(core) })
  }

  /** Whether a newer version of the application has brought these data further than this one knows. */
  get isNewer(): boolean {
    const stored = this.backendDB()?.version
    return stored !== undefined && Math.floor(stored / NATIVE_STEP) > this.verno
  }

  /** Data of a newer version are shown and never written: fields this one does not know would be dropped. */
  private readOnlyWhereNewer(core: DBCore): DBCore {
    return {
      ...core,
      table: name => {
        const table = core.table(name)
        return {
          ...table,
          mutate: request => (this.isNewer ? Promise.reject(new NewerDataError()) : table.mutate(request)),
        }
      },
    }
  }
}

/**
 * Brings older data to a version, in the transaction that opens them. Few pages ever meet any: what does it is fetched by those,
 * and the transaction held open meanwhile. Where it cannot be fetched nothing is changed, and the next page tries again.
 */
const broughtTo = (version: keyof typeof UPGRADES) => (transaction: Transaction) =>
  Dexie.waitFor(import('./upgrades')).then<unknown>(part => part.UPGRADES[version](transaction))

export const db = new WorkshopDatabase()
