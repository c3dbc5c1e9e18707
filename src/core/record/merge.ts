const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b)

/**
 * Takes a change back from a record that may have moved on since: every top-level part that still holds what the
 * change wrote goes back to what it was before. Null when another edit has since touched one of those parts, so that
 * taking it back would undo someone else's work.
 */
export function takeBack<T extends object>(now: T, before: T, after: T, ignored: readonly (keyof T)[] = []): T | null {
  const restored = { ...now }
  for (const key of Object.keys(after) as (keyof T)[]) {
    if (ignored.includes(key) || same(before[key], after[key])) continue
    if (!same(now[key], after[key])) return null
    restored[key] = before[key]
  }
  return restored
}

/**
 * Records read in beside those that are there: of two with the same id the one that has gone further stays, so that an
 * old file never takes newer work back.
 */
export function furtherOf<T extends { readonly id: string }>(
  here: readonly T[],
  read: readonly T[],
  far: (record: T) => number,
): T[] {
  const own = new Map(here.map(record => [record.id, record]))
  return read.filter(record => {
    const mine = own.get(record.id)
    return mine === undefined || far(record) > far(mine)
  })
}
