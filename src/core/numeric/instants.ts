/** Sorts ISO instants of one zone, oldest first: they stand in the order of their text, which is compared without any language. */
export const compareInstants = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0)
