import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seconds800to500Of } from './cooling-time'
import { halfBlade, meanOf, PlateStack } from './plate-stack'
import { type QuenchRequest, quench } from './quench'
import { coolingEnthalpy } from './steel-enthalpy'

const PLATES = { thicknessMm: 25, widthMm: 100, lengthMm: 450 }
const request = (more: Partial<QuenchRequest> = {}): QuenchRequest => ({
  blade: { thicknessMm: 3, widthMm: 40, lengthMm: 250 },
  foilMm: 0.05,
  fromC: 1065,
  medium: 'plates',
  plates: PLATES,
  plateStartC: 25,
  contactWPerM2K: 800,
  airWPerM2K: 10,
  martensiteStartC: 180,
  ambientC: 25,
  count: 1,
  everyS: 120,
  clampedS: 90,
  ...more,
})
const blade = (thicknessMm: number) => ({ thicknessMm, widthMm: 40, lengthMm: 250 })

describe('foil between plates', () => {
  const to500 = (foilMm: number) => quench(request({ foilMm })).blades[0]?.secondsTo['500'] ?? 0

  it('counts: a bare blade loses its heat sooner, thicker foil later, by its heat', () => {
    expect(to500(0)).toBeLessThan(0.8 * to500(0.05))
    expect(to500(0.1)).toBeGreaterThan(to500(0.05))
    // 0.1 mm more steel about a 3 mm blade is 3 % more heat, and its conduction is next to nothing: by hand.
    expect(to500(0.1) / to500(0.05)).toBeGreaterThan(1.02)
    expect(to500(0.1) / to500(0.05)).toBeLessThan(1.07)
  })
})

describe('one blade between plates', () => {
  // Converged one-dimensional conduction with martensite heat, of another making: mean steel °C at seconds, contact 1200.
  it.each([
    [1, 913.4],
    [2, 784.9],
    [5, 499.9],
    [10, 244.6],
    [20, 114.5],
    [30, 70.3],
    [60, 51.3],
    [120, 50.3],
  ])('after %i s is at %f °C', (seconds, reference) => {
    const stack = new PlateStack(PLATES, 25)
    const steel = halfBlade(1065)
    const conditions = { contactWPerM2K: 1200, airWPerM2K: 10, ambientC: 25, martensiteStartC: 180 }
    for (let s = 0; s < seconds - 1e-9; ) {
      const dt = s < 2 ? 0.02 : s < 20 ? 0.1 : 0.5
      stack.step(steel, blade(3), conditions, dt)
      s += dt
    }
    expect(Math.abs(meanOf(steel) - reference)).toBeLessThan(0.5)
  })

  // Same source: seconds to 500, 180, 100 and 60 °C, and the rate from 800 to 500 °C, contact 800.
  it.each([
    [2, 4.8, 11.6, 20.1, 29.2, 101],
    [3, 7.3, 17.8, 31.8, 50.8, 66],
    [4, 9.8, 24.3, 44.9, 98.1, 49],
    [5, 12.5, 31.1, 60.2, 590, 39],
  ])('of %i mm', (thicknessMm, to500, to180, to100, to60, rate) => {
    const [one] = quench(request({ blade: blade(thicknessMm), airWPerM2K: 8, clampedS: 900 })).blades
    const near = (mark: number, reference: number, within: number) =>
      expect(
        Math.abs((one?.secondsTo[String(mark)] ?? Number.POSITIVE_INFINITY) / reference - 1),
        `${mark}`,
      ).toBeLessThan(within)
    near(500, to500, 0.01)
    near(180, to180, 0.01)
    near(100, to100, 0.01)
    // 5 mm comes to rest with its plates near 60 °C: there a tenth of a degree is a minute.
    near(60, to60, thicknessMm === 5 ? 0.35 : 0.03)
    expect(Math.abs((one?.rate800to500CPerS ?? 0) / rate - 1)).toBeLessThan(0.01)
  })

  it('is bare-hand warm in 1 to 4 min with compressed air (common practice)', () => {
    const [one] = quench(request({ blade: blade(4), airWPerM2K: 80 })).blades
    expect(one?.secondsTo['60']).toBeGreaterThan(20)
    expect(one?.secondsTo['60']).toBeLessThan(240)
  })

  it('converges: half the step moves it by less than half a degree', () => {
    const at = (dt: number) => {
      const stack = new PlateStack(PLATES, 25)
      const steel = halfBlade(1065)
      for (let s = 0; s < 10 - 1e-9; s += dt) stack.step(steel, blade(3), request(), dt)
      return meanOf(steel)
    }
    expect(Math.abs(at(0.1) - at(0.05))).toBeLessThan(0.5)
  })

  it('closes its heat to 0.1 %: what the steel gives, the plates and the air have', () => {
    const stack = new PlateStack(PLATES, 25)
    const steel = halfBlade(1065)
    const conditions = { contactWPerM2K: 800, airWPerM2K: 0, ambientC: 25, martensiteStartC: 180 }
    for (let i = 0; i < 400; i++) stack.step(steel, blade(3), conditions, 0.1)
    const kg = 7700 * 0.04 * 0.25 * 0.0015
    const given =
      kg * (coolingEnthalpy(1065, 180) - steel.reduce((sum, c) => sum + coolingEnthalpy(c, 180), 0) / steel.length)
    const taken = 2700 * 896 * 0.1 * 0.45 * 0.025 * (stack.meanC(blade(3)) - 25)
    expect(Math.abs(taken / given - 1)).toBeLessThan(0.001)
  })

  it('takes its first moment from semi-infinite contact: q = hΔT·exp(β²t)·erfc(β√t)', () => {
    // Steel and aluminium at constant properties, β = h(1/e₁ + 1/e₂), mean flux over 0.2 s by Simpson's rule.
    const e1 = Math.sqrt((15 + 0.0125 * 1065) * 7700 * (500 + 0.12 * 1065))
    const e2 = Math.sqrt(167 * 2700 * 896)
    const beta = 800 * (1 / e1 + 1 / e2)
    const q = (t: number) => 800 * 1040 * Math.exp(beta ** 2 * t) * erfc(beta * Math.sqrt(t))
    const exact = ((q(1e-9) + 4 * q(0.1) + q(0.2)) / 6) * 0.2
    const stack = new PlateStack(PLATES, 25)
    const thick = { thicknessMm: 12, widthMm: 40, lengthMm: 250 }
    const steel = halfBlade(1065)
    for (let i = 0; i < 40; i++) stack.step(steel, thick, request(), 0.005)
    const given =
      (7700 * 0.006 * steel.reduce((sum, c) => sum + coolingEnthalpy(1065, 180) - coolingEnthalpy(c, 180), 0)) /
      steel.length
    expect(Math.abs(given / exact - 1)).toBeLessThan(0.06)
  })
})

