/**
 * Solves A x = b in place by Gaussian elimination with the largest pivot of each column; A is row-major, n by n.
 * For the small dense systems of the oven: every coefficient positive on the diagonal, so it never fails.
 */
export function solveInPlace(a: Float64Array, b: Float64Array, n: number): void {
  for (let i = 0; i < n; i++) {
    let pivot = i
    for (let r = i + 1; r < n; r++)
      if (Math.abs(a[r * n + i] as number) > Math.abs(a[pivot * n + i] as number)) pivot = r
    if (pivot !== i) {
      for (let c = i; c < n; c++) {
        const kept = a[i * n + c] as number
        a[i * n + c] = a[pivot * n + c] as number
        a[pivot * n + c] = kept
      }
      const kept = b[i] as number
      b[i] = b[pivot] as number
      b[pivot] = kept
    }
    const diagonal = a[i * n + i] as number
    for (let r = i + 1; r < n; r++) {
      const f = (a[r * n + i] as number) / diagonal
      if (f === 0) continue
      for (let c = i + 1; c < n; c++) a[r * n + c] = (a[r * n + c] as number) - f * (a[i * n + c] as number)
      b[r] = (b[r] as number) - f * (b[i] as number)
    }
  }
  for (let i = n - 1; i >= 0; i--) {
    let sum = b[i] as number
    for (let c = i + 1; c < n; c++) sum -= (a[i * n + c] as number) * (b[c] as number)
    b[i] = sum / (a[i * n + i] as number)
  }
}
