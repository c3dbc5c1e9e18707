import type { Reading } from '../shop/reading'

/** Readings of some blades without the set that was entered last, and that set: one blade at one stage. */
export interface BeforeLatest {
  readonly before: readonly Reading[]
  readonly latest: readonly Reading[]
}

/** Returns the readings of some blades parted so; null where there was nothing before the last set. */
export function beforeLatest(readings: readonly Reading[], bladeIds: ReadonlySet<string>): BeforeLatest | null {
  const own = readings.filter(r => r.deletedAt === null && r.bladeId !== null && bladeIds.has(r.bladeId))
  const newest = own.reduce<Reading | null>((last, r) => (last === null || r.at >= last.at ? r : last), null)
  if (!newest) return null
  const isOfLast = (r: Reading) => r.bladeId === newest.bladeId && r.stage === newest.stage
  const before = own.filter(r => !isOfLast(r))
  return before.length > 0 ? { before, latest: own.filter(isOfLast) } : null
}
