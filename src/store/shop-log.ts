import type { ShopLog } from '../core/learn/shop-memory'
import { withBlades } from '../core/shop/batch-records'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { db } from './database'

/** The whole log that the shop learns from, as it is stored now. */
export const readShopLog = (): Promise<ShopLog> =>
  db.transaction('r', db.batches, db.blades, db.readings, db.shop, async () => ({
    batches: withBlades(
      await db.batches.filter(batch => batch.deletedAt === null).toArray(),
      await db.blades.toArray(),
    ),
    readings: await db.readings
      .orderBy('at')
      .filter(reading => reading.deletedAt === null)
      .toArray(),
    tester: ((await db.shop.get('shop')) ?? DEFAULT_WORKSHOP).tester,
  }))
