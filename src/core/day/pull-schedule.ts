/** Plates and hands by plain rules: nothing of heat. Times in min. */
export interface PlateRules {
  readonly sets: number
  readonly pressMin: number
  /** Hands on a blade from the oven into the plates. */
  readonly handleMin: number
  /** Blades a set presses in a row before it rests. */
  readonly maxRun: number
  readonly restMin: number
}

export interface SoakLimits {
  readonly count: number
  readonly soakMin: readonly [least: number, most: number]
}

/** From the soak's begin to the first pull, and to the end of the last press; how far past its longest soak the latest blade comes. */
export interface PullSchedule {
  readonly firstMin: number
  readonly endMin: number
  readonly overMin: number
}

/**
 * Blades of a load pulled one by one, the one whose longest soak ends first, first: each once it has soaked enough, hands are free and
 * a set is. A set that has pressed its run rests before the next; one that stood idle so long has rested.
 */
export function pullSchedule(blades: readonly SoakLimits[], plates: PlateRules): PullSchedule {
  const sets = Array.from({ length: Math.max(1, plates.sets) }, () => ({ freeMin: 0, run: 0 }))
  const order = blades
    .flatMap(({ count, soakMin }) => Array.from({ length: count }, () => soakMin))
    .sort((a, b) => a[1] - b[1] || a[0] - b[0])
  let handsMin = 0
  let firstMin = Number.POSITIVE_INFINITY
  let endMin = 0
  let overMin = 0
  for (const [least, most] of order) {
    const earliest = Math.max(least, handsMin)
    const startOf = (set: (typeof sets)[number]) => {
      const rested = earliest - set.freeMin >= plates.restMin
      const from = set.run >= plates.maxRun && !rested ? set.freeMin + plates.restMin : set.freeMin
      return Math.max(earliest, from)
    }
    const set = sets.reduce((best, other) => (startOf(other) < startOf(best) ? other : best))
    const pullMin = startOf(set)
    set.run = pullMin - set.freeMin >= plates.restMin ? 1 : set.run + 1
    set.freeMin = pullMin + plates.pressMin
    handsMin = pullMin + plates.handleMin
    firstMin = Math.min(firstMin, pullMin)
    endMin = Math.max(endMin, set.freeMin)
    overMin = Math.max(overMin, pullMin - most)
  }
  return { firstMin, endMin, overMin }
}
