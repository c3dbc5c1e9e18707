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

/**
 * A mark beside the database, by which a browser that was emptied is told from a new one: a cookie, as browsers that clear a site's
 * storage for room leave those. Each port is a workshop of its own.
 */
const ownMark = () => `tawny-ember-own-${location.port}=1`
const OWN_FOR_S = 400 * 86_400

/** Notes whether the workshop here is somebody's own; a demo is not missed. */
export const noteOwn = (isOwn: boolean): void => {
  // biome-ignore lint/suspicious/noDocumentCookie: the store of cookies that replaces it is not in every browser yet.
  document.cookie = `${ownMark()}; path=/; SameSite=Strict; max-age=${isOwn ? OWN_FOR_S : 0}`
}

/** Whether somebody's own workshop was here. */
export const wasOwn = (): boolean => document.cookie.split('; ').includes(ownMark())

/** Whether the browser has promised not to clear this log when space runs short; null where it cannot promise. */
export async function isKept(): Promise<boolean | null> {
  return (await navigator.storage?.persisted?.().catch(() => null)) ?? null
}

/** Asks the browser for that promise. */
export async function askToKeep(): Promise<boolean> {
  return (await navigator.storage?.persist?.().catch(() => false)) ?? false
}
