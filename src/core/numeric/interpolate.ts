/** A table of [x, y] rows with x strictly rising. */
export type Table = readonly (readonly [x: number, y: number])[]

/** Index of the first row at or past x, which lies inside the table; by halving. */
function rowAtOrPast(table: Table, x: number): number {
  let low = 0
  let high = table.length - 1
  while (low < high) {
    const middle = (low + high) >> 1
    if ((table[middle] as readonly [number, number])[0] >= x) high = middle
    else low = middle + 1
  }
  return low
}

const slopeBetween = (a: readonly [number, number], b: readonly [number, number]) => (b[1] - a[1]) / (b[0] - a[0])

/**
 * Value of a table at x by straight lines between its rows; beyond its ends, the end value.
 * @example interpolateLinear([[0, 0], [10, 20]], 5) // 10
 */
export function interpolateLinear(table: Table, x: number): number {
  const first = table[0]
  const last = table[table.length - 1]
  if (!first || !last) throw new RangeError('interpolateLinear: the table is empty')
  if (x <= first[0]) return first[1]
  if (x >= last[0]) return last[1]
  const upper = rowAtOrPast(table, x)
  const a = table[upper - 1] as readonly [number, number]
  const b = table[upper] as readonly [number, number]
  return a[1] + slopeBetween(a, b) * (x - a[0])
}

/**
 * A table read by monotone cubic pieces: it passes every row, and never swings past a row between two others. Beyond its ends, the
 * end value. Its slopes are worked out once, for tables that are read thousands of times.
 * Source: Fritsch and Butland (1984), SIAM J. Sci. Stat. Comput. 5, 300 (harmonic-mean slopes).
 * @example monotoneOf([[0, 0], [10, 20]])(5) // 10
 */
export function monotoneOf(table: Table): (x: number) => number {
  const n = table.length
  if (n === 0) throw new RangeError('monotoneOf: the table is empty')
  const xs = Float64Array.from(table, row => row[0])
  const ys = Float64Array.from(table, row => row[1])
  const slopes = Float64Array.from(table, (_, i) => tangent(table, i))
  const [firstX, lastX] = [xs[0] as number, xs[n - 1] as number]
  return x => {
    if (x <= firstX) return ys[0] as number
    if (x >= lastX) return ys[n - 1] as number
    let low = 0
    let high = n - 1
    while (high - low > 1) {
      const middle = (low + high) >> 1
      if ((xs[middle] as number) < x) low = middle
      else high = middle
    }
    const h = (xs[high] as number) - (xs[low] as number)
    const s = (x - (xs[low] as number)) / h
    const s2 = s * s
    const s3 = s2 * s
    return (
      (ys[low] as number) * (2 * s3 - 3 * s2 + 1) +
      h * (slopes[low] as number) * (s3 - 2 * s2 + s) +
      (ys[high] as number) * (3 * s2 - 2 * s3) +
      h * (slopes[high] as number) * (s3 - s2)
    )
  }
}

function tangent(table: Table, i: number): number {
  const here = table[i] as readonly [number, number]
  const before = table[i - 1]
  const after = table[i + 1]
  if (!before) return after ? slopeBetween(here, after) : 0
  if (!after) return slopeBetween(before, here)
  const left = slopeBetween(before, here)
  const right = slopeBetween(here, after)
  return left * right <= 0 ? 0 : (2 * left * right) / (left + right)
}
