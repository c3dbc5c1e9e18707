import { canonicalText } from '../batch/canonical'
import type { WorkshopData } from '../files/exchange'
import { TABLES, type Table } from '../files/pieces'
import { joinedRun } from '../run/join'
import type { Batch, BatchGroup, BatchRecord } from '../shop/batch'
import type { Blade } from '../shop/blade'
import type { OvenLog } from '../shop/oven-log'
import type { Recipe } from '../shop/recipe'
import { ROUTE_PARTS } from '../shop/route-parts'
import { nextSerials } from '../shop/serial'
import type { Workshop } from '../shop/workshop'
import { type Difference, hasUnseen, joinRecord, type Side } from './join-record'
import { isSame, keyOf, sharedForm, stepsOf } from './parts'
import { isSeen, type StampRow, stampRowId } from './stamp'
import { STAMPED_TABLES, type StampedTable } from './tables'

/** A record a person can find again: of what, and what it is called. */
export interface Named {
  readonly table: StampedTable
  readonly id: string
  readonly name: string
}

/** A part that was changed in both logs, of a record by its name. */
export interface LogDifference extends Difference, Named {
  /** The steel, line, oven or other entry of the record it lies in, as it is called; null: in none. */
  readonly entry: string | null
}

/** Such a part as it waits to be looked at. */
export interface StoredDifference extends LogDifference {
  /** By record and path: of one part the newest stands. */
  readonly key: string
}

/** Rows to be stored so that a log has all of another, and what is to be said of it. */
export interface JoinedLogs {
  readonly shop: Workshop
  readonly rows: { readonly [T in Table]: WorkshopData[T][number][] }
  readonly removed: readonly Pick<Named, 'table' | 'id'>[]
  readonly differences: readonly LogDifference[]
  /** Records, or parts of them, that one log removed and the other changed: they are there again. */
  readonly returned: readonly Named[]
  /** Serials that two blades had, and what the later one has now. */
  readonly serials: readonly (NewSerial & { readonly blade: Blade })[]
}

interface NewSerial {
  readonly from: string
  readonly to: string
}

/** Result of joining a file into the log, as it is said. */
export interface Added {
  /** Ovens of another workshop that came along, by the name they have here. */
  readonly ovens: readonly string[]
  readonly serials: readonly NewSerial[]
  /** Parts that were changed on both sides, and what came back although one side had removed it. */
  readonly differences: number
  readonly returned: JoinedLogs['returned']
}

type Row = { readonly id: string }
type Log = WorkshopData

const stampsOf = (log: Log): ReadonlyMap<string, StampRow['f']> => new Map(log.stamps.map(row => [row.id, row.f]))
const byId = <T extends Row>(rows: readonly T[]): Map<string, T> => new Map(rows.map(row => [row.id, row]))

/** Two logs, with what is looked up in them. */
interface Pair {
  readonly here: Log
  readonly there: Log
  readonly stamps: Readonly<Record<'here' | 'there', ReadonlyMap<string, StampRow['f']>>>
  readonly batches: Readonly<Record<'here' | 'there', ReadonlyMap<string, BatchRecord>>>
}

/** One record of both logs on its way to be joined. */
interface Found {
  readonly table: StampedTable
  readonly id: string
  readonly ours: Row | undefined
  readonly theirs: Row | undefined
  readonly sides: readonly [Side, Side]
}

const pairOf = (here: Log, there: Log): Pair => ({
  here,
  there,
  stamps: { here: stampsOf(here), there: stampsOf(there) },
  batches: { here: byId(here.batches), there: byId(there.batches) },
})

const rowsOf = (log: Log, table: StampedTable): Map<string, Row> =>
  byId<Row>(table === 'shop' ? [log.shop] : log[table])

const NO_STAMPS: StampRow['f'] = {}

