/** Returns a part of a whole as a CSS percentage, at most the whole. */
export const percentOfWidth = (part: number, whole: number): string => `${Math.min(100, (100 * part) / whole)}%`
