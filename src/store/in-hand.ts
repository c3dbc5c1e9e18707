import { useLiveQuery } from 'dexie-react-hooks'
import type { Batch } from '../core/shop/batch'
import { withBlades } from '../core/shop/batch-records'
import type { Run } from '../core/shop/run'
import { db } from './database'
import { useWithUnsaved } from './run-hooks'

/** Batches changed last that are in hand, whatever became of them. */
const NEWEST = 40

/** A batch nothing was read of since so long waits for nothing any more, days. */
const UNREAD_DAYS = 730
const DAY_MS = 86_400_000

/** What is still to be done or was done last: everything else of a long log is left unread. */
export interface InHand {
  /** Batches begun in the last two years that nothing was read of, and those that changed last; newest first. */
  readonly batches: readonly Batch[]
  /** Their runs in the shop, and in practice, newest first. */
  readonly runs: readonly Run[]
  readonly practices: readonly Run[]
  /** Ids of those that something was read of. */
  readonly measured: ReadonlySet<string>
}

const TABLES = () => [db.batches, db.blades, db.readings, db.runs] as const

/** Those of some batches that nothing was ever read of. Each is looked up: to go through all readings takes longer. */
async function neverRead(ids: readonly string[]): Promise<string[]> {
  const read = await Promise.all(ids.map(id => db.readings.where('batchId').equals(id).limit(1).primaryKeys()))
  return ids.filter((_, i) => read[i]?.length === 0)
}

/** `further`: ids of batches that are wanted as well, however old. */
const readInHand = (further: readonly string[]): Promise<Omit<InHand, 'practices'>> =>
  db.transaction('r', TABLES(), async () => {
    const since = new Date(Date.now() - UNREAD_DAYS * DAY_MS).toISOString()
    const unread = await neverRead(await db.batches.where('createdAt').above(since).primaryKeys())
    const newest = await db.batches
      .orderBy('updatedAt')
      .reverse()
      .filter(batch => batch.deletedAt === null)
      .limit(NEWEST)
      .primaryKeys()
    const ids = [...new Set([...further, ...newest, ...unread])]
    const records = (await db.batches.bulkGet(ids)).flatMap(batch => (batch && batch.deletedAt === null ? [batch] : []))
    const [blades, runs, readings] = await Promise.all([
      db.blades.where('batchId').anyOf(ids).toArray(),
      db.runs.where('batchIds').anyOf(ids).distinct().toArray(),
      db.readings.where('batchId').anyOf(ids).toArray(),
    ])
    return {
      batches: withBlades(
        records.sort((a, b) => b.updatedAt.localeCompare(a.updatedAt)),
        blades,
      ),
      runs: runs.sort((a, b) => b.startedAt.localeCompare(a.startedAt)),
      measured: new Set(readings.flatMap(reading => (reading.deletedAt === null ? [reading.batchId] : []))),
    }
  })

const NOTHING: Omit<InHand, 'practices'> = { batches: [], runs: [], measured: new Set() }

/** What is in hand; undefined while loading. Storage that cannot be read counts as empty; the banner says why. */
export function useInHand(further: readonly string[] = []): InHand | undefined {
  const key = further.join(' ')
  const read = useLiveQuery(() => readInHand(key === '' ? [] : key.split(' ')).catch(() => NOTHING), [key])
  const runs = useWithUnsaved(read?.runs)
  if (!read || !runs) return undefined
  return {
    batches: read.batches,
    measured: read.measured,
    runs: runs.filter(run => run.mode === 'shop'),
    practices: runs.filter(run => run.mode === 'practice'),
  }
}
