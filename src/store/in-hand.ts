import { useLiveQuery } from 'dexie-react-hooks'
import { compareInstants } from '../core/numeric/instants'
import type { Batch } from '../core/shop/batch'
import { withBlades } from '../core/shop/batch-records'
import { db } from './database'
import { bladesOfBatches, idsThere, neverRead, readingsOfBatches } from './of-batches'

/** Batches changed last that are in hand, whatever became of them. */
const NEWEST = 40

/** A batch nothing was read of since so long waits for nothing any more, days. */
const UNREAD_DAYS = 730
const DAY_MS = 86_400_000

/** Batches still to be done, or done last: the rest of a long log is not read. */
export interface InHand {
  /** Batches begun in the last two years that nothing was read of, and those that changed last; newest first. */
  readonly batches: readonly Batch[]
  /** Ids of those that something was read of. */
  readonly measured: ReadonlySet<string>
}

/** `further`: ids of batches that are wanted as well, however old. */
async function readInHand(further: readonly string[]): Promise<InHand> {
  const since = new Date(Date.now() - UNREAD_DAYS * DAY_MS).toISOString()
  const [there, unread] = await Promise.all([
    idsThere(),
    db.batches.where('createdAt').above(since).primaryKeys().then(neverRead),
  ])
  const ids = [...new Set([...further, ...there.slice(0, NEWEST), ...unread])]
  return db.transaction('r', db.batches, db.blades, db.readings, async () => {
    const records = (await db.batches.bulkGet(ids)).flatMap(batch => (batch && batch.deletedAt === null ? [batch] : []))
    const [blades, readings] = await Promise.all([bladesOfBatches(ids), readingsOfBatches(ids)])
    return {
      batches: withBlades(
        records.sort((a, b) => compareInstants(b.updatedAt, a.updatedAt)),
        blades,
      ),
      measured: new Set(readings.map(reading => reading.batchId)),
    }
  })
}

/** Returns the batches in hand; undefined while loading. Storage that cannot be read counts as empty; the banner says why. */
export function useInHand(further: readonly string[] = []): InHand | undefined {
  const key = [...new Set(further)].join(' ')
  return useLiveQuery(
    () => readInHand(key === '' ? [] : key.split(' ')).catch(() => ({ batches: [], measured: new Set<string>() })),
    [key],
  )
}
