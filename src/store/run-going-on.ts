import { useLiveQuery } from 'dexie-react-hooks'
import { problem } from '../core/codes/problem'
import type { Run } from '../core/shop/run'
import { db } from './database'
import { Unfit } from './save-state'

/** A run that nobody ended is forgotten after two days: it stands in the way of nothing then. */
const FORGOTTEN_AFTER_MS = 2 * 86_400_000

/** Returns the runs of the shop that are going on, in whatever tab. */
async function runsGoingOn(): Promise<Run[]> {
  const since = new Date(Date.now() - FORGOTTEN_AFTER_MS).toISOString()
  const lately = await db.runs.where('startedAt').above(since).toArray()
  return lately.filter(run => run.mode === 'shop' && run.endedAt === null)
}

/** Whether a run of the shop is going on; undefined while it is read. Where it cannot be read there is none. */
export const useRunGoingOn = (): boolean | undefined =>
  useLiveQuery(async () => (await runsGoingOn().catch(() => [])).length > 0, [])

/** Returns the first batch of a run of the shop that goes on; null where there is none, undefined while it is read. */
export const useBatchInRun = (): string | null | undefined =>
  useLiveQuery(async () => (await runsGoingOn().catch(() => [])).at(-1)?.batchIds[0] ?? null, [])

/**
 * Throws Unfit where a change would take something away from a hot run. Runs inside a transaction on batches and runs.
 * `isOf`: whether the change takes away what this run needs.
 */
export async function refuseInRun(
  isOf: (run: Run, batchOvenIds: readonly (string | null)[]) => boolean,
): Promise<void> {
  for (const run of await runsGoingOn()) {
    const batches = (await db.batches.bulkGet([...run.batchIds])).flatMap(batch => batch ?? [])
    const ovenIds = batches.map(batch => batch.ovenId)
    if (isOf(run, ovenIds)) throw new Unfit([problem('hot-run-on', { name: batches[0]?.name ?? '' })])
  }
}
