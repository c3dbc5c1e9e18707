import { canonicalText } from '../batch/canonical'
import { commonParts, isSame, isThere, isWithin, type Parts, within } from './parts'
import { isLater, isSeen, laterOf, type Seen, type Stamp } from './stamp'

/** One log's record on its way to be joined; its value is undefined where the log has none. */
export interface Side {
  readonly value: unknown
  readonly f: Readonly<Record<string, Stamp>>
  readonly seen: Seen
  /** When the record was written last, where that was noted: it tells between changes from before there were stamps. */
  readonly writtenAt: string
}

/** A part that was changed in both logs without knowing of the other: what each has, and which was taken. */
export interface Difference {
  readonly path: string
  readonly here: unknown
  readonly there: unknown
  readonly taken: 'here' | 'there'
  readonly hereAt: Stamp | null
  readonly thereAt: Stamp | null
}

export interface JoinedRecord {
  /** Undefined: it is in neither any more. */
  readonly value: unknown
  readonly f: Readonly<Record<string, Stamp>>
  readonly differences: readonly Difference[]
  /** Paths of what was removed in one log and changed in the other: it is there again. */
  readonly returned: readonly string[]
}

/** Returns the newest stamp at or within a path. */
function newestAt({ f }: Side, path: string, from: Stamp | undefined): Stamp | undefined {
  let newest = laterOf(from, f[path])
  for (const [at, stamp] of Object.entries(f)) if (isWithin(path, at)) newest = laterOf(newest, stamp)
  return newest
}

/** Whether a log changed something at or within a path that another has not seen. */
export const hasUnseen = ({ f }: Side, path: string, from: Stamp | undefined, seen: Seen): boolean =>
  (from !== undefined && !isSeen(seen, from)) ||
  Object.entries(f).some(([at, stamp]) => (at === path || isWithin(path, at)) && !isSeen(seen, stamp))

/**
 * Joins two logs' states of one record part by part. The later change of each part is taken; an entry of a list that one log removed
 * stays removed unless the other changed it without knowing that; entries of both are kept. The same whichever log comes first, in any
 * order of joining, and again without effect. Source: last-writer-wins registers, Shapiro and others, INRIA RR-7506, 2011.
 */
export function joinRecord(here: Side, there: Side): JoinedRecord {
  const f: Record<string, Stamp> = {}
  const differences: Difference[] = []
  const returned: string[] = []
  const forgotten = new Set<string>()

  const keep = (path: string, ...stamps: (Stamp | undefined)[]) => {
    const stamp = stamps.reduce(laterOf, undefined)
    if (stamp) f[path] = stamp
  }
  const keepWithin = (side: Side, path: string) => {
    for (const [at, stamp] of Object.entries(side.f)) if (isWithin(path, at)) keep(at, f[at], stamp)
  }

  /** An entry or record that one log alone has. */
  const alone = (
    path: string,
    [has, lacks]: readonly [Side, Side],
    value: unknown,
    from: Stamp | undefined,
  ): unknown => {
    const gone = lacks.f[path]
    if (gone && !hasUnseen(has, path, from, lacks.seen)) {
      keep(path, gone)
      return undefined
    }
    if (gone && !isSeen(has.seen, gone)) returned.push(path)
    // That it was removed is forgotten: its parts were not written then.
    forgotten.add(path)
    keep(path, has.f[path])
    keepWithin(has, path)
    return value
  }

  /** A value that is taken whole from one of the logs. */
  const whole = (path: string, a: unknown, b: unknown, fromA: Stamp | undefined, fromB: Stamp | undefined): unknown => {
    const [atA, atB] = [newestAt(here, path, fromA), newestAt(there, path, fromB)]
    keep(path, here.f[path], there.f[path])
    if (isSame(a, b)) {
      keepWithin(here, path)
      keepWithin(there, path)
      return isThere(a) ? a : b
    }
    const isHere =
      path === 'deletedAt' && atA && atB && isSameStamp(atA, atB)
        ? // Of one deletion that one log took back, since the record was gone on with, the other learns so.
          !isThere(a)
        : isHereTaken([a, atA, here], [b, atB, there])
    const [winner, loser] = isHere ? [here, atB] : [there, atA]
    keepWithin(winner, path)
    // Two values of one change: another program wrote the file. A deletion that was taken back is no difference.
    const isTorn = atA && atB && isSameStamp(atA, atB) && path !== 'deletedAt'
    if (isTorn || (loser ? !isSeen(winner.seen, loser) : !atA && !atB))
      differences.push({
        path,
        here: a,
        there: b,
        taken: isHere ? 'here' : 'there',
        hereAt: atA ?? null,
        thereAt: atB ?? null,
      })
    return isHere ? a : b
  }

  const join = (path: string, name: string, a: unknown, b: unknown, fromA?: Stamp, fromB?: Stamp): unknown => {
    const parts = commonParts(a, b, name)
    if (!parts) return whole(path, a, b, fromA, fromB)
    const [atA, atB] = [laterOf(fromA, here.f[path]), laterOf(fromB, there.f[path])]
    keep(path, here.f[path], there.f[path])
    const joined = new Map<string, unknown>()
    for (const key of keysInOrder(parts, path, here.f, there.f)) {
      const [one, other, at] = [parts.a.get(key), parts.b.get(key), within(path, key)]
      const isEntry = parts.kind !== 'fields'
      const value =
        isEntry && !parts.b.has(key)
          ? alone(at, [here, there], one, atA)
          : isEntry && !parts.a.has(key)
            ? alone(at, [there, here], other, atB)
            : join(at, key, one, other, atA, atB)
      if (value !== undefined) joined.set(key, value)
    }
    return joined.size === 0 && (!isThere(a) || !isThere(b)) ? emptied(isThere(a) ? a : b) : rebuilt(parts.kind, joined)
  }

  const value =
    here.value === undefined
      ? alone('', [there, here], there.value, undefined)
      : there.value === undefined
        ? alone('', [here, there], here.value, undefined)
        : join('', '', here.value, there.value)
  // What is in neither any more is remembered as removed.
  for (const side of [here, there])
    for (const [at, stamp] of Object.entries(side.f)) if (!(at in f) && !forgotten.has(at)) keep(at, stamp)
  return { value, f, differences, returned }
}

