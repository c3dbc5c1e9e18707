/**
 * Solves A x = b in place by elimination down the diagonal; A is row-major, n by n, symmetric, and only its upper half is read.
 * For the small dense systems of the oven: every node holds heat, so that each diagonal outweighs its row and none needs a pivot.
 */
export function solveInPlace(a: Float64Array, b: Float64Array, n: number): void {
  for (let i = 0; i < n; i++) {
    const diagonal = a[i * n + i] as number
    for (let r = i + 1; r < n; r++) {
      const above = a[i * n + r] as number
      if (above === 0) continue
      const f = above / diagonal
      for (let c = r; c < n; c++) a[r * n + c] = (a[r * n + c] as number) - f * (a[i * n + c] as number)
      b[r] = (b[r] as number) - f * (b[i] as number)
    }
  }
  for (let i = n - 1; i >= 0; i--) {
    let sum = b[i] as number
    for (let c = i + 1; c < n; c++) sum -= (a[i * n + c] as number) * (b[c] as number)
    b[i] = sum / (a[i * n + i] as number)
  }
}
