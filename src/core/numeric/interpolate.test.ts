import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { interpolateLinear, monotoneOf, type Table } from './interpolate'

const rows = fc
  .uniqueArray(fc.integer({ min: 0, max: 1000 }), { minLength: 2, maxLength: 12 })
  .chain(xs =>
    fc.tuple(
      fc.constant([...xs].sort((a, b) => a - b)),
      fc.array(fc.double({ min: -100, max: 100, noNaN: true }), { minLength: xs.length, maxLength: xs.length }),
    ),
  )
  .map(([xs, ys]): Table => xs.map((x, i) => [x, ys[i] as number] as const))

describe.each([
  ['straight lines', interpolateLinear],
  ['monotone pieces', (table: Table, x: number) => monotoneOf(table)(x)],
])('a table by %s', (_, at) => {
  it('passes every row, and keeps its end values beyond', () => {
    fc.assert(
      fc.property(rows, table => {
        for (const [x, y] of table) expect(at(table, x)).toBeCloseTo(y, 9)
        expect(at(table, -1e6)).toBe(table[0]?.[1])
        expect(at(table, 1e6)).toBe(table[table.length - 1]?.[1])
      }),
    )
  })

  it('never swings past the two rows it is between', () => {
    fc.assert(
      fc.property(rows, fc.double({ min: 0, max: 1, noNaN: true }), (table, part) => {
        for (const [i, b] of table.slice(1).entries()) {
          const a = table[i] as readonly [number, number]
          const y = at(table, a[0] + part * (b[0] - a[0]))
          expect(y).toBeGreaterThanOrEqual(Math.min(a[1], b[1]) - 1e-9)
          expect(y).toBeLessThanOrEqual(Math.max(a[1], b[1]) + 1e-9)
        }
      }),
    )
  })

  it('refuses an empty table: a programmer’s error', () => {
    expect(() => at([], 1)).toThrow(RangeError)
  })
})

it('monotone pieces are exact on a straight line', () => {
  const line = monotoneOf([
    [0, 0],
    [4, 8],
    [10, 20],
  ])
  expect(line(7)).toBeCloseTo(14, 12)
})