/** Returns the records of a table that are not the same in both logs. */
function differing({ here, there, stamps, batches }: Pair, table: StampedTable): Found[] {
  const [own, their] = [rowsOf(here, table), rowsOf(there, table)]
  const sideOf = (from: 'here' | 'there', row: Row | undefined, f: StampRow['f']): Side => ({
    value: row && sharedForm(table, row),
    f,
    seen: (from === 'here' ? here : there).seen,
    writtenAt:
      (row as BatchRecord | undefined)?.updatedAt ??
      batches[from].get((row as Blade | undefined)?.batchId ?? '')?.updatedAt ??
      '',
  })
  return [...new Set([...own.keys(), ...their.keys()])].flatMap((id): Found[] => {
    const key = stampRowId(table, id)
    const [ours, theirs] = [own.get(id), their.get(id)]
    const [f, g] = [stamps.here.get(key) ?? NO_STAMPS, stamps.there.get(key) ?? NO_STAMPS]
    if (f === g && !theirs) return []
    if (isSame(f, g) && isSame(ours, theirs)) return []
    return [{ table, id, ours, theirs, sides: [sideOf('here', ours, f), sideOf('there', theirs, g)] }]
  })
}

const isDeleted = (row: object | undefined): boolean =>
  row !== undefined && 'deletedAt' in row && row.deletedAt !== null && row.deletedAt !== undefined

/** Whether a record that one log deleted is kept, since the other went on with it without knowing. */
function isBack(
  { here, there }: Pair,
  { table, id, ours, theirs, sides: [own, their] }: Found,
  joined: unknown,
): boolean {
  if (!isDeleted(joined as object) || !ours || !theirs || isDeleted(ours) === isDeleted(theirs)) return false
  const [alive, dead, log, other] = isDeleted(theirs) ? [own, their, here, there] : [their, own, there, here]
  return hasUnseen(alive, '', undefined, dead.seen) || (table === 'batches' && hasFurtherRows(id, log, other))
}

/** Result of joining one record of both logs. */
interface Outcome {
  readonly named: Named
  /** As it is to be stored here; null where it is so already, or gone. */
  readonly row: Row | null
  readonly isRemoved: boolean
  readonly isBack: boolean
  readonly stamps: StampRow | null
  readonly differences: readonly Omit<LogDifference, keyof Named>[]
}

function outcomeOf(pair: Pair, found: Found): Outcome {
  const { table, id, ours, theirs, sides } = found
  const { value, f, differences, returned } = joinRecord(...sides)
  const stamps = isSame(f, sides[0].f) ? null : { id: stampRowId(table, id), f }
  if (value === undefined) {
    const named = { table, id, name: '' }
    return { named, row: null, isRemoved: ours !== undefined, isBack: false, stamps, differences: [] }
  }
  const back = isBack(pair, found, value)
  const row = wholeRecord(table, back ? { ...value, deletedAt: null } : value, ours, theirs)
  return {
    named: { table, id, name: nameOf(pair, table, row) },
    row: ours && isSame(row, ours) ? null : row,
    isRemoved: false,
    isBack: back || returned.length > 0,
    stamps,
    // Of two serials it is said which blade has which.
    differences: differences
      .filter(({ path }) => path !== 'serial')
      .map(one => ({ ...one, entry: entryOf(row, one.path) })),
  }
}

type JoinedRows = Omit<JoinedLogs, 'serials'>

/**
 * Joins the records of another log of the same workshop into one, each by itself. Either may be a part of a log: what it lacks is not
 * removed by that. Neither is changed; the same comes of it whichever is joined into which.
 */
export function joinRows(here: Log, there: Log): JoinedRows {
  const pair = pairOf(here, there)
  const changed = new Map<StampedTable, Row[]>()
  const removed: Pick<Named, 'table' | 'id'>[] = []
  const differences: LogDifference[] = []
  const returned: Named[] = []
  const stampRows: StampRow[] = []
  for (const table of STAMPED_TABLES) {
    const outcomes = differing(pair, table).map(found => outcomeOf(pair, found))
    changed.set(
      table,
      outcomes.flatMap(({ row }) => row ?? []),
    )
    removed.push(...outcomes.flatMap(one => (one.isRemoved ? { table, id: one.named.id } : [])))
    differences.push(...outcomes.flatMap(one => one.differences.map(difference => ({ ...difference, ...one.named }))))
    returned.push(...outcomes.flatMap(one => (one.isBack ? one.named : [])))
    stampRows.push(...outcomes.flatMap(one => one.stamps ?? []))
  }
  const rows = Object.fromEntries(
    TABLES.map(table => [table, changed.get(table as StampedTable) ?? []]),
  ) as unknown as JoinedLogs['rows']
  return {
    shop: (changed.get('shop')?.[0] as Workshop | undefined) ?? here.shop,
    rows: { ...rows, runs: joinedRuns(here, there), stamps: stampRows },
    removed,
    differences,
    returned,
  }
}

