import { liveQuery } from 'dexie'
import { createSubscribable, type Subscribable } from '../core/subscribable'
import { db } from './database'
import { LOG_STAMP } from './stamp-log'

/** The log's stamp as it is now; null where the log was not changed since there are stamps. */
export const readLogStamp = async (): Promise<string | null> => (await db.meta.get(LOG_STAMP))?.value ?? null

const shown = createSubscribable<string | null | undefined>(undefined)
let isFollowed = false

/** The stamp, followed from the first look at it; undefined until it was read, null where it cannot be. */
export const logStamp: Subscribable<string | null | undefined> = {
  get: shown.get,
  subscribe: listener => {
    if (!isFollowed) {
      isFollowed = true
      liveQuery(readLogStamp).subscribe({ next: shown.set, error: () => shown.set(null) })
    }
    return shown.subscribe(listener)
  },
}
