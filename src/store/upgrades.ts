import type { Transaction } from 'dexie'
import { workshopWithIds } from '../core/shop/upgrade-to-ids'
import { batchWithSetParts, logWithLoad, runWithBlades, shopWithOvens, shopWithSaid } from '../core/shop/upgrades'

// biome-ignore lint/suspicious/noExplicitAny: rows of older versions have the shapes of their time; what reads them looks at each.
type Row = any

/** Upgrades of stored data to a version, by its number; versions without one only add a table or an index. */
export const UPGRADES: Readonly<Record<3 | 4 | 5 | 7 | 8 | 9, (transaction: Transaction) => PromiseLike<unknown>>> = {
  3: transaction => eachOf(transaction, 'shop', shopWithOvens),
  4: async transaction => {
    const batches = new Map((await transaction.table('batches').toArray()).map(batch => [batch.id, batch]))
    await eachOf(transaction, 'logs', log => logWithLoad(log, batches.get(log.batchId)))
  },
  5: toIds,
  7: transaction => eachOf(transaction, 'batches', batchWithSetParts),
  8: transaction => eachOf(transaction, 'shop', shopWithSaid),
  9: async transaction => {
    const isDemo = (await transaction.table('shop').get('shop'))?.isDemo === true
    await eachOf(transaction, 'runs', run => runWithBlades(run, isDemo))
  },
}

const eachOf = (transaction: Transaction, table: string, brought: (row: Row) => unknown) =>
  transaction
    .table(table)
    .toCollection()
    .modify((row, ref) => {
      ref.value = brought(row)
    })

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
