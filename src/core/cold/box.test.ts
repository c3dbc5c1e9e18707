import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bathLevel, boxLayout } from './box'

const blade = { lengthMm: 250, widthMm: 40, thicknessMm: 3 }
const many = (n: number, more = {}) => Array.from({ length: n }, () => ({ ...blade, ...more }))
const box = { length: 300, width: 200, depth: 120 }

describe('blades in a box', () => {
  it('counts blades on edge with room between them: 300 x 200 x 120 mm takes two layers of 17', () => {
    // (200 − 8)/(3 + 8) = 17 side by side; (120 − 20)/(40 + 8) = 2 layers; worked by hand.
    expect(boxLayout(box, many(14))).toMatchObject({ fits: 34, layers: 2, perLayer: 17, tooLong: [] })
  })

  it('names what is longer than the box, and holds none in one too shallow', () => {
    expect(boxLayout(box, [blade, { ...blade, lengthMm: 360 }]).tooLong).toEqual([1])
    expect(boxLayout({ ...box, depth: 50 }, many(2)).fits).toBe(0)
  })

  it('sets each of them inside, and none in another (law)', () => {
    const size = fc.record({
      lengthMm: fc.integer({ min: 80, max: 320 }),
      widthMm: fc.integer({ min: 15, max: 60 }),
      thicknessMm: fc.double({ min: 1, max: 6, noNaN: true }),
    })
    fc.assert(
      fc.property(fc.array(size, { minLength: 1, maxLength: 40 }), blades => {
        const { places } = boxLayout(box, blades)
        const spans = places.map(({ blade: i, alongMm, acrossMm, upMm }) => {
          const b = blades[i] as typeof blade
          return [
            [alongMm, alongMm + b.lengthMm],
            [acrossMm, acrossMm + b.thicknessMm],
            [upMm, upMm + b.widthMm],
          ] as const
        })
        const inside = [box.length, box.width, box.depth]
        for (const span of spans)
          span.forEach(([, end], axis) => {
            expect(end).toBeLessThanOrEqual(inside[axis] as number)
          })
        spans.forEach((a, i) => {
          for (const b of spans.slice(i + 1))
            expect(a.some(([from, to], axis) => to <= (b[axis]?.[0] ?? 0) || (b[axis]?.[1] ?? 0) <= from)).toBe(true)
        })
      }),
    )
  })
})

describe('a bath about blades', () => {
  const level = (n: number, litres: number) => bathLevel(box, many(n), boxLayout(box, many(n)), litres)

  it('stands by what the steel pushes aside: ten blades, 1 L', () => {
    // By hand: below 40 mm the free area is 300·200 − 10·250·3 = 52,500 mm²; 1 L / 52,500 mm² = 19.05 mm, 47.6 % of 40 mm;
    // to cover them 52,500 · 40 = 2.1 L.
    const { levelMm, covered, litresToCover } = level(10, 1)
    expect(levelMm).toBeCloseTo(19.05, 2)
    expect(covered).toBeCloseTo(0.476, 3)
    expect(litresToCover).toBeCloseTo(2.1, 6)
  })

  it('covers all once there is as much as it says it takes, and without blades has nothing to cover', () => {
    const { litresToCover } = level(20, 1)
    expect(level(20, litresToCover).covered).toBeCloseTo(1, 6)
    expect(level(20, litresToCover * 0.9).covered).toBeLessThan(1)
    expect(level(0, 3)).toMatchObject({ covered: 1 })
    expect(level(0, 3).levelMm).toBeCloseTo(50, 6)
  })
})
