import { useLiveQuery } from 'dexie-react-hooks'
import { db } from './database'

/** A run that nobody ended is forgotten after two days: it stands in the way of nothing then. */
const FORGOTTEN_AFTER_MS = 2 * 86_400_000

/** Whether a run of the shop is going on, in whatever tab; undefined while it is read. Where it cannot be read there is none. */
export const useRunGoingOn = (): boolean | undefined =>
  useLiveQuery(async () => {
    const since = new Date(Date.now() - FORGOTTEN_AFTER_MS).toISOString()
    const lately = await db.runs
      .where('startedAt')
      .above(since)
      .toArray()
      .catch(() => [])
    return lately.some(run => run.mode === 'shop' && run.endedAt === null)
  }, [])
