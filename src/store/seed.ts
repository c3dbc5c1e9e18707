import type { WorkshopData } from '../core/files/exchange'
import { emptyData } from '../core/files/pieces'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import type { Workshop } from '../core/shop/workshop'
import { db } from './database'
import { bringsItsStamps } from './stamp-edits'
import { allTables, putRecords } from './tables'

/** Settings of a workshop that begins here: files tell by its origin that they are its own. */
export const newWorkshop = (): Workshop => ({ ...DEFAULT_WORKSHOP, origin: crypto.randomUUID() })

/** Whether anything was laid down here yet. */
export const isSeeded = async (): Promise<boolean> => (await db.meta.get('seeded')) !== undefined

/** First visit: the demo workshop, if the server offers it. Later visits change nothing. */
export async function seedOnce(make: (() => Promise<WorkshopData>) | null): Promise<void> {
  if (await isSeeded()) return
  const data = make ? await make() : emptyData(newWorkshop())
  await db.transaction('rw', allTables(), async transaction => {
    bringsItsStamps(transaction.idbtrans)
    // Asked again inside the transaction: of two tabs that begin at once, one seeds.
    if (await isSeeded()) return
    await db.shop.put(data.shop)
    await putRecords(data)
  })
}
