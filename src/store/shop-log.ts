import type { ShopLog } from '../core/learn/shop-memory'
import { compareInstants } from '../core/numeric/instants'
import type { Batch } from '../core/shop/batch'
import { withBlades } from '../core/shop/batch-records'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import type { Reading } from '../core/shop/reading'
import { db } from './database'
import { readLogStamp } from './log-stamp'
import { bladesOfBatches, readingsOfBatches } from './of-batches'
import { LOG_TABLES } from './stamp-log'

const TABLES = () => [...LOG_TABLES.map(table => db.table(table)), db.meta]

/** The log with the stamp it had when it was read; null where it was not changed since there are stamps. */
export interface StampedLog {
  readonly log: ShopLog
  readonly stamp: string | null
}

const testerNow = async () => ((await db.shop.get('shop')) ?? DEFAULT_WORKSHOP).tester

const inOrder = (readings: readonly Reading[]): Reading[] => [...readings].sort((a, b) => compareInstants(a.at, b.at))

/** The whole log, as it is stored now. */
export const readShopLog = (): Promise<StampedLog> =>
  db.transaction('r', TABLES(), async () => {
    // Whole tables are read at one go and sifted here: a cursor over a long one takes several times as long.
    const batches = withBlades(
      (await db.batches.toArray()).filter(batch => batch.deletedAt === null),
      await db.blades.toArray(),
    )
    const readings = inOrder((await db.readings.toArray()).filter(reading => reading.deletedAt === null))
    return { log: { batches, readings, tester: await testerNow() }, stamp: await readLogStamp() }
  })

/** Batches that are read first of what may have to be read far back. */
const FIRST = 40

/**
 * The newest batches of the log with what was read of them, as far back as is enough; the whole log where it never is. Each further
 * look takes twice as many, so that a log that is never enough is not looked through too often.
 */
export const readNewestLog = (isEnough: (log: ShopLog) => boolean, first = FIRST): Promise<StampedLog> =>
  db.transaction('r', TABLES(), async () => {
    const tester = await testerNow()
    const newest = (await db.batches.orderBy('createdAt').primaryKeys()).reverse()
    let log: ShopLog = { batches: [], readings: [], tester }
    for (let [from, step] = [0, first]; ; from += step, step *= 2) {
      const records = await db.batches.bulkGet(newest.slice(from, from + step))
      const further = await readOf(records.flatMap(batch => (batch && batch.deletedAt === null ? [batch] : [])))
      log = { batches: [...log.batches, ...further.batches], readings: [...log.readings, ...further.readings], tester }
      if (records.length < step || isEnough(log)) break
    }
    return { log: { ...log, readings: inOrder(log.readings) }, stamp: await readLogStamp() }
  })

/** Some batches with their blades, and what was read of them. */
async function readOf(
  records: readonly Omit<Batch, 'blades'>[],
): Promise<{ readonly batches: Batch[]; readonly readings: Reading[] }> {
  const ids = records.map(batch => batch.id)
  const [blades, readings] = await Promise.all([bladesOfBatches(ids), readingsOfBatches(ids)])
  return { batches: withBlades(records, blades), readings }
}
