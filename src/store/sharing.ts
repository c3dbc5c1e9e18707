import { liveQuery } from 'dexie'
import * as z from 'zod/mini'
import { joinRows, withUsedOvens } from '../core/joining/join-logs'
import { type Seen, type Stamp, seenByBoth, tickUs } from '../core/joining/stamp'
import {
  batchesOfRow,
  isDeletedBatch,
  isSameRow,
  logOf,
  rowKey,
  SHARED_TABLES,
  type SharedRow,
  type SharedTable,
  withLivingBatches,
} from '../core/sharing/rows'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import type { Workshop } from '../core/shop/workshop'
import { db } from './database'
import { saveShop } from './records'
import { saving } from './save-state'
import { putScreen, readScreen, seenHere } from './screen'
import { bringsItsStamps } from './stamp-edits'
import { allTables, putRecords } from './tables'
import { UNSENT } from './unsent'
import { fetchWriters } from './writing'

/** Where it stands how far this screen is in step: in the table `meta`. */
const IN_STEP = 'in-step'
const inStepSchema = z.object({ logId: z.string(), cursor: z.int() })
export type InStep = z.infer<typeof inStepSchema>

/** Returns the shared log that this screen has rows of, and the number of the last; null where it has none yet. */
export async function readInStep(): Promise<InStep | null> {
  const stored = await db.meta.get(IN_STEP)
  const parsed = stored && inStepSchema.safeParse(JSON.parse(stored.value))
  return parsed?.success ? parsed.data : null
}

export const putInStep = (inStep: InStep): Promise<unknown> =>
  db.meta.put({ key: IN_STEP, value: JSON.stringify(inStep) })

const tableOf = (table: SharedTable) =>
  db.table<SharedRow['row'] & object, string>(table === 'grades' ? 'ownGrades' : table)

const parted = (key: string): readonly [SharedTable, string] => {
  const at = key.indexOf('/')
  return [key.slice(0, at) as SharedTable, key.slice(at + 1)]
}

/** Reads records with their stamps, by their keys; one that is not here is null, and where nothing is known of it left out. */
async function readRows(keys: readonly string[]): Promise<SharedRow[]> {
  const stamps = new Map((await db.stamps.bulkGet([...keys])).flatMap(row => (row ? [[row.id, row.f]] : [])))
  const rows: SharedRow[] = []
  for (const table of SHARED_TABLES) {
    const ids = keys.flatMap(key => (parted(key)[0] === table ? parted(key)[1] : []))
    const found = await tableOf(table).bulkGet(ids)
    ids.forEach((id, i) => {
      const row = found[i] ?? null
      const f = stamps.get(`${table}/${id}`)
      if (row || f) rows.push({ table, id, row, f: f ?? {} })
    })
  }
  return rows
}

/**
 * Reads records with what they cannot be judged without: the batches they are of where those are deleted, and all that is of a batch
 * which was deleted, here or among `others`.
 */
async function readWithContext(
  keys: readonly string[],
  others: readonly SharedRow[] = [],
  { everyBatch } = { everyBatch: false },
): Promise<SharedRow[]> {
  const some = await readRows(keys)
  const have = new Set(some.map(rowKey))
  const parents = [...some, ...others].flatMap(({ row }) => batchesOfRow(row)).map(id => `batches/${id}`)
  const batches = (await readRows([...new Set(parents)].filter(key => !have.has(key)))).filter(
    row => everyBatch || isDeletedBatch(row),
  )
  const deleted = [...some, ...batches, ...others].filter(isDeletedBatch).map(({ id }) => id)
  if (deleted.length === 0) return [...some, ...batches]
  const ofThem: string[] = []
  for (const table of ['blades', 'readings', 'logs', 'pictures'] as const)
    ofThem.push(...(await tableOf(table).where('batchId').anyOf(deleted).primaryKeys()).map(id => `${table}/${id}`))
  ofThem.push(...(await db.runs.where('batchIds').anyOf(deleted).primaryKeys()).map(id => `runs/${id}`))
  const known = new Set([...have, ...batches.map(rowKey)])
  return [...some, ...batches, ...(await readRows(ofThem.filter(key => !known.has(key))))]
}

/** Records that wait to be sent, with the marks they wait under. */
export interface Waiting {
  readonly rows: readonly SharedRow[]
  readonly marks: ReadonlyMap<string, string>
  readonly seen: Seen
  /** Nothing waits behind these rows. */
  readonly isAll: boolean
}

/** Marks that are looked at for one message, and records that are read at one go. */
const MOST_MARKS = 4000
const AT_ONE_GO = 100

/** Reads the first of what waits, up to about so many bytes; `except`: marks that are left out, by their values. */
export const readWaiting = (mostBytes: number, except: ReadonlySet<string> = new Set()): Promise<Waiting> =>
  db.transaction('r', allTables(), async () => {
    const some = await db.meta
      .where('key')
      .startsWith(UNSENT)
      .limit(MOST_MARKS + except.size)
      .toArray()
    const first = some.filter(({ value }) => !except.has(value))
    const marks = new Map<string, string>()
    let bytes = 0
    while (marks.size < first.length && bytes < mostBytes) {
      const next = first.slice(marks.size, marks.size + AT_ONE_GO)
      bytes += JSON.stringify(await readRows(next.map(({ key }) => key.slice(UNSENT.length)))).length
      for (const { key, value } of next) marks.set(key, value)
    }
    const keys = [...marks.keys()].map(key => key.slice(UNSENT.length))
    // A batch may be in an oven that another screen removed meanwhile: the settings it was planned with go along.
    if (keys.some(key => key.startsWith('batches/'))) keys.push('shop/shop')
    const rows = await readWithContext([...new Set(keys)])
    const isAll = marks.size === first.length && first.length < MOST_MARKS
    return { rows, marks, seen: seenHere(await readScreen()), isAll }
  })

