import { useLiveQuery } from 'dexie-react-hooks'
import { db } from './database'
import type { Loaded } from './hooks'

const SAVED_KEY = 'last-saved'

/** Notes that all of it went into a file. Where that cannot be stored, the reminder comes too early and nothing is lost. */
export const noteSaved = (at: string): Promise<unknown> =>
  db.meta.put({ key: SAVED_KEY, value: at }).catch(() => undefined)

/** When all of it last went into a file: an instant; null: never from this browser. */
export const useLastSaved = (): Loaded<string> =>
  useLiveQuery(async () => (await db.meta.get(SAVED_KEY).catch(() => undefined))?.value ?? null, [])

/** Whether the browser has promised not to clear this log when space runs short; null where it cannot promise. */
export async function isKept(): Promise<boolean | null> {
  return (await navigator.storage?.persisted?.().catch(() => null)) ?? null
}

/** Asks the browser for that promise. */
export async function askToKeep(): Promise<boolean> {
  return (await navigator.storage?.persist?.().catch(() => false)) ?? false
}