/** Abramowitz and Stegun 7.1.26. */
function erfc(x: number): number {
  const t = 1 / (1 + 0.3275911 * x)
  return (
    t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) * Math.exp(-x * x)
  )
}

describe('blade after blade', () => {
  const series = (airWPerM2K: number) =>
    quench(request({ blade: { thicknessMm: 4, widthMm: 50, lengthMm: 350 }, airWPerM2K, count: 5 }))

  // 4 x 50 x 350 mm, clamped 90 s, every 120 s: plates before blade n, still air and fan.
  it.each([
    [8, [25, 82, 133, 178, 219]],
    [35, [25, 77, 117, 149, 174]],
  ])('with %i W/m²K to air the plates start at %j', (air, starts) => {
    series(air).blades.forEach((one, i) => {
      expect(Math.abs(one.plateStartC - (starts[i] as number))).toBeLessThan(1)
    })
  })

  it('the fourth large blade leaves above martensite start: too hot after three (common practice)', () => {
    const { pauseAfter, recoverS, blades, cautions } = series(8)
    expect(pauseAfter).toBeGreaterThanOrEqual(2)
    expect(pauseAfter).toBeLessThanOrEqual(4)
    expect(Math.abs((blades[3]?.leavesC ?? 0) - 222)).toBeLessThan(1)
    expect(recoverS).toBeGreaterThan(600)
    expect(cautions.map(c => c.code)).toContain('plates-hot')
  })

  it('small blades hardly matter (common practice)', () => {
    expect(
      quench(request({ blade: { thicknessMm: 2, widthMm: 22, lengthMm: 180 }, airWPerM2K: 35, count: 6 })).pauseAfter,
    ).toBeNull()
  })
})

