/** Returns a value rounded to a multiple of a step. */
export const roundTo = (value: number, step: number): number => Math.round(value / step) * step

/** Returns a value rounded to so many decimals. */
export const rounded = (value: number, decimals: number): number => Number(value.toFixed(decimals))

/** Returns the smallest range of multiples of a step that holds a range. */
export const outward = (range: { readonly min: number; readonly max: number }, step: number) => ({
  min: Math.floor(range.min / step) * step,
  max: Math.ceil(range.max / step) * step,
})

/** Returns the mean of two values. */
export const meanOf = (a: number, b: number): number => (a + b) / 2

/** Returns the percentage of a share that is done, rounded down to a step. */
export const percentDone = (share: number, stepPercent: number): number =>
  Math.floor((share * 100) / stepPercent + 1e-9) * stepPercent
