import { problem } from '../core/codes/problem'
import type { Saving } from '../core/codes/result'
import { adopt } from '../core/files/adopt'
import type { WorkshopData } from '../core/files/exchange'
import { emptyData, rowsTold, TABLES, type Table, type ToldShare, UNTOLD } from '../core/files/pieces'
import { NO_ORIGIN } from '../core/files/read-exchange'
import { asGuests } from '../core/joining/guests'
import { type Added, joinLogs } from '../core/joining/join-logs'
import { seenByBoth } from '../core/joining/stamp'
import { withBlades } from '../core/shop/batch-records'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { db } from './database'
import { forgetHistory } from './history'
import { forgetAnswers } from './kept-answers'
import { refuseInRun } from './run-going-on'
import { saveTrouble, saving, Unfit } from './save-state'
import { putScreen, readScreen, seenHere } from './screen'
import { newWorkshop } from './seed'
import { isShared } from './shared-mark'
import { bringsItsStamps } from './stamp-edits'
import { newScreen } from './stampedly'
import { allTables, putRecords, storedIn } from './tables'
import { fetchWriters } from './writing'

async function readTables(told: ToldShare = UNTOLD): Promise<WorkshopData> {
  const shop = (await db.shop.get('shop')) ?? DEFAULT_WORKSHOP
  const counts = await Promise.all(TABLES.map(table => storedIn(table).count()))
  const doneRows = rowsTold(
    counts.reduce((sum, count) => sum + count, 0),
    told,
  )
  const tables: Partial<Record<Table, unknown[]>> = {}
  for (const table of TABLES) {
    const rows = await storedIn(table).toArray()
    tables[table] = rows
    doneRows(rows.length)
  }
  return { ...(tables as Pick<WorkshopData, Table>), seen: seenHere(await readScreen()), shop }
}

/** Everything stored, in one consistent read. */
export const readAll = (told: ToldShare = UNTOLD): Promise<WorkshopData> =>
  db.transaction('r', allTables(), () => readTables(told))

/** Puts data in the place of everything stored; in one transaction or not at all. */
export const replaceAll = async (data: WorkshopData, told: ToldShare = UNTOLD): Promise<Saving> => {
  const outcome = await saving(() =>
    db.transaction('rw', allTables(), async transaction => {
      bringsItsStamps(transaction.idbtrans)
      // What is put here in one’s place would come back from the others.
      if (isShared()) throw new Unfit([problem('is-shared', {})])
      await refuseInRun(() => true)
      await Promise.all([...TABLES.map(table => storedIn(table).clear()), db.differences.clear()])
      // A log that begins as a copy changes under a name of its own.
      await putScreen(newScreen(data.seen))
      await db.shop.put(data.shop)
      await putRecords(data, told)
      forgetHistory()
    }),
  )
  if (outcome.saved) await forgetAnswers()
  return outcome
}

/** Joins a file into what is here: of this workshop part by part, of another beside it; in one transaction or not at all. Null where it was refused. */
export async function addAll(file: WorkshopData, told: ToldShare = UNTOLD): Promise<Added | null> {
  // Fetched before: a transaction does not wait for it.
  const writers = await fetchWriters().catch(() => null)
  if (!writers) {
    const retry = async (): Promise<Saving> => ({ saved: (await addAll(file, told)) !== null, problems: [] })
    saveTrouble.set({ problem: problem('writers-missing', {}), retry })
    return null
  }
  let added: Added | null = null
  const { saved } = await saving(() =>
    db.transaction('rw', allTables(), async transaction => {
      bringsItsStamps(transaction.idbtrans)
      const here = await readTables()
      const isOwn = file.shop.origin === here.shop.origin && file.shop.origin !== NO_ORIGIN
      const guest = isOwn ? null : adopt(here, asGuests(here, file), () => crypto.randomUUID())
      const joined = joinLogs(here, guest ? guest.data : file)
      await db.shop.put(joined.shop)
      await putRecords({ ...joined.rows, shop: joined.shop, seen: {} }, told)
      for (const { table, id } of joined.removed) if (table !== 'shop') await storedIn(table).delete(id)
      await db.differences.bulkPut(
        joined.differences.map(one => ({ ...one, key: `${one.table}/${one.id}/${one.path}` })),
      )
      if (isOwn) {
        const screen = await readScreen()
        await putScreen({ ...screen, seen: seenByBoth(screen.seen, file.seen) })
      }
      await writers.followJoined(joined.rows.batches.map(({ id }) => id))
      told(1)
      added = {
        ovens: guest?.ovens ?? [],
        serials: [...(guest?.serials ?? []), ...joined.serials],
        differences: joined.differences.length,
        returned: joined.returned,
      }
    }),
  )
  return saved ? added : null
}

/** An empty workshop of one's own: of the settings that were here only how things are shown stays. */
export async function clearAll(): Promise<Saving> {
  const { units, theme } = (await db.shop.get('shop')) ?? DEFAULT_WORKSHOP
  return replaceAll(emptyData({ ...newWorkshop(), units, theme }))
}

/** Everything stored, its batches with their blades. */
export const batchesOf = (data: WorkshopData) => withBlades(data.batches, data.blades)
