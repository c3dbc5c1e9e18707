import { db } from './database'
import { isResting } from './resting'

const DONE = 'done '

/** Whether a change that was put down has been made. */
export const isDone = async (intent: string): Promise<boolean> => (await db.meta.get(DONE + intent)) !== undefined

/**
 * Notes that a change was made, in its own transaction: the page may go before it can take off what it put down, and made again a line
 * it added would stand twice. Of what rests no more nothing need be known.
 */
export async function noteDone(intent: string): Promise<void> {
  const known = await db.meta.where('key').startsWith(DONE).primaryKeys()
  await db.meta.bulkDelete(known.filter(key => !isResting(key.slice(DONE.length))))
  await db.meta.put({ key: DONE + intent, value: new Date().toISOString() })
}
