import { expect, it } from 'vitest'
import { perMetric, SCALED } from './scaled'

// NIST Special Publication 811, appendix B, from memory: 1 ft³ = 0.028 316 85 m³, 1 qt = 0.946 352 9 L,
// 1 BTU/(h·°F) = 0.527 527 9 W/K, 1 lb = 0.453 592 4 kg, 1 ft² = 0.092 903 04 m².
it.each([
  ['volume', 1 / 0.02831685],
  ['bath', 1 / 0.9463529],
  ['leak', 1 / 0.5275279],
  ['pricePerM', 0.3048],
  ['pricePerM2', 0.09290304],
  ['pricePerM3', 0.02831685],
  ['pricePerKg', 0.4535924],
  ['pricePerLitre', 0.9463529],
] as const)('%s is what the handbook says', (kind, factor) => {
  expect(perMetric(kind, 'imperial') / factor).toBeCloseTo(1, 6)
  expect(perMetric(kind, 'metric')).toBe(1)
})

it('has a check for every quantity', () => {
  expect(Object.keys(SCALED)).toHaveLength(8)
})
