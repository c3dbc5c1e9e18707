import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { STEEL_THERMAL } from '../../data/thermal'
import { airInRoom } from './air-in-room'
import { chillMin, chillTauMin } from './chill'
import { dryIceFor } from './dry-ice'
import { liquidNitrogenFor } from './liquid-nitrogen'
import { gasShareAfter } from './room'

const room = { m3: 20, airChangesPerH: 0.5 }
const fourteen = {
  steelKg: 3.234,
  startC: 20,
  ambientC: 20,
  bath: { fluid: 'isopropanol', litres: 4 },
  vesselKg: 1,
  lossWPerK: 0.35,
  holdH: 2,
  room,
} as const

describe('dry ice', () => {
  // Heats from handbook values (CO2 571 kJ/kg, isopropanol 2350 J/kgK, steel 38.9 kJ/kg), worked by hand.
  it('for 14 blades in 4 L of alcohol, held 2 h, is 2.02 kg', () => {
    const ice = dryIceFor(fourteen)
    expect(ice.chillKg).toBeCloseTo(1.598, 3)
    expect(ice.holdKg).toBeCloseTo(0.419, 3)
    expect(ice.gasM3).toBeCloseTo(1.102, 3)
  })

  it('raises a closed room as the mixing equation says, and warns by the limits (ACGIH, NIOSH, from memory)', () => {
    expect(dryIceFor(fourteen).peakCo2Ppm / 40_584).toBeCloseTo(1, 3)
    expect(dryIceFor(fourteen).cautions.map(c => c.code)).toEqual(['air-refused', 'solvent'])
    expect(dryIceFor({ ...fourteen, room: { m3: 40, airChangesPerH: 0.5 } }).peakCo2Ppm / 20_716).toBeCloseTo(1, 3)
    expect(
      dryIceFor({ ...fourteen, room: { m3: 5000, airChangesPerH: 2 }, bath: { fluid: 'none', litres: 0 } }).cautions,
    ).toEqual([])
  })

  it('more steel, bath or time never needs less', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 48, noNaN: true }),
        (steelKg, litres, holdH) => {
          const base = dryIceFor({ ...fourteen, steelKg, bath: { fluid: 'ethanol', litres }, holdH }).coolantKg
          expect(
            dryIceFor({
              ...fourteen,
              steelKg: steelKg + 1,
              bath: { fluid: 'ethanol', litres: litres + 1 },
              holdH: holdH + 1,
            }).coolantKg,
          ).toBeGreaterThan(base)
        },
      ),
    )
  })
})

describe('liquid nitrogen', () => {
  it('for the same blades, held 4 h, is 5.41 L: N2 199.2 kJ/kg, 0.807 kg/L, worked by hand', () => {
    const n = liquidNitrogenFor({
      steelKg: 3.234,
      startC: 20,
      ambientC: 20,
      vesselKg: 0,
      standingL: 0,
      lossWPerK: 0.2,
      holdH: 4,
      room,
    })
    expect(n.chillL).toBeCloseTo(1.545, 3)
    expect(n.coolantL).toBeCloseTo(5.411, 3)
  })

  it('warns when oxygen falls below 19.5 % (OSHA, from memory)', () => {
    expect(
      liquidNitrogenFor({
        steelKg: 6,
        startC: 20,
        ambientC: 20,
        vesselKg: 0,
        standingL: 0,
        lossWPerK: 0.2,
        holdH: 4,
        room: { m3: 12, airChangesPerH: 0 },
      }).cautions[0]?.code,
    ).toBe('air-refused')
    expect(
      liquidNitrogenFor({
        steelKg: 1,
        startC: 20,
        ambientC: 20,
        vesselKg: 0,
        standingL: 0,
        lossWPerK: 0.2,
        holdH: 4,
        room: { m3: 200, airChangesPerH: 4 },
      }).cautions,
    ).toEqual([])
  })
})

