import type { WorkshopData } from '../files/exchange'
import { joinRows, withOneSerialEach, withUsedOvens } from '../joining/join-logs'
import { isSame, stampsAfter } from '../joining/parts'
import { type Seen, type Stamp, seenByBoth, tickUs } from '../joining/stamp'
import type { StampedTable } from '../joining/tables'
import type { Blade } from '../shop/blade'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import type { Workshop } from '../shop/workshop'
import { batchesOfRow, isDeletedBatch, isSameRow, logOf, rowKey, type SharedRow, withLivingBatches } from './rows'

/**
 * A record of the shared log. Its number rises with each change, so that a screen can ask for what came after one, and is a time of the
 * hybrid clock, µs: what a screen stamped earlier, it stamped without having this.
 */
export interface NumberedRow extends SharedRow {
  readonly seq: number
}

/** Rows that a screen changed, with what they cannot be judged without, and how far it has seen. */
export interface Sent {
  readonly rows: readonly SharedRow[]
  readonly seen: Seen
  /** Nothing that the screen changed waits behind these rows. */
  readonly isAll: boolean
}

/** Changes to be kept once they were written down. */
export interface Taken {
  readonly changed: readonly NumberedRow[]
  readonly seen: Seen
  /** Rows that came out otherwise than they were sent: the sender wants them too. */
  readonly otherwise: readonly NumberedRow[]
}

/** Name under which the shared log puts right what screens did to each other unknowingly. */
export const SHARED_SCREEN = 'workshop'

/**
 * A log that several screens share: what each sends is joined into it, and each takes what changed. It decides nothing that two
 * screens joining each other’s file would not; what it puts right (an oven in use, equal serials, a batch deleted and gone on with) it stamps, so that all take it.
 */
