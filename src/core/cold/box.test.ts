import { expect, it } from 'vitest'
import { boxLayout } from './box'

const blade = { lengthMm: 250, widthMm: 40, thicknessMm: 3 }
const many = (n: number, more = {}) => Array.from({ length: n }, () => ({ ...blade, ...more }))

it('counts blades on edge with room between them: 300 x 200 x 120 mm takes two layers of 17', () => {
  // (200 − 8)/(3 + 8) = 17 side by side; (120 − 20)/(40 + 8) = 2 layers; worked by hand.
  expect(boxLayout({ length: 300, width: 200, depth: 120 }, many(14))).toEqual({
    fits: 34,
    layers: 2,
    perLayer: 17,
    tooLong: [],
  })
})

it('names what is longer than the box, and holds none in one too shallow', () => {
  expect(boxLayout({ length: 300, width: 200, depth: 120 }, [blade, { ...blade, lengthMm: 360 }]).tooLong).toEqual([1])
  expect(boxLayout({ length: 300, width: 200, depth: 50 }, many(2)).fits).toBe(0)
})
