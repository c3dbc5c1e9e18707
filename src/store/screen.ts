import { type Seen, seenByBoth } from '../core/joining/stamp'
import { type Screen, screenSchema } from '../core/shop/stamps'
import { db } from './database'
import { newScreen, SCREEN } from './stampedly'

/** This browser's identity among the screens of its workshop; a new one where it changed nothing yet. */
export async function readScreen(): Promise<Screen> {
  const stored = await db.meta.get(SCREEN)
  const parsed = stored && screenSchema.safeParse(JSON.parse(stored.value))
  return parsed?.success ? parsed.data : newScreen()
}

export const putScreen = (screen: Screen): Promise<unknown> =>
  db.meta.put({ key: SCREEN, value: JSON.stringify(screen) })

/** Returns how far this log has seen the changes of each screen, its own among them. */
export const seenHere = ({ id, atUs, seen }: Screen): Seen => (atUs > 0 ? seenByBoth(seen, { [id]: atUs }) : seen)
