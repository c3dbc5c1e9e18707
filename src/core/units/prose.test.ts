import fc from 'fast-check'
import { expect, it } from 'vitest'
import { inShopUnits } from './prose'

it.each([
  ['Up to 1,100 °C: face shield.', 'Up to 2012 °F: face shield.'],
  ['Slower from 800 to 500 °C than it may be.', 'Slower from 1472 to 932 °F than it may be.'],
  ['dry ice, −75 °C', 'dry ice, −103 °F'],
  ['stands within 20 mm of an element', 'stands within 0.787 in of an element'],
  ['0.82 mm thick here: the anvil is felt below 0.80 mm.', '0.032 in thick here: the anvil is felt below 1/32 in.'],
  ['about 12 W/K lost', 'about 12 W/K lost'],
  // What is keyed stands in both already.
  ['2 h at 200 °C (392 °F), then cool', '2 h at 200 °C (392 °F), then cool'],
  ['one closing at 1060 °C 1940 °F would do', 'one closing at 1060 °C 1940 °F would do'],
  ['800 W/m²K over 100 mm²', '800 W/m²K over 100 mm²'],
])('%s', (metric, imperial) => {
  expect(inShopUnits(metric, 'imperial')).toBe(imperial)
  expect(inShopUnits(metric, 'metric')).toBe(metric)
})

it('tells a difference from a temperature', () => {
  expect(inShopUnits('a scrap 20 K hotter', 'imperial')).toBe('a scrap 36 °F hotter')
  expect(inShopUnits('a scrap 20 K hotter', 'metric')).toBe('a scrap 20 °C hotter')
})

it('leaves no quantity behind, and nothing to convert twice (law)', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(fc.integer({ min: -200, max: 1300 }), fc.constantFrom('°C', 'mm'))), words => {
      const text = words.map(([n, unit]) => `at ${n} ${unit}`).join(', ')
      const once = inShopUnits(text, 'imperial')
      expect(once).not.toMatch(/°C| mm/)
      expect(inShopUnits(once, 'imperial')).toBe(once)
    }),
  )
})
