/** A rate with the interval that holds it, fractions 0..1. */
export interface Rate {
  readonly share: number
  readonly from: number
  readonly to: number
}

const Z95 = 1.959964

/**
 * A share of some trials with its 95 % interval. Source: Wilson (1927), which holds for five trials as well as for fifty.
 * @example rateOf(0, 10) // 0, from 0 to 0.278
 */
export function rateOf(count: number, of: number): Rate {
  if (of <= 0) return { share: 0, from: 0, to: 1 }
  const share = count / of
  const z2 = Z95 ** 2
  const middle = (share + z2 / (2 * of)) / (1 + z2 / of)
  const half = (Z95 / (1 + z2 / of)) * Math.sqrt((share * (1 - share)) / of + z2 / (4 * of * of))
  return { share, from: Math.max(0, middle - half), to: Math.min(1, middle + half) }
}
