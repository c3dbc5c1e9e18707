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
 * Value of a table at x by monotone cubic pieces: it passes every row, and never swings past a row between two others.
 * Beyond its ends, the end value.
 * Source: Fritsch and Butland (1984), SIAM J. Sci. Stat. Comput. 5, 300 (harmonic-mean slopes).
 */
export function interpolateMonotone(table: Table, x: number): number {
  const n = table.length
  const first = table[0]
  const last = table[n - 1]
  if (!first || !last) throw new RangeError('interpolateMonotone: the table is empty')
  if (x <= first[0]) return first[1]
  if (x >= last[0]) return last[1]
  const i = rowAtOrPast(table, x) - 1
  const a = table[i] as readonly [number, number]
  const b = table[i + 1] as readonly [number, number]
  const h = b[0] - a[0]
  const s = (x - a[0]) / h
  const ma = tangent(table, i)
  const mb = tangent(table, i + 1)
  const s2 = s * s
  const s3 = s2 * s
  return a[1] * (2 * s3 - 3 * s2 + 1) + h * ma * (s3 - 2 * s2 + s) + b[1] * (3 * s2 - 2 * s3) + h * mb * (s3 - s2)
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
