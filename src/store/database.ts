import Dexie, { type DBCore, type EntityTable, type Transaction } from 'dexie'
import type { BatchRecord } from '../core/shop/batch'
import type { Blade } from '../core/shop/blade'
import type { GradeSheet } from '../core/shop/grade-sheet'
import type { OvenLog } from '../core/shop/oven-log'
import type { Picture } from '../core/shop/picture'
import type { Reading } from '../core/shop/reading'
import type { Recipe } from '../core/shop/recipe'
import type { Run } from '../core/shop/run'
import { workshopWithIds } from '../core/shop/upgrade-to-ids'
import { batchWithSetParts, logWithLoad, runWithBlades, shopWithOvens, shopWithSaid } from '../core/shop/upgrades'
import type { Workshop } from '../core/shop/workshop'
import { stampingLog } from './stamp-log'

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
    this.version(3)
      .stores({ logs: 'id, ovenId, batchId' })
      .upgrade(transaction =>
        transaction
          .table('shop')
          .toCollection()
          .modify((shop, ref) => {
            ref.value = shopWithOvens(shop)
          }),
      )
    this.version(4)
      .stores({})
      .upgrade(async transaction => {
        const batches = new Map((await transaction.table('batches').toArray()).map(batch => [batch.id, batch]))
        await transaction
          .table('logs')
          .toCollection()
          .modify((log, ref) => {
            ref.value = logWithLoad(log, batches.get(log.batchId))
          })
      })
    // Blades, ovens and grades are known by ids. A table's key cannot change, so the maker's grades move to a table of their own.
    this.version(5)
      .stores({
        blades: 'id, batchId, serial',
        readings: 'id, batchId, bladeId, at',
        recipes: 'id, gradeId',
        ownGrades: 'id, name',
      })
      .upgrade(toIds)
    this.version(6).stores({ grades: null })
    this.version(7)
      .stores({})
      .upgrade(transaction =>
        transaction
          .table('batches')
          .toCollection()
          .modify((batch, ref) => {
            ref.value = batchWithSetParts(batch)
          }),
      )
    this.version(8)
      .stores({})
      .upgrade(transaction =>
        transaction
          .table('shop')
          .toCollection()
          .modify((shop, ref) => {
            ref.value = shopWithSaid(shop)
          }),
      )
    this.version(9)
      .stores({ runs: 'id, *batchIds, startedAt' })
      .upgrade(async transaction => {
        const isDemo = (await transaction.table('shop').get('shop'))?.isDemo === true
        await transaction
          .table('runs')
          .toCollection()
          .modify((run, ref) => {
            ref.value = runWithBlades(run, isDemo)
          })
      })
    this.version(10).stores({ pictures: 'id, bladeId, batchId' })
    // What a long log is asked for most is found without reading all of it: the newest batches, and blades whose edge was tested.
    this.version(11).stores({ batches: 'id, updatedAt, createdAt', blades: 'id, batchId, serial, edgeTests.length' })
    // From here on every change of the log is stamped: a version that does not stamp only reads.
    this.version(12).stores({})
    // Only what was deleted stands in this index: those that are there are known without reading any.
    this.version(13).stores({ batches: 'id, updatedAt, createdAt, deletedAt' })
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

async function toIds(transaction: Transaction): Promise<void> {
  const rows = (table: string) => transaction.table(table).toArray()
  const [shop] = await rows('shop')
  const old = {
    shop: shop ?? {},
    batches: await rows('batches'),
    readings: await rows('readings'),
    recipes: await rows('recipes'),
    runs: await rows('runs'),
    grades: await rows('grades'),
    logs: await rows('logs'),
  }
  const now = workshopWithIds(old, crypto.randomUUID())
  if (shop) await transaction.table('shop').put(now.shop)
  await transaction.table('blades').bulkPut([...now.blades])
  await transaction.table('ownGrades').bulkPut([...now.grades])
  for (const table of ['batches', 'readings', 'recipes', 'runs'] as const)
    await transaction.table(table).bulkPut([...now[table]])
}

export const db = new WorkshopDatabase()
