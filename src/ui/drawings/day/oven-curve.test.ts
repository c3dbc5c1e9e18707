import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type CurvePoint, coloured, visible } from './oven-curve'

const HEAT: readonly CurvePoint[] = [
  [100, 20],
  [200, 1000],
  [300, 1000],
  [320, 1000],
  [400, 500],
]

describe('an oven’s curve in a drawing', () => {
  it('is cut at the edges, where it goes on beyond them', () => {
    expect(visible(HEAT, 150, 360)).toEqual([
      [150, 510],
      [200, 1000],
      [300, 1000],
      [320, 1000],
      [360, 750],
    ])
    expect(visible(HEAT, 210, 250)).toEqual([
      [210, 1000],
      [250, 1000],
    ])
    expect(visible(HEAT, 500, 600)).toEqual([])
    // As good as cold.
    expect(visible(HEAT, 0, 600)[0]).toEqual([100, 0])
  })

  it('changes its colour by little from one stop to the next, and has none to spare along a hold', () => {
    const stops = coloured(HEAT)
    stops.slice(1).forEach(([x, c], i) => {
      const [beforeX, beforeC] = stops[i] as CurvePoint
      expect(Math.abs(c - beforeC)).toBeLessThanOrEqual(25)
      expect(x).toBeGreaterThanOrEqual(beforeX)
    })
    expect(stops.filter(([x]) => x === 300)).toHaveLength(0)
    expect(stops.length).toBeLessThan(70)
  })

  it('goes through every point of the curve where it turns', () => {
    const rising = fc.array(fc.tuple(fc.integer({ min: 1, max: 50 }), fc.integer({ min: 20, max: 1200 })), {
      minLength: 2,
      maxLength: 12,
    })
    fc.assert(
      fc.property(rising, steps => {
        let x = 0
        const points = steps.map(([dx, c]): CurvePoint => {
          x += dx
          return [x, c]
        })
        const stops = coloured(points)
        return points.every(
          ([px, c], i) =>
            (points[i - 1]?.[1] === c && points[i + 1]?.[1] === c) ||
            stops.some(([sx, sc]) => Math.abs(sx - px) < 1e-6 && Math.abs(sc - c) < 1e-6),
        )
      }),
    )
  })
})
