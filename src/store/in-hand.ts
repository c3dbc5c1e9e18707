import { useLiveQuery } from 'dexie-react-hooks'
import type { Batch } from '../core/shop/batch'
import { withBlades } from '../core/shop/batch-records'
import { compareInstants } from '../core/shop/instants'
import { db } from './database'
import { bladesOfBatches, readingsOfBatches } from './of-batches'

/** Batches changed last that are in hand, whatever became of them. */
const NEWEST = 40

/** A batch nothing was read of since so long waits for nothing any more, days. */
const UNREAD_DAYS = 730
const DAY_MS = 86_400_000

/** What is still to be done or was done last: everything else of a long log is left unread. */
export interface InHand {
  /** Batches begun in the last two years that nothing was read of, and those that changed last; newest first. */
  readonly batches: readonly Batch[]
  /** Ids of those that something was read of. */
  readonly measured: ReadonlySet<string>
}

/** Those of some batches that nothing was ever read of. Each is looked up: to go through all readings takes longer. */
async function neverRead(ids: readonly string[]): Promise<string[]> {
  const read = await Promise.all(ids.map(id => db.readings.where('batchId').equals(id).limit(1).primaryKeys()))
  return ids.filter((_, i) => read[i]?.length === 0)
}

/** Those that changed last and are there. Their ids come at one go: a cursor that goes back takes several times as long. */
async function changedLast(): Promise<string[]> {
  const ids = (await db.batches.orderBy('updatedAt').primaryKeys()).reverse()
  for (let most = NEWEST; ; most *= 2) {
    const records = await db.batches.bulkGet(ids.slice(0, most))
    const there = records.flatMap(batch => (batch && batch.deletedAt === null ? [batch.id] : []))
    if (there.length >= NEWEST || most >= ids.length) return there.slice(0, NEWEST)
  }
}

/** `further`: ids of batches that are wanted as well, however old. */
const readInHand = (further: readonly string[]): Promise<InHand> =>
  db.transaction('r', db.batches, db.blades, db.readings, async () => {
    const since = new Date(Date.now() - UNREAD_DAYS * DAY_MS).toISOString()
    const unread = await neverRead(await db.batches.where('createdAt').above(since).primaryKeys())
    const ids = [...new Set([...further, ...(await changedLast()), ...unread])]
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

/** What is in hand; undefined while loading. Storage that cannot be read counts as empty; the banner says why. */
export function useInHand(further: readonly string[] = []): InHand | undefined {
  const key = [...new Set(further)].join(' ')
  return useLiveQuery(
    () => readInHand(key === '' ? [] : key.split(' ')).catch(() => ({ batches: [], measured: new Set<string>() })),
    [key],
  )
}
