type Plain = Readonly<Record<string, unknown>>

const same = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b)
const isPlain = (value: unknown): value is Plain => typeof value === 'object' && value !== null && !Array.isArray(value)
const isRecords = (value: unknown): value is readonly (Plain & { readonly id: string })[] =>
  Array.isArray(value) && value.every(item => isPlain(item) && typeof item.id === 'string')

/** Says that a part was changed again since, so that taking it back would undo someone else's work. */
const CLASH = Symbol('clash')

/**
 * Takes a change back from a record that may have moved on since: every part that still holds what the change wrote goes
 * back to what it was before, records of a list by their ids. Null when another edit has since touched one of those parts.
 */
export function takeBack<T extends object>(now: T, before: T, after: T, ignored: readonly (keyof T)[] = []): T | null {
  const restored = { ...now }
  for (const key of new Set([...Object.keys(before), ...Object.keys(after)]) as Set<string & keyof T>) {
    if (ignored.includes(key)) continue
    const part = partBack(now[key], before[key], after[key])
    if (part === CLASH) return null
    if (part === undefined) delete restored[key]
    else restored[key] = part as T[keyof T & string]
  }
  return restored
}

function partBack(now: unknown, before: unknown, after: unknown): unknown {
  if (same(before, after)) return now
  if (same(now, after)) return before
  if (isRecords(now) && isRecords(before) && isRecords(after)) return recordsBack(now, before, after)
  if (isPlain(now) && isPlain(before) && isPlain(after)) return takeBack(now, before, after) ?? CLASH
  return CLASH
}

/** A list of records with a change of it taken back: what it added goes, what it removed comes back where it was. */
function recordsBack(
  now: readonly (Plain & { readonly id: string })[],
  before: readonly (Plain & { readonly id: string })[],
  after: readonly (Plain & { readonly id: string })[],
): unknown {
  const [was, became] = [byId(before), byId(after)]
  const kept: Plain[] = []
  for (const record of now) {
    const part = partBack(record, was.get(record.id), became.get(record.id))
    if (part === CLASH) return CLASH
    if (part !== undefined) kept.push(part as Plain)
  }
  before.forEach((record, index) => {
    if (!became.has(record.id) && !now.some(other => other.id === record.id)) kept.splice(index, 0, record)
  })
  return kept
}

const byId = <T extends { readonly id: string }>(records: readonly T[]) =>
  new Map(records.map(record => [record.id, record]))
