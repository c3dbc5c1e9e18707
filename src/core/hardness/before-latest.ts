import type { Reading } from '../shop/reading'

/** Readings without the set that was entered last of some blades, and that set: one blade at one stage. */
export interface BeforeLatest {
  readonly before: readonly Reading[]
  readonly latest: readonly Reading[]
}

/** Returns readings parted so; null where nothing was read of those blades before the last set. */
export function beforeLatest(readings: readonly Reading[], bladeIds: ReadonlySet<string>): BeforeLatest | null {
  const own = readings.filter(r => r.deletedAt === null && r.bladeId !== null && bladeIds.has(r.bladeId))
  const newest = own.reduce<Reading | null>((last, r) => (last === null || r.at >= last.at ? r : last), null)
  if (!newest) return null
  const isOfLast = (r: Reading) => r.bladeId === newest.bladeId && r.stage === newest.stage
  // Those of other blades stay: how much readings scatter is told by them too.
  return own.every(isOfLast) ? null : { before: readings.filter(r => !isOfLast(r)), latest: own.filter(isOfLast) }
}
