import { solve } from 'yalps'
import type { PieceType } from './guillotine'

/**
 * Length below which no plan can be, mm: the bar relaxation. A line across the roll meets pieces whose widths fit the
 * roll; every piece must be met along its whole length. The linear programme over all such bars is solved from its dual
 * by cutting planes, the most violated bar found by a knapsack; at each step the duals divided by the worst violation
 * are feasible, so the bound holds however early it stops. It is rounded up to the next length that the pieces' sides can
 * add up to.
 * Source: bar relaxation as in Belov, Scheithauer, Mukhacheva (2008), J. Oper. Res. Soc. 59, 823; from memory.
 */
export function lowerBoundMm(types: readonly PieceType[], counts: readonly number[], rollWidthMm: number): number {
  const area = types.reduce((sum, type, i) => sum + (counts[i] ?? 0) * type.area, 0) / rollWidthMm
  const tallest = Math.max(0, ...types.map(type => Math.min(...type.ways.map(way => way.y))))
  const bound = Math.max(area, tallest, barBound(types, counts, rollWidthMm))
  return nextSumOfSides(types, counts, Math.ceil(bound - 1e-6))
}

/** Bars added at the most, and what violation is as good as none. */
const MOST_BARS = 60
const FEASIBLE = 1.0005

/** A bar: how many of each type it meets, lying each way. */
type Bar = readonly { readonly type: number; readonly alongMm: number; readonly n: number }[]

function barBound(types: readonly PieceType[], counts: readonly number[], rollWidthMm: number): number {
  const bars: Bar[] = types.flatMap((type, i) =>
    type.ways.map(way => [{ type: i, alongMm: way.y, n: Math.min(counts[i] ?? 0, Math.floor(rollWidthMm / way.x)) }]),
  )
  let best = 0
  for (let round = 0; round < MOST_BARS; round++) {
    const duals = dualsOf(types, counts, bars)
    const { value, bar } = worstBar(types, counts, rollWidthMm, duals)
    const length = duals.reduce((sum, dual, i) => sum + dual * (counts[i] ?? 0), 0)
    best = Math.max(best, length / Math.max(1, value))
    if (value <= FEASIBLE) break
    bars.push(bar)
  }
  return best
}

/** Length each piece of a type is worth, at the most, while no known bar is worth more than its own length. */
function dualsOf(types: readonly PieceType[], counts: readonly number[], bars: readonly Bar[]): number[] {
  const name = (i: number) => `u${i}`
  const variables = Object.fromEntries(
    types.map((_, i) => [
      name(i),
      Object.fromEntries<number>([
        ['length', counts[i] ?? 0],
        ...bars.flatMap((bar, b): [string, number][] => {
          const worth = bar.filter(part => part.type === i).reduce((sum, part) => sum + part.n / part.alongMm, 0)
          return worth > 0 ? [[`bar${b}`, worth]] : []
        }),
      ]),
    ]),
  )
  const constraints = Object.fromEntries(bars.map((_, b) => [`bar${b}`, { max: 1 }]))
  const { variables: solved } = solve({ direction: 'maximize', objective: 'length', constraints, variables })
  const found = new Map(solved)
  return types.map((_, i) => found.get(name(i)) ?? 0)
}

/** The bar worth most under the duals: a knapsack over the roll's width, each piece in it once, lying one way. */
function worstBar(
  types: readonly PieceType[],
  counts: readonly number[],
  rollWidthMm: number,
  duals: readonly number[],
) {
  const worth = new Float64Array(rollWidthMm + 1)
  const chosen: { copies: Int16Array; type: number }[] = []
  types.forEach((type, i) => {
    const most = Math.min(counts[i] ?? 0, Math.floor(rollWidthMm / Math.min(...type.ways.map(way => way.x))))
    for (let copy = 0; copy < most; copy++) {
      const copies = new Int16Array(rollWidthMm + 1).fill(-1)
      for (let x = rollWidthMm; x >= 0; x--)
        type.ways.forEach((way, w) => {
          if (way.x > x) return
          const value = (worth[x - way.x] as number) + (duals[i] ?? 0) / way.y
          if (value > (worth[x] as number) + 1e-12) {
            worth[x] = value
            copies[x] = w
          }
        })
      chosen.push({ copies, type: i })
    }
  })
  const parts = new Map<string, { type: number; alongMm: number; n: number }>()
  let x = rollWidthMm
  for (let c = chosen.length - 1; c >= 0; c--) {
    const { copies, type } = chosen[c] as (typeof chosen)[number]
    const w = copies[x] as number
    if (w < 0) continue
    const way = types[type]?.ways[w] as PieceType['ways'][number]
    const key = `${type}/${w}`
    const part = parts.get(key) ?? { type, alongMm: way.y, n: 0 }
    parts.set(key, { ...part, n: part.n + 1 })
    x -= way.x
  }
  return { value: worth[rollWidthMm] as number, bar: [...parts.values()] }
}

/** Past this length a sum of sides is as good as any: the table would grow for nothing. */
const MOST_TABLE_MM = 20_000

/** The least length from a bound on that sides of the pieces can add up to. */
function nextSumOfSides(types: readonly PieceType[], counts: readonly number[], from: number): number {
  const longest = from + Math.max(0, ...types.flatMap(type => type.ways.map(way => way.y)))
  if (longest > MOST_TABLE_MM || from === 0) return from
  let reached = new Uint8Array(longest + 1)
  reached[0] = 1
  types.forEach((type, i) => {
    for (let n = 0; n < (counts[i] ?? 0); n++) {
      const next = reached.slice()
      for (const way of type.ways)
        for (let sum = 0; sum + way.y <= longest; sum++) if (reached[sum]) next[sum + way.y] = 1
      if (next.every((value, at) => value === reached[at])) break
      reached = next
    }
  })
  for (let sum = from; sum <= longest; sum++) if (reached[sum]) return sum
  return from
}
