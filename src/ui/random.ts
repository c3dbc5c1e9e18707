/** Returns a random number from 0 up to, not including, 1. */
export const uniform = (): number => (crypto.getRandomValues(new Uint32Array(1))[0] ?? 0) / 2 ** 32

/** Returns a random whole number from 0 up to, not including, `count`. */
export const randomBelow = (count: number): number => Math.floor(uniform() * count)