/** Takes the marks off what was sent, unless it was changed again since. */
export const markSent = (marks: Waiting['marks']): Promise<void> =>
  db.transaction('rw', db.meta, async () => {
    const now = await db.meta.bulkGet([...marks.keys()])
    await db.meta.bulkDelete(now.flatMap(row => (row && marks.get(row.key) === row.value ? row.key : [])))
  })

/** Marks everything that is stored as waiting. */
export const markAllUnsent = (): Promise<void> =>
  db.transaction('rw', allTables(), async () => {
    for (const table of SHARED_TABLES) {
      const ids = (await tableOf(table).toCollection().primaryKeys()) as string[]
      await db.meta.bulkPut(ids.map(id => ({ key: `${UNSENT}${table}/${id}`, value: crypto.randomUUID() })))
    }
    // What was removed here is told too.
    const removed = (await db.stamps.toArray()).filter(row => '' in row.f)
    await db.meta.bulkPut(removed.map(row => ({ key: UNSENT + row.id, value: crypto.randomUUID() })))
  })

/** How many records wait to be sent. */
export const countWaiting = (): Promise<number> => db.meta.where('key').startsWith(UNSENT).count()

/** Tells of each change of what waits; returns how to stop. */
export const onWaiting = (told: (waiting: number) => void): (() => void) => {
  const watched = liveQuery(countWaiting).subscribe({ next: told, error: () => undefined })
  return () => watched.unsubscribe()
}

/** Rows that the workshop’s server sent, and how far it has seen; all of it up to a number where `isAll`. */
export interface Received {
  readonly rows: readonly SharedRow[]
  readonly seen: Seen
  readonly isAll: boolean
  readonly inStep: InStep
}

/** Joins what the server sent into what is here, in one transaction or not at all; false where the browser refused. */
export async function takeReceived(received: Received): Promise<boolean> {
  const writers = await fetchWriters()
  let kept: Workshop | null = null
  const { saved } = await saving(() =>
    db.transaction('rw', allTables(), async transaction => {
      bringsItsStamps(transaction.idbtrans, false)
      kept = await join(received, writers.followJoined)
    }),
  )
  // An oven that is still needed here comes back as a change of this screen.
  const withOven = kept as Workshop | null
  if (withOven) await saveShop(() => withOven, 'An oven that is in use')
  return saved
}

async function join(
  { rows, seen, isAll, inStep }: Received,
  follow: (ids: readonly string[]) => Promise<void>,
): Promise<Workshop | null> {
  const screen = await readScreen()
  const sentShop = rows.find(({ table }) => table === 'shop')?.row as unknown as Workshop | undefined
  const shop = (await db.shop.get('shop')) ?? sentShop ?? DEFAULT_WORKSHOP
  // What both changed is named with its batch.
  const own = await readWithContext(rows.map(rowKey), rows, { everyBatch: true })
  const here = logOf(own, seenHere(screen), shop)
  const there = logOf(withLivingBatches(rows, own), seen, shop)
  const joined = joinRows(here, there)
  await putRecords({ ...joined.rows, shop: joined.shop, seen: {} })
  await db.shop.put(joined.shop)
  for (const { table, id } of joined.removed) if (table !== 'shop') await tableOf(table).delete(id)
  await db.differences.bulkPut(joined.differences.map(one => ({ ...one, key: `${one.table}/${one.id}/${one.path}` })))
  await follow(joined.rows.batches.map(({ id }) => id))
  await markOtherwise(rows)
  if (isAll) await putScreen({ ...screen, seen: seenByBoth(screen.seen, seen) })
  await putInStep(inStep)
  if (!sentShop) return null
  const waiting = await db.meta.where('key').startsWith(`${UNSENT}batches/`).primaryKeys()
  const planned = await readRows(waiting.map(key => key.slice(UNSENT.length)))
  const withOvens = withUsedOvens(joined.shop, logOf(planned, screen.seen, shop), there)
  return withOvens === joined.shop ? null : withOvens
}

/** Marks what came out otherwise here than it was sent: it is news to the others. */
async function markOtherwise(rows: readonly SharedRow[]): Promise<void> {
  const now = new Map((await readRows(rows.map(rowKey))).map(row => [rowKey(row), row]))
  const otherwise = rows.flatMap(row => {
    const is = now.get(rowKey(row))
    return is && !isSameRow(is, row) ? rowKey(row) : []
  })
  await db.meta.bulkPut(otherwise.map(key => ({ key: UNSENT + key, value: crypto.randomUUID() })))
}

/**
 * Dates anew what this screen stamped while its clock was ahead, and that nobody else has: otherwise it would win over what others
 * change later.
 */
export const redateWaiting = (nowMs: number): Promise<void> =>
  db.transaction('rw', allTables(), async transaction => {
    bringsItsStamps(transaction.idbtrans, false)
    const screen = await readScreen()
    const atUs = tickUs(nowMs, Math.max(0, ...Object.values(screen.seen)))
    const keys = (await db.meta.where('key').startsWith(UNSENT).primaryKeys()).map(key => key.slice(UNSENT.length))
    const rows = (await db.stamps.bulkGet(keys)).flatMap(row => row ?? [])
    const redated = ([at, of]: Stamp): Stamp => (of === screen.id && at > atUs ? [atUs, of] : [at, of])
    await db.stamps.bulkPut(
      rows.map(row => ({
        ...row,
        f: Object.fromEntries(Object.entries(row.f).map(([path, at]) => [path, redated(at)])),
      })),
    )
    await putScreen({ ...screen, atUs })
  })
