import { type Stamp, type StampRow, stampRowId } from './stamp'
import type { StampedTable } from './tables'

type Plain = Readonly<Record<string, unknown>>

const isPlain = (value: unknown): value is Plain => typeof value === 'object' && value !== null && !Array.isArray(value)

/** Values that are one thing although they have parts: half of each screen's would be nobody's. */
const WHOLE = new Set([
  'target',
  'cold',
  'sheet',
  'foilLayout',
  'roundFace',
  'place',
  'control',
  'before',
  'cheap',
  'fit',
  'hours',
  'load',
  'day',
  'rack',
  'handsMore',
  'boxMm',
])

/** Lists whose entries have no id and are known by when and what they are. */
const KEYS: Readonly<Record<string, readonly string[]>> = {
  states: ['at', 'is'],
  decisions: ['at', 'by'],
  files: ['at', 'stage'],
  versions: ['at'],
  heatsBefore: ['inAt', 'kind'],
}

/** Lists of names, in which each is there or not. */
const SETS = new Set(['said', 'finished'])

/** Parts of a value that are joined each by itself: fields of a record, entries of a list by their keys. Null: it is one thing. */
export interface Parts {
  readonly kind: 'fields' | 'entries' | 'names'
  readonly of: ReadonlyMap<string, unknown>
}

const SEPARATOR = '/'
/** No key has a separator in it. */
const keyText = (value: unknown): string => String(value).replaceAll(SEPARATOR, '|')

/** Returns the key of an entry of a list by the list's name; null where it has none. */
export function keyOf(name: string, entry: unknown): string | null {
  if (SETS.has(name)) return typeof entry === 'string' ? keyText(entry) : null
  if (!isPlain(entry)) return null
  const fields = KEYS[name] ?? ['id']
  return fields.every(field => typeof entry[field] === 'string')
    ? fields.map(field => keyText(entry[field])).join('|')
    : null
}

/** Returns the parts of a value that stands in a field of this name; null where it is joined as a whole. */
export function partsOf(value: unknown, name: string): Parts | null {
  if (WHOLE.has(name)) return null
  if (isPlain(value))
    return { kind: 'fields', of: new Map(Object.entries(value).filter(([, part]) => part !== undefined)) }
  if (!Array.isArray(value)) return null
  const of = new Map<string, unknown>()
  for (const entry of value) {
    const key = keyOf(name, entry)
    if (key === null || of.has(key)) return null
    of.set(key, entry)
  }
  return { kind: SETS.has(name) ? 'names' : 'entries', of }
}

/** Returns whether two values say the same, whatever the order of their fields; what is missing says no more than nothing. */
export function isSame(a: unknown, b: unknown): boolean {
  if (a === b) return true
  if (!isThere(a) || !isThere(b)) return isThere(a) === isThere(b)
  if (Array.isArray(a)) return Array.isArray(b) && a.length === b.length && a.every((one, i) => isSame(one, b[i]))
  if (!isPlain(a) || !isPlain(b)) return false
  for (const name in a) if (!isSame(a[name], b[name])) return false
  for (const name in b) if (!(name in a) && isThere(b[name])) return false
  return true
}

const NO_PARTS: ReadonlyMap<string, unknown> = new Map()

/** Returns the parts of two values that are joined part by part: what is missing has none. Null: they are joined as a whole. */
export function commonParts(
  a: unknown,
  b: unknown,
  name: string,
): { kind: Parts['kind']; a: Parts['of']; b: Parts['of'] } | null {
  const [of, other] = [partsOf(a, name), partsOf(b, name)]
  const kind = (of ?? other)?.kind
  if (!kind || (of && other && of.kind !== other.kind && of.of.size > 0 && other.of.size > 0)) return null
  if ((!of && isThere(a)) || (!other && isThere(b))) return null
  return { kind, a: of?.of ?? NO_PARTS, b: other?.of ?? NO_PARTS }
}

export const isThere = (value: unknown): boolean => value !== undefined && value !== null

export const within = (path: string, key: string): string => (path === '' ? key : `${path}${SEPARATOR}${key}`)
export const isWithin = (path: string, other: string): boolean =>
  path === '' ? other !== '' : other.startsWith(path + SEPARATOR)
/** Returns the steps of a path, from the record down. */
export const stepsOf = (path: string): string[] => (path === '' ? [] : path.split(SEPARATOR))

/** Returns the paths at which two values differ: of an entry of a list that is there in one alone, its own. */
export function changedPaths(before: unknown, after: unknown, name = '', path = ''): string[] {
  if (before === after) return []
  const parts = commonParts(before, after, name)
  if (!parts) return isSame(before, after) ? [] : [path]
  const { kind, a, b } = parts
  return [...new Set([...a.keys(), ...b.keys()])].flatMap(key =>
    kind !== 'fields' && a.has(key) !== b.has(key)
      ? [within(path, key)]
      : changedPaths(a.get(key), b.get(key), key, within(path, key)),
  )
}

/** Names of fields that are each screen's own, or follow from others: no change of them is one of the record. */
const UNSHARED: Readonly<Partial<Record<StampedTable, readonly string[]>>> = {
  batches: ['rev', 'updatedAt'],
  logs: ['points'],
  shop: ['theme'],
}

/**
 * Returns a record as screens share it. What follows from other parts is left out: it is worked out anew on each. Of a route those
 * parts are shared that the maker set, each with its value as one thing; recipe versions are known by their time, not their number.
 */
export function sharedForm(table: StampedTable, record: object): Plain {
  const shared: Record<string, unknown> = { ...record }
  for (const field of UNSHARED[table] ?? []) delete shared[field]
  if (table === 'batches' && Array.isArray(shared.groups)) shared.groups = shared.groups.map(sharedGroup)
  if (table === 'recipes' && Array.isArray(shared.versions))
    shared.versions = shared.versions.map(({ number: _, ...version }) => version)
  return shared
}

function sharedGroup(group: Plain & { readonly route: Plain; readonly fixed: readonly string[] }): Plain {
  const { fixed, route, ...rest } = group
  return { ...rest, route: Object.fromEntries(fixed.map(part => [part, { is: route[part] }])) }
}

/** Returns the stamps of a record after a change of it; null where nothing changed that is shared. A missing state is a record that is not there. */
export function stampsAfter(
  table: StampedTable,
  id: string,
  [before, after]: readonly [object | undefined, object | undefined],
  row: StampRow | undefined,
  stamp: Stamp,
): StampRow | null {
  const paths =
    before && after
      ? changedPaths(sharedForm(table, before), sharedForm(table, after))
      : // A record that begins has no stamp, unless it was deleted here before.
        before || row
        ? ['']
        : []
  if (paths.length === 0) return null
  const f: Record<string, Stamp> = {}
  for (const [path, of] of Object.entries(row?.f ?? {})) if (!paths.some(p => isWithin(p, path))) f[path] = of
  for (const path of paths) f[path] = stamp
  return { id: stampRowId(table, id), f }
}
