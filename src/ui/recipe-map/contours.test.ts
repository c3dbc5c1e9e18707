import fc from 'fast-check'
import { svgPathProperties } from 'svg-path-properties'
import { describe, expect, it } from 'vitest'
import { contoursAt } from '../../core/steel/contours'
import { areaPath, type Field, fieldAt, labelSpot, linesOf, type PlotBox } from './contours'

const box: PlotBox = { left: 50, top: 10, right: 450, bottom: 310 }
const size = 41
/** A field over shares of its sides, 0..1 across and up. */
const field = (of: (x: number, y: number) => number): Field => ({
  size,
  values: Array.from({ length: size * size }, (_, k) => of((k % size) / (size - 1), Math.floor(k / size) / (size - 1))),
})
const plane = field((x, y) => 50 + 10 * x + 5 * y)
const dome = field((x, y) => 60 - 40 * ((x - 0.5) ** 2 + (y - 0.5) ** 2))

const contourOf = ({ size, values }: Field, level: number) => {
  const [contour] = contoursAt(values, size, [level])
  if (!contour) throw new Error('no contour')
  return contour
}
const linesAt = (of: Field, level: number, within: PlotBox) => linesOf(contourOf(of, level), within)

describe('lines of equal hardness', () => {
  it('lie where the field has their value: on a plane, exactly', () => {
    const lines = linesAt(plane, 56, box)
    expect(lines).toHaveLength(1)
    for (const [x, y] of lines[0] ?? []) {
      const across = (x - box.left) / (box.right - box.left)
      const up = (box.bottom - y) / (box.bottom - box.top)
      // The two ends are drawn to the edge of the plot.
      if (up > 0.02 && up < 0.98) expect(fieldAt(plane, across, up)).toBeCloseTo(56, 2)
    }
  })

  it('leave out the stretches that only follow the edge', () => {
    for (const line of linesAt(plane, 56, box)) {
      const along = line.slice(1).filter(([x, y], i) => {
        const [x0, y0] = line[i] as readonly [number, number]
        return (x === x0 && (x <= box.left || x >= box.right)) || (y === y0 && (y <= box.top || y >= box.bottom))
      })
      expect(along).toEqual([])
    }
  })

  it('a closed ring stays one ring, as long as its circle', () => {
    const [ring] = linesAt(dome, 58.4, box)
    // Radius 0.2 of the sides: an ellipse of 80 by 60 px; Ramanujan's formula for its perimeter.
    const [a, b] = [80, 60]
    const h = ((a - b) / (a + b)) ** 2
    const perimeter = Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)))
    const path = new svgPathProperties(`M${(ring ?? []).map(p => p.join(' ')).join('L')}Z`)
    expect(Math.abs(path.getTotalLength() / perimeter - 1)).toBeLessThan(0.02)
  })

  it('areas shrink as the level rises, and stay inside the plot', () => {
    fc.assert(
      fc.property(fc.double({ min: 51, max: 59, noNaN: true }), level => {
        const numbers =
          areaPath(contourOf(dome, level), box)
            .match(/[\d.]+/g)
            ?.map(Number) ?? []
        numbers.forEach((value, i) => {
          expect(value).toBeGreaterThanOrEqual(i % 2 === 0 ? box.left - 0.1 : box.top - 0.1)
          expect(value).toBeLessThanOrEqual(i % 2 === 0 ? box.right + 0.1 : box.bottom + 0.1)
        })
      }),
    )
  })
})

describe('a line’s name', () => {
  it('stands on the line, keeps clear of what is taken, and is left out where there is no room', () => {
    const lines = linesAt(plane, 56, box)
    const free = labelSpot(lines, box, [])
    if (!free) throw new Error('no spot')
    const on = (lines[0] ?? []).some(([x, y]) => Math.hypot(x - free.x, y - free.y) < 1)
    expect(on).toBe(true)
    const moved = labelSpot(lines, box, [[free.x, free.y]])
    if (moved) expect(Math.hypot(moved.x - free.x, moved.y - free.y)).toBeGreaterThan(20)
    expect(labelSpot([], box, [])).toBeNull()
    const crowded = Array.from(
      { length: 400 },
      (_, i) => [box.left + (i % 20) * 20, box.top + Math.floor(i / 20) * 16] as const,
    )
    expect(labelSpot(lines, box, crowded)).toBeNull()
  })
})

describe('the value between points', () => {
  it('is exact on a plane, and never past its neighbours', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.5, max: 1.5, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (x, y) => {
          const inside = Math.min(1, Math.max(0, x))
          expect(fieldAt(plane, x, y)).toBeCloseTo(50 + 10 * inside + 5 * y, 9)
          expect(fieldAt(dome, x, y)).toBeLessThanOrEqual(60 + 1e-9)
        },
      ),
    )
  })
})