type Claim = readonly [value: unknown, at: Stamp | undefined, side: Side]

/** Whether the first of two values is taken: the later one, whichever log comes first. */
function isHereTaken([a, atA, here]: Claim, [b, atB, there]: Claim): boolean {
  if (atA && atB && !isSameStamp(atA, atB)) return isLater(atA, atB)
  if (!atA !== !atB) return !atB
  if (!atA && here.writtenAt !== there.writtenAt) return here.writtenAt > there.writtenAt
  return canonicalText(a) > canonicalText(b)
}

/** A value of its joined parts. */
const rebuilt = (kind: Parts['kind'], parts: ReadonlyMap<string, unknown>): unknown =>
  kind === 'fields' ? Object.fromEntries(parts) : [...(kind === 'names' ? parts.keys() : parts.values())]

/** A list that lost its last entry is an empty one; a record is none. */
const emptied = (value: unknown): unknown => (Array.isArray(value) ? [] : undefined)

/** Returns the keys of both in one order, whichever comes first: those that were there from the start, then what was added, by time. */
function keysInOrder(
  { kind, a, b }: { kind: Parts['kind']; a: Parts['of']; b: Parts['of'] },
  path: string,
  fa: Side['f'],
  fb: Side['f'],
): string[] {
  if (kind === 'fields') return [...new Set([...a.keys(), ...b.keys()])]
  const [one, other] = [[...a.keys()], [...b.keys()]].sort((x, y) => (x.join() > y.join() ? -1 : 1))
  const all = [...new Set([...(one ?? []), ...(other ?? [])])]
  // Where one log removed an entry, the stamp there says when that was.
  const stampIn = (of: Parts['of'], f: Side['f'], key: string) => (of.has(key) ? f[within(path, key)] : undefined)
  const addedAt = new Map(all.map(key => [key, laterOf(stampIn(a, fa, key), stampIn(b, fb, key))]))
  return [
    ...all.filter(key => !addedAt.get(key)),
    ...all
      .filter(key => addedAt.get(key))
      .sort((x, y) => {
        const [atX, atY] = [addedAt.get(x), addedAt.get(y)]
        if (!atX || !atY || isSameStamp(atX, atY)) return x < y ? -1 : 1
        return isLater(atX, atY) ? 1 : -1
      }),
  ]
}

const isSameStamp = (a: Stamp, b: Stamp): boolean => a[0] === b[0] && a[1] === b[1]
