import fc from 'fast-check'
import { svgPathProperties } from 'svg-path-properties'
import { describe, expect, it } from 'vitest'
import { flattenPath } from './flatten-path'

const lengthOf = (points: readonly (readonly [number, number])[]) =>
  points.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - (points[i]?.[0] ?? x), y - (points[i]?.[1] ?? y)), 0)

/** Checked against svg-path-properties, which measures along the curve itself. */
const measured = (d: string) => new svgPathProperties(d)

describe('a path taken apart into points', () => {
  it.each([
    ['lines, level and upright', 'M10 10 L110 10 V40 H10 Z'],
    ['relative lines', 'm10 10 l100 0 0 30 -100 0 z'],
    ['a cubic curve and its shorthand', 'M0 0 C40 -30 80 60 120 10 S200 40 220 0'],
    ['a quadratic curve and its shorthand', 'M0 0 Q50 80 100 0 T200 0'],
    ['arcs either way round', 'M10 80 A45 30 20 0 0 125 90 A20 20 0 1 1 160 60'],
    ['a blade with a belly', 'M0 20 L180 20 Q240 18 250 8 C200 2 120 0 0 2 Z'],
  ])('is as long as the path, and lies on it: %s', (_, d) => {
    const points = flattenPath(d, 240) ?? []
    const path = measured(d)
    const total = path.getTotalLength()
    expect(lengthOf(points) / total).toBeCloseTo(1, 3)
    // The other library's own points are up to a whole space apart.
    const fine = Array.from({ length: 4001 }, (__, i) => path.getPointAtLength((total * i) / 4000))
    for (const [x, y] of points)
      expect(Math.min(...fine.map(at => Math.hypot(at.x - x, at.y - y)))).toBeLessThan(total / 2000)
  })

  it('is its first part where it has several, and nothing where it has no length or is none', () => {
    expect(flattenPath('M0 0 L10 0 M50 50 L60 60', 10)?.at(-1)).toEqual([10, 0])
    for (const none of ['', 'L10 10', 'M5 5', 'M5 5 Z', 'hello', 'M0 0 L1e400 0'])
      expect(flattenPath(none, 10)).toBeNull()
  })

  it('has finite points or none, whatever is written', () => {
    fc.assert(
      fc.property(fc.stringMatching(/^M[ 0-9.,eCLQAZHVST-]{0,80}$/), d =>
        (flattenPath(d, 40) ?? []).every(([x, y]) => Number.isFinite(x) && Number.isFinite(y)),
      ),
    )
  })

  it('takes no more points than asked for, beside one for each piece', () => {
    expect(flattenPath('M0 0 L10 0 L10 10 L0 10 Z', 100)?.length).toBeLessThanOrEqual(105)
  })
})
