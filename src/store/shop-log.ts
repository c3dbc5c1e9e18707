import type { ShopLog } from '../core/learn/shop-memory'
import type { Batch } from '../core/shop/batch'
import { withBlades } from '../core/shop/batch-records'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import type { Reading } from '../core/shop/reading'
import { db } from './database'

const TABLES = () => [db.batches, db.blades, db.readings, db.shop] as const
const testerNow = async () => ((await db.shop.get('shop')) ?? DEFAULT_WORKSHOP).tester

/** The whole log, as it is stored now. */
export const readShopLog = (): Promise<ShopLog> =>
  db.transaction('r', TABLES(), async () => ({
    batches: withBlades(
      await db.batches.filter(batch => batch.deletedAt === null).toArray(),
      await db.blades.toArray(),
    ),
    readings: await db.readings
      .orderBy('at')
      .filter(reading => reading.deletedAt === null)
      .toArray(),
    tester: await testerNow(),
  }))

/** Batches read at once while it is looked how many are enough. */
const STEP = 40

/** The newest batches of the log with what was read of them, as far back as is enough; the whole log where it never is. */
export const readNewestLog = (isEnough: (log: ShopLog) => boolean): Promise<ShopLog> =>
  db.transaction('r', TABLES(), async () => {
    const tester = await testerNow()
    let log: ShopLog = { batches: [], readings: [], tester }
    for (let from = 0; ; from += STEP) {
      const records = await db.batches.orderBy('createdAt').reverse().offset(from).limit(STEP).toArray()
      const further = await readOf(records.filter(batch => batch.deletedAt === null))
      log = { batches: [...log.batches, ...further.batches], readings: [...log.readings, ...further.readings], tester }
      if (records.length < STEP || isEnough(log)) break
    }
    return { ...log, readings: [...log.readings].sort((a, b) => a.at.localeCompare(b.at)) }
  })

/** Some batches with their blades, and what was read of them in the order it was read. */
async function readOf(
  records: readonly Omit<Batch, 'blades'>[],
): Promise<{ readonly batches: Batch[]; readonly readings: Reading[] }> {
  const ids = records.map(batch => batch.id)
  const [blades, readings] = await Promise.all([
    db.blades.where('batchId').anyOf(ids).toArray(),
    db.readings
      .where('batchId')
      .anyOf(ids)
      .filter(reading => reading.deletedAt === null)
      .sortBy('at'),
  ])
  return { batches: withBlades(records, blades), readings }
}