it('from 800 to 500 °C counts from a cooler soak too, and a blade that never got there is slow', () => {
  expect(seconds800to500Of({ secondsTo: { 800: 1.5, 500: 5 } })).toBe(3.5)
  expect(seconds800to500Of({ secondsTo: { 800: null, 500: 4 } })).toBe(4)
  expect(seconds800to500Of({ secondsTo: { 800: 20, 500: null } })).toBeGreaterThan(600)
})

describe('without plates', () => {
  // Lumped, seconds to 500 and 100 °C: still air 83/817, in foil 157/1176, fan 45/254, oil at h 1000 5.7/26.1. Bare and in oil the
  // model's constants were calibrated on these: they hold it there. Only in foil is this a check.
  it.each([
    ['still-air', 0, 83, 817],
    ['still-air', 0.05, 157, 1176],
    ['fan-air', 0, 45, 254],
    ['oil', 0, 5.7, 26.1],
  ] as const)('%s, foil %f mm', (medium, foilMm, to500, to100) => {
    const [one] = quench(request({ medium, foilMm })).blades
    expect(Math.abs((one?.secondsTo['500'] ?? 0) / to500 - 1)).toBeLessThan(0.08)
    expect(Math.abs((one?.secondsTo['100'] ?? 0) / to100 - 1)).toBeLessThan(0.06)
  })
})

describe('what is doubtful', () => {
  it('plates thinner than the blade, or smaller', () => {
    const codes = quench(
      request({ blade: blade(8), plates: { thicknessMm: 6, widthMm: 30, lengthMm: 200 } }),
    ).cautions.map(c => c.code)
    expect(codes).toEqual(expect.arrayContaining(['thin-plates', 'small-plates']))
  })

  it('never cools below where the plates began, and always cools', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 8, noNaN: true }),
        fc.integer({ min: 100, max: 2000 }),
        (thicknessMm, contactWPerM2K) => {
          const { curve } = quench(request({ blade: blade(thicknessMm), contactWPerM2K, count: 2 }))
          curve.slice(1).forEach(([, c], i) => {
            expect(c).toBeLessThanOrEqual((curve[i]?.[1] ?? 0) + 0.01)
            expect(c).toBeGreaterThan(24)
          })
        },
      ),
      { numRuns: 10 },
    )
  })
})

describe('a blade as wide as its plates', () => {
  it('spreads its heat along them alone: as a strip of the plate in slices, of another making', () => {
    const wide = { thicknessMm: 4, widthMm: 100, lengthMm: 250 }
    const air = { contactWPerM2K: 800, airWPerM2K: 0, ambientC: 25, martensiteStartC: 180 }
    const stack = new PlateStack(PLATES, 25)
    const steel = halfBlade(1065)
    for (let s = 0; s < 90 - 1e-9; s += 0.05) stack.step(steel, wide, air, 0.05)
    // Half a plate's length in slices of 5 mm, each one temperature through its 25 mm; explicit steps. Aluminium 6061: 167, 2700, 896.
    const slices = new Float64Array(45).fill(25)
    const under = 25
    let blade = 1065
    const [dx, dt] = [0.005, 0.02]
    const perM2 = 2700 * 896 * 0.025
    for (let s = 0; s < 90; s += dt) {
      const meanUnder = slices.slice(0, under).reduce((a, b) => a + b, 0) / under
      // Through 2 mm of steel and half of the plate's thickness beside the contact.
      const u = 1 / (0.002 / 3 / 20 + 1 / 800 + 0.025 / 3 / 167)
      const flux = u * (blade - meanUnder)
      const capacity = 7700 * 0.002 * ((coolingEnthalpy(blade + 1, 180) - coolingEnthalpy(blade - 1, 180)) / 2)
      blade -= (flux * dt) / capacity
      const before = slices.slice()
      for (let i = 0; i < slices.length; i++) {
        const here = before[i] as number
        const flow =
          (i > 0 ? (before[i - 1] as number) - here : 0) +
          (i + 1 < slices.length ? (before[i + 1] as number) - here : 0)
        slices[i] = here + dt * ((167 * flow) / dx / dx / (2700 * 896) + (i < under ? flux / perM2 : 0))
      }
    }
    const mean = (from: number, to: number) => slices.slice(from, to).reduce((a, b) => a + b, 0) / (to - from)
    expect(Math.abs(stack.meanC(wide) - mean(0, 45))).toBeLessThan(1)
    // What lies under the blade, not what lies beyond it.
    expect(Math.abs(stack.contactC - mean(0, under))).toBeLessThan(2.5)
  })
})