describe('what it starts from', () => {
  it('is the room’s temperature for bath, vessel and leak, and the blades’ own for the blades', () => {
    const base = dryIceFor(fourteen)
    // Blades at 5 °C in a room of 20: the steel alone gives up less, 3.234 kg of 38.9 kJ/kg over 95 K for 15 K, of 571 kJ/kg; by hand.
    const cooler = dryIceFor({ ...fourteen, startC: 5 })
    expect(base.coolantKg - cooler.coolantKg).toBeCloseTo((3.234 * 38.9 * (15 / 95)) / 571, 6)
    expect(cooler.holdKg).toBe(base.holdKg)
    // A room of 35 °C: the leak grows with 110 K over 95.
    expect(dryIceFor({ ...fourteen, ambientC: 35 }).holdKg / base.holdKg).toBeCloseTo(110 / 95, 9)
  })

  it('counts the vessel of liquid nitrogen by its weight: 2 kg of aluminium take 340 kJ, 2.1 L', () => {
    const at = (vesselKg: number) =>
      liquidNitrogenFor({
        steelKg: 3.234,
        startC: 20,
        ambientC: 20,
        vesselKg,
        standingL: 0,
        lossWPerK: 0.2,
        holdH: 4,
        room,
      }).coolantL
    // 199.2 kJ/kg · 0.807 kg/L = 160.75 kJ/L; 10 kJ stand in where the weight is not known.
    expect(at(2) - at(0)).toBeCloseTo((340 - 10) / 160.75, 2)
  })
})

describe('nitrogen that stands in the box', () => {
  const at = (standingL: number, m3: number) =>
    liquidNitrogenFor({
      steelKg: 2,
      startC: 20,
      ambientC: 20,
      vesselKg: 0,
      standingL,
      lossWPerK: 0.2,
      holdH: 2,
      room: { m3, airChangesPerH: 4 },
    })

  it('is bought, is released, and spilt takes oxygen: 5 L in 20 m³ leave 17 %, by simple arithmetic', () => {
    expect(at(5, 20).coolantL - at(0, 20).coolantL).toBeCloseTo(5, 9)
    // One litre of liquid gives about 0.69 m³ of gas: handbook value, from memory.
    expect(at(5, 20).gasM3 - at(0, 20).gasM3).toBeCloseTo(5 * 0.69, 1)
    expect(at(5, 20).spillOxygenPercent).toBeCloseTo(17, 0)
    expect(at(5, 20).cautions.map(({ code }) => code)).toContain('nitrogen-spill')
    expect(at(5, 400).cautions).toEqual([])
    expect(at(0, 20).spillOxygenPercent).toBeCloseTo(20.9, 1)
  })
})

describe('a freezer', () => {
  // Thermal reference: −18 °C, 3 mm, to within 3 °C: 26 min in still air, 14 with a fan.
  it.each([
    [false, 26],
    [true, 14],
  ])('fan %s: %i min for 3 mm', (fan, minutes) => {
    expect(Math.abs(chillMin({ thicknessMm: 3, startC: 20, toC: -18, fan, bath: false }) - minutes)).toBeLessThan(0.8)
  })

  it('takes twice as long for twice the thickness, and nothing for what is as cold', () => {
    const at = (thicknessMm: number, startC = 20) =>
      chillMin({ thicknessMm, startC, toC: -18, fan: false, bath: false })
    expect(at(6)).toBeCloseTo(2 * at(3), 9)
    expect(at(3, -16)).toBe(0)
    expect(at(3, 5)).toBeLessThan(at(3))
  })
})

