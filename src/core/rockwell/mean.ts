/** Arithmetic mean of at least one value. */
export const meanOf = (values: readonly number[]): number => values.reduce((sum, v) => sum + v, 0) / values.length
