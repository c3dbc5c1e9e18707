import Dexie, { type EntityTable } from 'dexie'
import type { Batch, GradeSheet, OvenLog, Reading, Recipe, Run, Workshop } from '../core/record/schemas'
import { logWithLoad, shopWithOvens } from '../core/record/upgrades'

export interface Meta {
  readonly key: string
  readonly value: string
}

/**
 * The workshop's data in this browser. Every change of shape is a further version with an upgrade; versions that
 * were ever released are never edited.
 */
export class WorkshopDatabase extends Dexie {
  declare batches: EntityTable<Batch, 'id'>
  declare readings: EntityTable<Reading, 'id'>
  declare recipes: EntityTable<Recipe, 'id'>
  declare runs: EntityTable<Run, 'id'>
  /** The maker's own grades, by name. */
  declare grades: EntityTable<GradeSheet, 'name'>
  /** Measured logs of the ovens. */
  declare logs: EntityTable<OvenLog, 'id'>
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
  }
}

export const db = new WorkshopDatabase()