describe('how soon a blade is cold', () => {
  const at = (toC: number, bath = true, thicknessMm = 3) => chillMin({ thicknessMm, startC: 20, toC, fan: false, bath })

  it('is minutes in dry ice or nitrogen and the better part of an hour in a freezer (common practice)', () => {
    // Thermal reference: 54 s in slurry; what the slurry takes was calibrated on it, so this shows consistency.
    expect(Math.abs(at(-75) * 60 - 54)).toBeLessThan(2)
    expect(at(-75, false)).toBeGreaterThan(at(-75))
    expect(at(-75, false)).toBeLessThan(12)
    expect(at(-196)).toBeLessThan(5)
    expect(at(-18)).toBeGreaterThan(20)
  })

  it('follows one exponential: by hand, ρ·450·0.0015/8.5 s for 3 mm in still air', () => {
    const tau = chillTauMin({ thicknessMm: 3, toC: -18, fan: false, bath: false })
    expect(tau).toBeCloseTo((STEEL_THERMAL.densityKgPerM3 * 450 * 0.0015) / 8.5 / 60, 9)
    expect(at(-18)).toBeCloseTo(tau * Math.log(38 / 3), 9)
  })
})

describe('the air of a room against its limits', () => {
  // Prototype of the same equation, another making: chill gas over 15 min, then the hold's over 2 h; peak, highest 15-minute mean,
  // 8-hour mean.
  it.each([
    [20, 40_584, 38_980, 13_577],
    [40, 20_716, 19_908, 7_074],
  ])('of %i m³ at half a change an hour', (m3, peak, quarter, shift) => {
    const { air } = dryIceFor({ ...fourteen, room: { m3, airChangesPerH: 0.5 } })
    expect((1e6 * air.peakShare) / peak).toBeCloseTo(1, 3)
    const level = (name: string) => air.limits.find(l => l.name === name)?.level ?? 0
    expect(level('fifteen-minutes') / quarter).toBeCloseTo(1, 2)
    expect(level('eight-hours') / shift).toBeCloseTo(1, 2)
  })

  it('refuses what would pass a limit, says when, and how much air would do', () => {
    const { air } = dryIceFor(fourteen)
    expect(air.refused).toMatchObject({ gas: 'co2', neededAirChangesPerH: air.neededAirChangesPerH })
    const atOnce = air.limits.find(l => l.name === 'instant-co2')
    expect(atOnce?.reachedMin).toBeGreaterThan(10)
    expect(atOnce?.reachedMin).toBeLessThanOrEqual(15)
    const vented = dryIceFor({ ...fourteen, room: { m3: 20, airChangesPerH: air.neededAirChangesPerH } }).air
    expect(vented.refused).toBeNull()
    expect(air.neededAirChangesPerH).toBeGreaterThan(1)
  })

  it('more ventilation never makes it worse, and the need it names is enough (law)', () => {
    fc.assert(
      fc.property(
        fc.constantFrom<'co2' | 'nitrogen'>('co2', 'nitrogen'),
        fc.double({ min: 0.05, max: 8, noNaN: true }),
        fc.double({ min: 8, max: 200, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (gas, chillM3, m3, airChangesPerH) => {
          const at = (changes: number) =>
            airInRoom({ gas, chillM3, holdM3: chillM3 / 4, holdH: 2, room: { m3, airChangesPerH: changes } })
          const air = at(airChangesPerH)
          expect(at(airChangesPerH + 1).peakShare).toBeLessThanOrEqual(air.peakShare + 1e-12)
          if (Number.isFinite(air.neededAirChangesPerH)) expect(at(air.neededAirChangesPerH).refused).toBeNull()
        },
      ),
      { numRuns: 30 },
    )
  })
})

describe('gas in a room', () => {
  it('stays a share of the air, and keeps the background where nothing is given off', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 50, noNaN: true }),
        fc.double({ min: 4, max: 500, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        (gas, m3, airChangesPerH) => {
          const share = gasShareAfter(gas, 15, { m3, airChangesPerH }, 0.00042)
          expect(share).toBeGreaterThanOrEqual(0.00042 - 1e-12)
          expect(share).toBeLessThan(1)
        },
      ),
    )
    expect(gasShareAfter(0, 15, { m3: 20, airChangesPerH: 0 }, 0.00042)).toBe(0.00042)
  })
})
