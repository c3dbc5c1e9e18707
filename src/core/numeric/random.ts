/**
 * Repeatable random numbers from a seed (mulberry32, public domain by its author), with the few draws that are needed:
 * the same seed gives the same numbers everywhere.
 */
export function createRandom(seed: number) {
  let state = seed >>> 0
  const uniform = () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
  return {
    uniform,
    /** Normal by Box and Muller. */
    normal: (mean: number, sd: number) =>
      mean + sd * Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform()),
    pick: <T>(items: readonly T[]): T => items[Math.floor(uniform() * items.length)] as T,
    id: (prefix: string) => `${prefix}-${Math.floor(uniform() * 2 ** 40).toString(36)}`,
  }
}

export type Random = ReturnType<typeof createRandom>
