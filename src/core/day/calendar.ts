import { downToGrid, GRID_MIN, joinedWindows, upToGrid, type Window } from './problem'

/** Hands at work as a task sees them. */
export interface Calendar {
  /** The last minute anything may end at. */
  readonly endMin: number
  /**
   * The first start at or after `fromMin` at which a task of so many minutes lies whole in one window; infinite where there is none.
   * `afterOpeningMin`: how long after hands came back it can be at the earliest.
   */
  readonly nextStart: (fromMin: number, durationMin: number, afterOpeningMin?: number) => number
}

/** Hands that were away for so long find their oven cold, min. */
const COLD_AFTER_MIN = 180

/**
 * Tables of next starts, one for each length of task that is asked for: the search asks them without end. What was before `nowMin`
 * was done whenever it was.
 */
export function calendarOf(windows: readonly Window[], nowMin = 0): Calendar {
  const real = joinedWindows(windows)
  const open: readonly Window[] = nowMin > 0 ? joinedWindows([[0, nowMin], ...real]) : real
  const endMin = open.at(-1)?.[1] ?? 0
  const slots = Math.ceil(endMin / GRID_MIN) + 1
  const tables = new Map<number, Float64Array>()
  const tableOf = (durationMin: number, afterOpeningMin: number): Float64Array => {
    const key = durationMin * 10_000 + afterOpeningMin
    const known = tables.get(key)
    if (known) return known
    const table = new Float64Array(slots).fill(Number.POSITIVE_INFINITY)
    for (const [from, to] of open)
      for (let start = upToGrid(from); start <= downToGrid(to - durationMin); start += GRID_MIN)
        if (start >= earliestIn(start, afterOpeningMin)) table[start / GRID_MIN] = start
    for (let i = slots - 2; i >= 0; i--) table[i] = Math.min(table[i] as number, table[i + 1] as number)
    tables.set(key, table)
    return table
  }
  /** The earliest in the window of a start for what needs an oven that hands switched on. */
  const earliestIn = (start: number, minutes: number): number => {
    const window = real.findLastIndex(([from]) => from <= start)
    const away = (real[window]?.[0] ?? 0) - (real[window - 1]?.[1] ?? Number.NEGATIVE_INFINITY)
    return window < 0 || away < COLD_AFTER_MIN ? 0 : (real[window]?.[0] ?? 0) + minutes
  }
  return {
    endMin,
    nextStart: (fromMin, durationMin, afterOpeningMin = 0) =>
      tableOf(durationMin, afterOpeningMin)[Math.max(0, Math.ceil(fromMin / GRID_MIN))] ?? Number.POSITIVE_INFINITY,
  }
}