/** Joins another log of the same workshop into one, and puts right what no record shows by itself: an oven in use, equal serials. */
export function joinLogs(here: Log, there: Log): JoinedLogs {
  const joined = joinRows(here, there)
  const serials = withOneSerialEach(here, there, joined.rows)
  return { ...joined, shop: withUsedOvens(joined.shop, here, there), serials }
}

/**
 * The shop with the ovens that one log removed and the other planned a batch for without knowing: they are there again. One that a run
 * goes on in, or that the shop hardens or tempers in, never goes.
 */
export function withUsedOvens(shop: Workshop, here: Log, there: Log): Workshop {
  const { stamps, batches } = pairOf(here, there)
  const usedBy = (from: 'here' | 'there', other: 'here' | 'there', { runs }: Log, { seen }: Log) => {
    const hot = new Set(runs.filter(run => run.endedAt === null && run.mode === 'shop').flatMap(run => run.batchIds))
    return [...batches[from].values()].flatMap(({ id, ovenId }) => {
      const chosen = stamps[from].get(stampRowId('batches', id))?.ovenId
      return hot.has(id) || !batches[other].has(id) || (chosen && !isSeen(seen, chosen)) ? ovenId : []
    })
  }
  const used = new Set([
    shop.hardeningOvenId,
    shop.temperingOvenId,
    ...usedBy('here', 'there', here, there),
    ...usedBy('there', 'here', there, here),
  ])
  const known = new Set(shop.ovens.map(({ id }) => id))
  const missing = [...byId([...there.shop.ovens, ...here.shop.ovens]).values()].filter(
    ({ id }) => used.has(id) && !known.has(id),
  )
  return missing.length === 0 ? shop : { ...shop, ovens: [...shop.ovens, ...missing] }
}

/** Returns what the entry is called that a path leads into: by its steel, its mark or its name. */
function entryOf(row: Row, path: string): string | null {
  const [list, key] = stepsOf(path)
  const entries = (row as unknown as Record<string, unknown>)[list ?? '']
  const entry = Array.isArray(entries) ? entries.find(one => keyOf(list ?? '', one) === key) : undefined
  const { gradeName, mark, name } = (entry ?? {}) as Partial<Record<'gradeName' | 'mark' | 'name', string>>
  return gradeName ?? mark ?? name ?? null
}

/** Returns what a record is called: by its own name, or its batch's. */
function nameOf(
  { batches }: Pair,
  table: StampedTable,
  row: Row & Partial<{ batchId: string; serial: string; name: string }>,
): string {
  const batch = batches.here.get(row.batchId ?? '') ?? batches.there.get(row.batchId ?? '')
  return table === 'blades' ? `${row.serial}, ${batch?.name ?? ''}` : (row.name ?? batch?.name ?? '')
}

/** Whether a log has readings, blades, runs or changes of a batch that another, which deleted it, has not seen. */
function hasFurtherRows(batchId: string, log: Log, other: Log): boolean {
  const known = new Set([...other.readings, ...other.blades].map(({ id }) => id))
  const own = [...log.readings, ...log.blades].filter(row => row.batchId === batchId)
  const ids = new Set(own.map(({ id }) => stampRowId('blades', id)))
  const runs = byId(other.runs)
  return (
    own.some(({ id }) => !known.has(id)) ||
    log.runs.some(run => run.mode === 'shop' && run.batchIds.includes(batchId) && !isSame(run, runs.get(run.id))) ||
    log.stamps.some(row => ids.has(row.id) && Object.values(row.f).some(stamp => !isSeen(other.seen, stamp)))
  )
}

/** A record as it is stored, from what screens share of it: what each works out for itself is that of the one written last. */
function wholeRecord(table: StampedTable, shared: unknown, ours: Row | undefined, theirs: Row | undefined): Row {
  if (!ours || !theirs) {
    const only = (ours ?? theirs) as Row
    return isSame(shared, sharedForm(table, only)) ? only : ({ ...only, ...(shared as object) } as Row)
  }
  switch (table) {
    case 'batches':
      return wholeBatch(shared as SharedBatch, ours as BatchRecord, theirs as BatchRecord)
    case 'recipes': {
      const { versions, ...rest } = shared as Recipe
      return { ...rest, versions: versions.map((version, i) => ({ ...version, number: i + 1 })) } as Recipe
    }
    case 'logs': {
      const [a, b] = [(ours as OvenLog).points, (theirs as OvenLog).points]
      return { ...(shared as OvenLog), points: a.length >= b.length ? a : b } as OvenLog
    }
    case 'shop':
      return { ...(shared as Workshop), theme: (ours as Workshop).theme } as Workshop
    default:
      return shared as Row
  }
}

