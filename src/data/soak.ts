/**
 * How long a soak may get for the blades that are pulled last, against the longest usual one of their steel, and what is held over
 * the last pull, min. Common practice, no published source.
 */
export const LONGEST_SOAK = { timesUsual: 1.5, spareMin: 5 } as const

/** A blade in the oven that falls further below its heat than this is heated anew, and its soak begins anew, K. Our own rule. */
export const BEGINS_ANEW_BELOW_K = 150
