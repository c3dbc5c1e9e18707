import { describe, expect, it } from 'vitest'
import { modelSd } from './model-error'
import type { Route } from './route'

const route = (austenitizeC: number, temperC: number): Route => ({
  austenitizeC,
  soakMin: 20,
  quenchedToC: 25,
  cold: null,
  tempers: [
    { atC: temperC, holdMin: 120 },
    { atC: temperC, holdMin: 120 },
  ],
})
const KNOWN_STEEL = { C: 1.05, Cr: 17, Mo: 0.5, Si: 0.4, Mn: 0.4 }

describe('the error of the model', () => {
  it('grows with the distance from what is known, in composition and in route', () => {
    const near = modelSd({ composition: KNOWN_STEEL }, route(1040, 205))
    expect(modelSd({ composition: { ...KNOWN_STEEL, C: 2.4, Mo: 7 } }, route(1040, 205))).toBeGreaterThan(near + 0.3)
    expect(modelSd({ composition: KNOWN_STEEL }, route(1200, 205))).toBeGreaterThan(near + 0.1)
    expect(modelSd({ composition: KNOWN_STEEL }, route(1040, 740))).toBeGreaterThan(near + 0.1)
  })

  it('is widest for vanadium-rich powder and lean stainless steel, and below 1.2 HRC for ordinary stainless', () => {
    const vanadiumRich = modelSd(
      { composition: { C: 1.1, Cr: 7.5, Mo: 1.6, W: 1.15, V: 2.4 }, made: 'powder' },
      route(1066, 540),
    )
    const lean = modelSd({ composition: { C: 0.38, Cr: 13.6, V: 0.3 } }, route(1025, 250))
    const ordinary = modelSd({ composition: KNOWN_STEEL }, route(1040, 205))
    expect(ordinary).toBeLessThan(1.2)
    expect(Math.min(vanadiumRich, lean)).toBeGreaterThan(1.5 * ordinary)
  })
})
