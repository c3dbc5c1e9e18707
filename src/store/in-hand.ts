import { useLiveQuery } from 'dexie-react-hooks'
import type { Batch } from '../core/shop/batch'
import { withBlades } from '../core/shop/batch-records'
import type { Run } from '../core/shop/run'
import { db } from './database'
import { useWithUnsaved } from './run-hooks'

/** Batches changed last that are in hand, whatever became of them. */
const NEWEST = 40

/** What is still to be done or was done last: everything else of a long log is left unread. */
export interface InHand {
  /** Batches nothing was read of yet, and those that changed last; newest first. */
  readonly batches: readonly Batch[]
  /** Their runs in the shop, and in practice, newest first. */
  readonly runs: readonly Run[]
  readonly practices: readonly Run[]
  /** Ids of those that something was read of. */
  readonly measured: ReadonlySet<string>
}

const TABLES = () => [db.batches, db.blades, db.readings, db.runs] as const

/** `further`: ids of batches that are wanted as well, however old. */
const readInHand = (further: readonly string[]): Promise<Omit<InHand, 'practices'>> =>
  db.transaction('r', TABLES(), async () => {
    const everRead = new Set(await db.readings.orderBy('batchId').uniqueKeys())
    const unread = (await db.batches.toCollection().primaryKeys()).filter(id => !everRead.has(id))
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
      db.readings
        .where('batchId')
        .anyOf(ids)
        .filter(reading => reading.deletedAt === null)
        .toArray(),
    ])
    return {
      batches: withBlades(
        records.sort((a, b) => b.updatedAt.localeCompare(a.updatedAt)),
        blades,
      ),
      runs: runs.sort((a, b) => b.startedAt.localeCompare(a.startedAt)),
      measured: new Set(readings.map(reading => reading.batchId)),
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
