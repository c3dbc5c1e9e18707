/**
 * When and on which screen a value was written: a hybrid logical clock in µs, and the screen's id. Later ones win; of two at once the
 * screen's id tells. Source: Kulkarni, Demirbas and others, Logical Physical Clocks, OPODIS 2014.
 */
export type Stamp = readonly [atUs: number, screen: string]

/** Stamps of one record: each changed path with the stamp of its last change; an empty path is the record itself. */
export interface StampRow {
  /** Table and id of the record. */
  readonly id: string
  readonly f: Readonly<Record<string, Stamp>>
}

/** Returns how far a log has seen the changes of each screen: a stamp that is not later is in it. */
export type Seen = Readonly<Record<string, number>>

const US_PER_MS = 1000

/** Returns the clock after `lastUs`: the computer's own, or a moment later where that stands still or was set back. */
export const tickUs = (nowMs: number, lastUs: number): number => Math.max(nowMs * US_PER_MS, lastUs + 1)

export const stampMs = ([atUs]: Stamp): number => Math.floor(atUs / US_PER_MS)

export const isLater = (a: Stamp, b: Stamp): boolean => a[0] > b[0] || (a[0] === b[0] && a[1] > b[1])

/** Returns the later of two stamps, either of which may be missing. */
export function laterOf(a: Stamp | undefined, b: Stamp | undefined): Stamp | undefined {
  if (!a || !b) return a ?? b
  return isLater(b, a) ? b : a
}

export const isSeen = (seen: Seen, [atUs, screen]: Stamp): boolean => (seen[screen] ?? 0) >= atUs

/** Returns what two logs have seen together. */
export const seenByBoth = (a: Seen, b: Seen): Seen => {
  const both: Record<string, number> = { ...a }
  for (const [screen, atUs] of Object.entries(b)) both[screen] = Math.max(both[screen] ?? 0, atUs)
  return both
}

export const stampRowId = (table: string, id: string): string => `${table}/${id}`