type SharedGroup = Omit<BatchGroup, 'fixed' | 'route'> & {
  readonly route: Readonly<Record<string, { readonly is: unknown }>>
}
type SharedBatch = Omit<BatchRecord, 'groups'> & { readonly groups: readonly SharedGroup[] }

function wholeBatch(shared: SharedBatch, ours: BatchRecord, theirs: BatchRecord): BatchRecord {
  const isOursNewer =
    ours.updatedAt !== theirs.updatedAt
      ? ours.updatedAt > theirs.updatedAt
      : canonicalText(ours.groups) > canonicalText(theirs.groups)
  const [newer, older] = isOursNewer ? [ours, theirs] : [theirs, ours]
  const stored = (id: string) => newer.groups.find(g => g.id === id) ?? older.groups.find(g => g.id === id)
  const groups = shared.groups.flatMap(({ route, ...group }): BatchGroup[] => {
    const own = stored(group.id)
    if (!own) return []
    const fixed = ROUTE_PARTS.filter(part => part in route)
    const set = Object.fromEntries(fixed.map(part => [part, route[part]?.is]))
    return [{ ...group, route: { ...own.route, ...set }, fixed } as BatchGroup]
  })
  // A steel that one log removed is kept where the other’s lines are still of it.
  const known = new Set(groups.map(({ id }) => id))
  const used = [...new Set(shared.lines.map(line => line.groupId))].filter(id => !known.has(id))
  const rev = Math.max(ours.rev, theirs.rev)
  const batch = {
    ...shared,
    groups: [...groups, ...used.flatMap(id => stored(id) ?? [])],
    updatedAt: newer.updatedAt,
    rev,
  } as BatchRecord
  // Other pages see by a further count that it changed here.
  return isSame(batch, { ...ours, rev, updatedAt: newer.updatedAt })
    ? { ...batch, rev: ours.rev, updatedAt: ours.updatedAt }
    : { ...batch, rev: rev + 1 }
}

/** Runs of another log that are not here, and those with events the other has; of both every press is kept. */
function joinedRuns(here: Log, there: Log): Log['runs'][number][] {
  const own = byId(here.runs)
  return there.runs.flatMap(run => {
    const mine = own.get(run.id)
    const joined = mine ? joinedRun(mine, run) : run
    return mine && isSame(mine, joined) ? [] : [joined]
  })
}

/** Gives blades whose serial another blade has a new one: the blade of the earlier batch keeps it. Changes the rows. */
export function withOneSerialEach(here: Log, there: Log, rows: JoinedLogs['rows']): JoinedLogs['serials'] {
  const blades = byId([...there.blades, ...here.blades])
  for (const blade of rows.blades) blades.set(blade.id, blade)
  const created = new Map(
    [...there.batches, ...here.batches].map((b: Pick<Batch, 'id' | 'createdAt'>) => [b.id, b.createdAt]),
  )
  const bornOf = (blade: Blade) => `${created.get(blade.batchId) ?? ''} ${blade.id}`
  const holders = new Map<string, Blade>()
  const clashing: Blade[] = []
  for (const blade of [...blades.values()].sort((a, b) => (bornOf(a) < bornOf(b) ? -1 : 1))) {
    if (blade.serial === '') continue
    if (holders.has(blade.serial)) clashing.push(blade)
    else holders.set(blade.serial, blade)
  }
  const used = [...blades.values()].map(blade => blade.serial)
  return clashing.flatMap(blade => {
    const year = Number((created.get(blade.batchId) ?? '').slice(0, 4)) || 2000
    const [to] = nextSerials(here.shop.serialPattern, year, used, 1)
    if (!to) return []
    used.push(to)
    const at = rows.blades.findIndex(row => row.id === blade.id)
    if (at >= 0) rows.blades.splice(at, 1)
    rows.blades.push({ ...blade, serial: to })
    return [{ from: blade.serial, to, blade: { ...blade, serial: to } }]
  })
}