export function createSharedLog(rows: Iterable<NumberedRow> = [], startSeen: Seen = {}) {
  const byKey = new Map<string, NumberedRow>()
  const serials = new Map<string, string>()
  let seen = startSeen
  let seq = 0
  let atUs = Math.max(0, ...Object.values(startSeen))

  const put = (row: NumberedRow) => {
    const before = byKey.get(rowKey(row))
    // By number: what changed last stands last.
    byKey.delete(rowKey(row))
    byKey.set(rowKey(row), row)
    seq = Math.max(seq, row.seq)
    for (const stamp of Object.values(row.f)) atUs = Math.max(atUs, stamp[0])
    if (row.table !== 'blades') return
    const [was, is] = [before?.row as Blade | null | undefined, row.row as unknown as Blade | null]
    if (was && serials.get(was.serial) === was.id) serials.delete(was.serial)
    if (is) serials.set(is.serial, is.id)
  }
  for (const row of rows) put(row)

  const shopNow = () => (byKey.get('shop/shop')?.row ?? null) as Workshop | null

  /** Everything that is of some batches. */
  const ofBatches = (ids: ReadonlySet<string>): NumberedRow[] =>
    ids.size === 0 ? [] : [...byKey.values()].filter(({ row }) => batchesOfRow(row).some(id => ids.has(id)))

  const deletedBatchesOf = (some: readonly SharedRow[]): NumberedRow[] =>
    [...new Set(some.flatMap(({ row }) => batchesOfRow(row)))]
      .flatMap(id => byKey.get(`batches/${id}`) ?? [])
      .filter(isDeletedBatch)

  /** With each batch that was deleted goes what is of it, and with what is of it that batch: one cannot be judged without the other. */
  const withContext = (some: readonly NumberedRow[]): NumberedRow[] => {
    const batches = deletedBatchesOf(some)
    const deleted = new Set([...some, ...batches].filter(isDeletedBatch).map(({ id }) => id))
    return [...new Set([...some, ...batches, ...ofBatches(deleted)])]
  }

  /** Returns the part of this log that sent rows are joined with. */
  function partFor({ rows }: Sent): WorkshopData {
    const keys = new Set(rows.map(rowKey))
    const own = [...[...keys].flatMap(key => byKey.get(key) ?? []), ...deletedBatchesOf(rows)]
    const deleted = new Set([...own, ...rows].filter(isDeletedBatch).map(({ id }) => id))
    const isClash = rows.some(({ table, id, row }) => {
      const holder = table === 'blades' && row && serials.get((row as unknown as Blade).serial)
      return holder && holder !== id
    })
    // Who removed an oven could not know of batches that came here since.
    const removedUs = ovensRemovedUs(rows, byKey.get('shop/shop'))
    const unknown =
      removedUs === null ? [] : [...byKey.values()].filter(row => row.table === 'batches' && row.seq > removedUs)
    const going = removedUs === null ? [] : runsGoingOn()
    const all = isClash ? [...byKey.values()].filter(({ table }) => table === 'blades' || table === 'batches') : []
    // The first settings are the workshop’s as they are.
    const sentShop = rows.find(({ table }) => table === 'shop')?.row as Workshop | undefined
    const shop = shopNow() ?? sentShop ?? DEFAULT_WORKSHOP
    return logOf(new Set([...own, ...ofBatches(deleted), ...unknown, ...going, ...all]), seen, shop)
  }

  const runsGoingOn = (): NumberedRow[] => {
    const runs = [...byKey.values()].filter(
      ({ table, row }) => table === 'runs' && (row as { endedAt?: unknown } | null)?.endedAt === null,
    )
    const ids = runs.flatMap(({ row }) => batchesOfRow(row))
    return [...runs, ...ids.flatMap(id => byKey.get(`batches/${id}`) ?? [])]
  }

  /** Works out what comes of what a screen sends; nothing is changed before `keep`. */
  function take(sent: Sent, nowMs: number): Taken {
    const here = partFor(sent)
    const came = withLivingBatches(sent.rows, deletedBatchesOf(sent.rows))
    const there = logOf(came, sent.seen, here.shop)
    const putRight: Stamp = [
      tickUs(nowMs, Math.max(seq, atUs, seen[SHARED_SCREEN] ?? 0, latest(sent.rows))),
      SHARED_SCREEN,
    ]
    const joined = joinRows(here, there)
    const shop = withUsedOvens(joined.shop, here, there)
    const changed = new Map<string, SharedRow>()
    const stampsNow = new Map(joined.rows.stamps.map(row => [row.id, row.f]))
    const fOf = (key: string) => stampsNow.get(key) ?? byKey.get(key)?.f ?? {}
    const change = (table: SharedRow['table'], row: SharedRow['row'], id: string) =>
      changed.set(rowKey({ table, id }), { table, id, row, f: fOf(rowKey({ table, id })) })
    // A change of stamps alone is one too: another screen’s older value must not come back.
    for (const key of stampsNow.keys()) {
      const at = key.indexOf('/')
      const [table, id] = [key.slice(0, at) as SharedRow['table'], key.slice(at + 1)]
      change(table, byKey.get(key)?.row ?? sent.rows.find(row => rowKey(row) === key)?.row ?? null, id)
    }
    for (const table of ['batches', 'blades', 'readings', 'recipes', 'grades', 'logs', 'pictures', 'runs'] as const)
      for (const row of joined.rows[table]) change(table, row, row.id)
    for (const { table, id } of joined.removed) change(table, null, id)
    /** A change of this log’s own. */
    const repair = (table: StampedTable, before: SharedRow['row'], after: NonNullable<SharedRow['row']>) => {
      const key = rowKey({ table, id: after.id })
      const row = stampsAfter(table, after.id, [before ?? undefined, after], { id: key, f: fOf(key) }, putRight)
      changed.set(key, { table, id: after.id, row: after, f: row?.f ?? fOf(key) })
    }
    if (shopNow() === null || !isSame(joined.shop, here.shop)) change('shop', joined.shop, 'shop')
    if (shop !== joined.shop) repair('shop', joined.shop, shop)
    const before = new Map(joined.rows.blades.map(blade => [blade.id, blade]))
    const known = new Map(here.blades.map(blade => [blade.id, blade]))
    for (const { blade } of withOneSerialEach(here, there, joined.rows))
      repair('blades', before.get(blade.id) ?? known.get(blade.id) ?? null, blade)
    let next = Math.max(seq, putRight[0])
    const numbered = [...changed.values()].map(row => ({ ...row, seq: ++next }))
    const now = new Map(numbered.map(row => [rowKey(row), row]))
    const otherwise = sent.rows.flatMap(row => {
      const is = now.get(rowKey(row)) ?? byKey.get(rowKey(row))
      return is && !isSameRow(is, row) ? is : []
    })
    const sentKeys = new Set(sent.rows.map(rowKey))
    return {
      changed: numbered,
      seen: sent.isAll ? seenByBoth(seen, { ...sent.seen, [SHARED_SCREEN]: next }) : seen,
      otherwise: [...otherwise, ...numbered.filter(row => !sentKeys.has(rowKey(row)))],
    }
  }

  return {
    take,
    /** Keeps what came of it. */
    keep: ({ changed, seen: after }: Pick<Taken, 'changed' | 'seen'>): void => {
      for (const row of changed) put(row)
      seen = after
    },
    /** Returns the rows that changed after a number, in order, with what they cannot be judged without. */
    since: (cursor: number): NumberedRow[] => [...byKey.values()].filter(row => row.seq > cursor),
    withContext,
    rows: (): Iterable<NumberedRow> => byKey.values(),
    size: (): number => byKey.size,
    seen: (): Seen => seen,
    seq: (): number => seq,
    shop: shopNow,
    /** Returns the serials that blades have. */
    serials: (): Iterable<string> => serials.keys(),
  }
}

export type SharedLog = ReturnType<typeof createSharedLog>

/** Returns when the first oven was removed that sent settings lack and these have; null where none was. */
function ovensRemovedUs(rows: readonly SharedRow[], here: SharedRow | undefined): number | null {
  const sent = rows.find(({ table }) => table === 'shop')
  if (!sent?.row || !here?.row) return null
  const kept = new Set((sent.row as unknown as Workshop).ovens.map(oven => oven.id))
  const removed = (here.row as unknown as Workshop).ovens.flatMap(({ id }) =>
    kept.has(id) ? [] : (sent.f[`ovens/${id}`]?.[0] ?? []),
  )
  return removed.length > 0 ? Math.min(...removed) : null
}

const latest = (rows: readonly SharedRow[]): number =>
  rows.reduce((most, { f }) => Math.max(most, ...Object.values(f).map(stamp => stamp[0])), 0)
