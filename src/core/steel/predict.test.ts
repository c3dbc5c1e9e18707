import { readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Composition } from '../../data/grades'
import { GRADES } from '../../data/grades'
import { STEEL_FACTS, type SteelFact } from '../../data/steel-facts'
import { HELD_OUT } from '../../data/steel-fitted'
import { gradeOf } from '../../testing/tray'
import { factTable } from '../../words/method-tables'
import { rms } from '../calibrate/calibrate'
import { chartedHrc, modelFigure, routeOfFact } from '../calibrate/model-figure'
import { bandOf } from './band'
import { findGrade } from './grades'
import { finalHrc } from './hrc-path'
import { modelSd } from './model-error'
import { predict } from './predict'
import type { Route } from './route'
import type { Steel } from './steel'

const route = (austenitizeC: number, soakMin: number, coldToC: number | null, ...tempersC: number[]): Route => ({
  austenitizeC,
  soakMin,
  quenchedToC: 25,
  cold: coldToC === null ? null : { toC: coldToC, holdMin: 60, delayMin: 30 },
  tempers: tempersC.map(atC => ({ atC, holdMin: 120 })),
})
const of = (composition: Composition): Steel => ({ composition })
const grade = (name: string): Steel => findGrade(name) as Steel

// Compositions of the checks, wt%.
const CR13_NOMINAL: Composition = { C: 0.67, Cr: 13, Si: 0.4, Mn: 0.6 }
const CR13 = of(CR13_NOMINAL)
const CR14_MO4 = of({ C: 1.05, Cr: 14, Mo: 4, Si: 0.3, Mn: 0.5 })
const D2 = of({ C: 1.55, Cr: 11.8, Mo: 0.8, V: 0.8, Si: 0.35, Mn: 0.4 })
const D3 = of({ C: 2.1, Cr: 12, Si: 0.3, Mn: 0.4 })
const A2 = of({ C: 1, Cr: 5.1, Mo: 1.05, V: 0.25, Si: 0.3, Mn: 0.6 })
const C440 = of({ C: 1.05, Cr: 17, Mo: 0.5, Si: 0.4, Mn: 0.4 })
const V3 = of({ C: 1.7, Cr: 18, Mo: 1, V: 3, Si: 0.5, Mn: 0.4 })

/** Steels the model misses by more than the rest: told among the known weaknesses of docs/method.md. */
const KNOWN_WEAK = {
  steels: [
    'X46Cr13',
    'X39CrMo17-1',
    '0.38C-13.6Cr-0.3V',
    '0.30C-0.42N-15Cr-1Mo',
    '0.8C-7.5Cr-1.3Mo-2.75V powder',
    '60WCrV8',
    'M2',
  ],
  withinHrc: 4.2,
}

describe('stated figures', () => {
  // Sources stand beside each row of the data; points of charts are the data of charts, and are left out.
  const stated = STEEL_FACTS.filter(fact => fact.figure === 'hrc' && !fact.onChart)
  const off = (fact: SteelFact) => modelFigure(fact) - fact.stated
  const sdOf = (fact: SteelFact) => modelSd({ composition: fact.composition, made: fact.made }, routeOfFact(fact))
  const band90 = (fact: SteelFact) => 1.645 * Math.hypot(sdOf(fact), fact.sd)

  it('that the constants were fitted to are met within 2 HRC by composition alone, but for the known weak ones, and half of them within 1', () => {
    const fitted = stated.filter(f => f.use === 'fit')
    for (const fact of fitted)
      expect(Math.abs(off(fact)), `${fact.steel} ${fact.tempersC.join('+')}`).toBeLessThan(
        KNOWN_WEAK.steels.includes(fact.steel) ? KNOWN_WEAK.withinHrc : 2,
      )
    expect(fitted.filter(fact => Math.abs(off(fact)) < 1).length).toBeGreaterThan(fitted.length / 2)
  })

  it('that no fit has seen lie in the 90 % band of the model and of their own uncertainty, and are off by no more than 1.3 HRC as a whole', () => {
    const frozen = stated.filter(f => f.use === 'frozen')
    expect(frozen.length).toBeGreaterThanOrEqual(30)
    const within = frozen.filter(fact => Math.abs(off(fact)) <= band90(fact))
    expect(within.length / frozen.length).toBeGreaterThanOrEqual(0.85)
    expect(rms(frozen.map(off))).toBeLessThan(1.3)
  })

  it('off a chart’s own route lie in the 90 % band of charts and of their own uncertainty, and half of them within 1 HRC', () => {
    const rows = stated.flatMap(fact => {
      const charted = chartedHrc(fact)
      return charted === null ? [] : [{ fact, charted }]
    })
    expect(rows.length).toBeGreaterThanOrEqual(5)
    const within = rows.filter(
      ({ fact, charted }) => Math.abs(charted - fact.stated) < 1.645 * Math.hypot(HELD_OUT.charted.sdHrc, fact.sd),
    )
    expect(within.length / rows.length).toBeGreaterThanOrEqual(0.85)
    expect(rows.filter(({ fact, charted }) => Math.abs(charted - fact.stated) < 1).length).toBeGreaterThan(
      rows.length / 2,
    )
  })

  it('stand in the method as they are now: run `npm run method` after a change', () => {
    expect(readFileSync('docs/method.md', 'utf8')).toContain(factTable())
  })

  it('puts the best soak of 13Cr-0.65C where makers find it: common practice, no published source', () => {
    const best = (coldToC: number | null) =>
      Array.from({ length: 21 }, (_, i) => 1040 + 5 * i).reduce((a, b) =>
        finalHrc(CR13, route(b, 15, coldToC)) > finalHrc(CR13, route(a, 15, coldToC)) ? b : a,
      )
    expect(best(null)).toBeGreaterThanOrEqual(1065)
    expect(best(null)).toBeLessThanOrEqual(1095)
    expect(best(-196)).toBeGreaterThanOrEqual(1080)
    expect(best(-196)).toBeLessThanOrEqual(1125)
    expect(finalHrc(CR13, route(1140, 15, null))).toBeLessThan(finalHrc(CR13, route(1090, 15, null)) - 0.5)
  })

  it('leaves the chromium in solution that is reported: facts of the trade', () => {
    expect(predict(D2, route(1010, 30, null)).austenite.Cr).toBeCloseTo(7.7, 0)
    expect(predict(V3, route(1080, 20, null)).austenite.Cr).toBeCloseTo(11.5, 0)
  })
})

describe('vanadium carbide', () => {
  const powder = (V: number, C = 0.8): Steel => ({
    composition: { C, Cr: 7.5, Mo: 1.3, V, Si: 0.9, Mn: 0.4 },
    made: 'powder',
  })

  // Stoichiometry of VC: 0.19 wt% carbon for each wt% of vanadium (atomic weights 12.01 and 50.94, and a little short of one to one).
  it('shares the carbon: what is in solution, in MC and in chromium carbide is all there is', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.5, max: 2.5, noNaN: true }),
        fc.double({ min: 0, max: 9, noNaN: true }),
        fc.double({ min: 950, max: 1200, noNaN: true }),
        (C, V, atC) => {
          const { austenite: a, carbideFraction: f } = predict(powder(V, C), route(atC, 30, null))
          const inMc = a.mcFraction * 13
          // Chromium carbide holds between 5.6 (M23C6) and 8.7 % carbon (M7C3).
          const inCarbide = (C - inMc - (1 - f) * a.C) / Math.max(f, 1e-9)
          if (f > 0.01) expect(inCarbide).toBeGreaterThan(5.5)
          if (f > 0.01) expect(inCarbide).toBeLessThan(8.8)
          else expect(C - inMc - (1 - f) * a.C).toBeLessThan(0.1)
        },
      ),
      { numRuns: 200 },
    )
  })

  it('dissolves with temperature, less where more carbon is in solution, and never beyond the vanadium there is', () => {
    const dissolved = (V: number, C: number, atC: number) => predict(powder(V, C), route(atC, 30, null)).austenite.V
    expect(dissolved(2.75, 0.8, 1120)).toBeGreaterThan(dissolved(2.75, 0.8, 1020) * 1.2)
    expect(dissolved(2.75, 1.4, 1066)).toBeLessThan(dissolved(2.75, 0.8, 1066))
    expect(dissolved(0.2, 0.8, 1120)).toBeCloseTo(0.2, 3)
  })

  it('hardens again at 540 °C where molybdenum alone would have let go: 59.5 HRC stated, from memory', () => {
    const at540 = (V: number) => finalHrc(powder(V), route(1066, 30, null, 540, 540, 540))
    expect(Math.abs(at540(2.75) - 59.5)).toBeLessThan(2.5)
    expect(at540(1)).toBeGreaterThan(at540(0) + 1)
  })
})

// Facts of the trade, and handbook statements from memory, that need no number fitted to them.
describe('secondary hardening and retained austenite are one thing', () => {
  const M2 = of({ C: 0.9, Cr: 4.1, Mo: 5, W: 6.3, V: 1.85, Si: 0.3, Mn: 0.3 })

  it('D2 kind tempered twice at 520 °C ends harder the hotter it was hardened, near 60 from 1080 °C', () => {
    const hrc = [1010, 1030, 1050, 1080].map(atC => finalHrc(D2, route(atC, 30, null, 520, 520)))
    expect([...hrc].sort((a, b) => a - b)).toEqual(hrc)
    expect(hrc.at(-1)).toBeGreaterThan(59)
    expect(hrc.at(-1)).toBeLessThan(61.5)
    expect((hrc.at(-1) as number) - (hrc[0] as number)).toBeGreaterThan(2)
  })

  it('what is left of the austenite after the first high temper goes in the second', () => {
    const { retainedAustenite } = predict(D2, route(1080, 30, null, 520, 520))
    const [first, second] = retainedAustenite.afterTempers as [number, number]
    expect(first).toBeLessThan(retainedAustenite.asQuenched * 0.6)
    expect(second).toBeLessThan(first)
  })

  it('martensite that formed on cooling from one high temper is softened by the next, and by nothing else', () => {
    const once = predict(D2, route(1080, 30, null, 520))
    const low = predict(D2, route(1080, 30, null, 520, 100))
    // A hundred degrees does nothing to either part.
    expect(low.finalHrc.mean).toBeCloseTo(once.finalHrc.mean, 1)
  })

  it('cold adds nothing to high-speed steel whose tempers turn the austenite anyway', () => {
    const gain = finalHrc(M2, route(1210, 4, -75, 560, 560)) - finalHrc(M2, route(1210, 4, null, 560, 560))
    expect(Math.abs(gain)).toBeLessThan(0.2)
  })

  it('14Cr-4Mo peaks between 440 and 500 °C and has fallen by 2.5 HRC or more at 530 °C', () => {
    const hrc = (atC: number) => finalHrc(CR14_MO4, route(1065, 30, -75, atC, atC))
    const peak = [400, 420, 440, 460, 480, 500, 520, 540].reduce((a, b) => (hrc(b) > hrc(a) ? b : a))
    expect(peak).toBeGreaterThanOrEqual(440)
    expect(peak).toBeLessThanOrEqual(500)
    expect(hrc(460)).toBeGreaterThan(62)
    expect(hrc(peak) - hrc(530)).toBeGreaterThan(2.5)
  })

  it('5Cr-1Mo-1C keeps carbide at 1025 °C, and 15 to 22 % austenite from 980 °C', () => {
    const at = (atC: number) => predict(A2, route(atC, 30, null))
    expect(at(1025).carbideFraction).toBeGreaterThan(0.01)
    expect(at(980).retainedAustenite.asQuenched).toBeGreaterThan(0.13)
    expect(at(980).retainedAustenite.asQuenched).toBeLessThan(0.22)
    expect(at(985).retainedAustenite.asQuenched).toBeLessThan(0.3)
  })

  it('a household freezer adds less where more martensite had formed before it', () => {
    const gain = (atC: number) => finalHrc(CR14_MO4, route(atC, 30, -20)) - finalHrc(CR14_MO4, route(atC, 30, null))
    expect(gain(1045)).toBeGreaterThan(0)
    expect(gain(1065)).toBeGreaterThan(gain(1045))
  })
})

describe('charted grades on their charts', () => {
  // ASM handbook tempering tables, from memory. The chart is the data, so this checks the way through it.
  it.each([
    ['X105CrMo17', route(1040, 30, null, 205), 59],
    ['X153CrMoV12', route(1010, 30, null, 315), 58],
    ['X100CrMoV5', route(960, 30, null, 205), 60],
  ])('%s', (name, done, stated) => {
    expect(finalHrc(grade(name), done)).toBeCloseTo(stated, 1)
  })

  it('still moves with the route: cold adds 0.5 to 2.5 HRC to 440C from 1065 °C (common practice)', () => {
    const gain =
      finalHrc(grade('X105CrMo17'), route(1065, 20, -75, 200, 200)) -
      finalHrc(grade('X105CrMo17'), route(1065, 20, null, 200, 200))
    expect(gain).toBeGreaterThan(0.5)
    expect(gain).toBeLessThan(2.5)
  })
})

const anySteel = fc.constantFrom<Steel>(CR13, CR14_MO4, D2, D3, A2, C440, ...GRADES)
const anySoak = fc.record({ c: fc.integer({ min: 950, max: 1120 }), min: fc.integer({ min: 5, max: 60 }) })

describe('laws', () => {
  it('more cold never leaves more austenite, and softens nothing', () => {
    fc.assert(
      fc.property(
        anySteel,
        anySoak,
        fc.integer({ min: -196, max: 0 }),
        fc.integer({ min: 1, max: 60 }),
        (steel, soak, toC, colder) => {
          const warm = predict(steel, route(soak.c, soak.min, toC))
          const cold = predict(steel, route(soak.c, soak.min, Math.max(-196, toC - colder)))
          expect(cold.retainedAustenite.afterCold).toBeLessThanOrEqual(
            (warm.retainedAustenite.afterCold as number) + 1e-9,
          )
          expect(cold.finalHrc.mean).toBeGreaterThanOrEqual(warm.finalHrc.mean - 1e-6)
        },
      ),
    )
  })

  it('a longer or further temper below the secondary range never hardens a steel without a chart', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(CR13, D2, A2, C440),
        fc.integer({ min: 120, max: 300 }),
        fc.integer({ min: 30, max: 600 }),
        (steel, atC, holdMin) => {
          const base = route(1040, 20, null)
          const once = finalHrc(steel, { ...base, tempers: [{ atC, holdMin }] })
          expect(finalHrc(steel, { ...base, tempers: [{ atC, holdMin: holdMin * 2 }] })).toBeLessThanOrEqual(
            once + 1e-9,
          )
          expect(
            finalHrc(steel, {
              ...base,
              tempers: [
                { atC, holdMin },
                { atC: atC - 40, holdMin },
              ],
            }),
          ).toBeLessThanOrEqual(once + 1e-9)
        },
      ),
    )
  })

  it('carbon and chromium balance: what is not in austenite is in carbide', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.3, max: 2.2, noNaN: true }),
        fc.double({ min: 4, max: 19, noNaN: true }),
        anySoak,
        (C, Cr, soak) => {
          const { austenite } = predict(of({ C, Cr }), route(soak.c, soak.min, null))
          const f = austenite.carbideFraction
          const inCarbide = (total: number, dissolved: number) => (f < 1e-6 ? 0 : (total - (1 - f) * dissolved) / f)
          expect(f).toBeGreaterThanOrEqual(0)
          // M23C6 holds 5.6 % C and 62 % Cr, M7C3 8.7 % and 46 %: the effective carbide lies between (stoichiometry).
          if (f > 0.005 && austenite.Cr > 0.01 && austenite.C > 0.001) {
            expect(inCarbide(C, austenite.C)).toBeGreaterThan(5.59)
            expect(inCarbide(C, austenite.C)).toBeLessThan(8.71)
            expect(inCarbide(Cr, austenite.Cr)).toBeGreaterThan(45.9)
            expect(inCarbide(Cr, austenite.Cr)).toBeLessThan(62.1)
          }
        },
      ),
    )
  })

  it('gives finite figures and ordered fractions for any steel and route', () => {
    fc.assert(
      fc.property(
        fc.record({
          C: fc.double({ min: 0.05, max: 3.5, noNaN: true }),
          Cr: fc.double({ min: 0, max: 30, noNaN: true }),
          V: fc.double({ min: 0, max: 12, noNaN: true }),
          Mo: fc.double({ min: 0, max: 10, noNaN: true }),
        }),
        fc.integer({ min: 700, max: 1300 }),
        fc.double({ min: 0.5, max: 600, noNaN: true }),
        fc.array(fc.record({ atC: fc.integer({ min: 50, max: 750 }), holdMin: fc.integer({ min: 1, max: 6000 }) }), {
          maxLength: 8,
        }),
        (composition, austenitizeC, soakMin, tempers) => {
          const p = predict(of(composition), { ...route(austenitizeC, soakMin, -75), tempers })
          for (const hrc of [p.hrc.asQuenched, p.hrc.afterCold, ...p.hrc.afterTempers]) {
            expect(Number.isFinite(hrc?.mean)).toBe(true)
            expect(hrc?.sd).toBeGreaterThan(0)
          }
          const { asQuenched, afterCold, final } = p.retainedAustenite
          expect(asQuenched).toBeLessThanOrEqual(1)
          expect(afterCold).toBeLessThanOrEqual(asQuenched)
          expect(final).toBeLessThanOrEqual(afterCold as number)
          expect(final).toBeGreaterThanOrEqual(0)
        },
      ),
    )
  })
})

describe('what it warns of', () => {
  const codes = (steel: Steel, done: Route) => predict(steel, done).cautions.map(c => c.code)
  it('names a soak outside the window, a robbing temper, a missing second temper and none at all', () => {
    const steel = grade('X65Cr13')
    expect(codes(steel, route(1150, 15, null, 200))).toContain('above-window')
    expect(codes(steel, route(960, 15, null, 200))).toContain('below-window')
    expect(codes(steel, route(1066, 15, null, 500))).toEqual(
      expect.arrayContaining(['robbed-chromium', 'second-temper']),
    )
    expect(codes(steel, route(1066, 15, null))).toContain('untempered')
    expect(codes(steel, route(1066, 15, -75, 200, 200))).toEqual([])
  })

  it('hardness is not what moves corrosion: cold leaves chromium in solution as it is (fact of the trade)', () => {
    const chromium = (coldToC: number | null) => predict(CR13, route(1066, 15, coldToC, 200, 200)).corrosion
    expect(chromium(-75)).toEqual(chromium(null))
    expect(predict(CR13, route(1066, 15, null, 500, 500)).corrosion.index).toBeLessThan(chromium(null).index)
  })
})

describe('what happens on the way', () => {
  const steel = grade('X65Cr13')
  const at = (more: Partial<Route>) => predict(steel, { ...route(1066, 15, -75, 190, 190), ...more })
  const cold = (delayMin: number, snapTemperC?: number) => ({ toC: -75, holdMin: 60, delayMin, snapTemperC })

  it('late cold does less, and cold after a snap temper less than without (common practice)', () => {
    const left = (c: Route['cold']) => at({ cold: c }).retainedAustenite.final
    expect(left(cold(1440))).toBeGreaterThan(left(cold(30)))
    expect(left(cold(30, 150))).toBeGreaterThan(left(cold(30)))
    expect(left(cold(1440))).toBeLessThan(left(null))
    expect(at({ cold: cold(1440) }).cautions.map(c => c.code)).toContain('late-cold')
  })

  it('a hold that is over before the blade is cold does less, and says how cold it got', () => {
    const short = (holdMin: number, chillTauMin?: number) =>
      at({ cold: { toC: -20, holdMin, delayMin: 30 }, ...(chillTauMin ? { chillTauMin } : {}) })
    const left = (p: ReturnType<typeof short>) => p.retainedAustenite.final
    expect(left(short(20, 10))).toBeGreaterThan(left(short(20)))
    expect(left(short(5, 10))).toBeGreaterThan(left(short(20, 10)))
    expect(left(short(600, 10))).toBeCloseTo(left(short(600)), 6)
    // Two time constants leave e⁻² of 45 K: 6.1 K above the freezer.
    expect(short(20, 10).cautions.find(c => c.code === 'short-cold')?.params).toMatchObject({
      reachedC: expect.closeTo(-20 + 45 * Math.exp(-2), 6),
    })
    expect(short(120, 10).cautions.map(c => c.code)).not.toContain('short-cold')
  })

  it('a hardened start and powder dissolve sooner than annealed ingot', () => {
    const dissolved = (start: Route['start'], made: 'ingot' | 'powder') =>
      predict({ composition: CR13_NOMINAL, made }, { ...route(1050, 8, null), start }).austenite.dissolved
    expect(dissolved('hardened', 'ingot')).toBeGreaterThan(dissolved('annealed', 'ingot'))
    expect(dissolved('annealed', 'powder')).toBeGreaterThan(dissolved('annealed', 'ingot'))
  })

  // EN 10088-1: stainless from 10.5 % chromium; molybdenum strengthens a film that is there (textbook, from memory).
  it('a steel under 10.5 % chromium in solution is not stainless, whatever its molybdenum', () => {
    const of = (name: string, ...tempers: number[]) => {
      const grade = gradeOf(name)
      return predict(grade, route(grade.austenitize.defaultC, 15, null, ...tempers)).corrosion
    }
    const kitchen = of('X65Cr13', 200, 200)
    expect(kitchen.stainless).toBe(true)
    for (const [name, temperC] of [
      ['HS6-5-2C', 560],
      ['X153CrMoV12', 200],
      ['X100CrMoV5', 200],
    ] as const) {
      const tool = of(name, temperC, temperC)
      expect(tool.stainless, name).toBe(false)
      expect(tool.index, name).toBeLessThan(kitchen.index)
      // Its molybdenum adds nothing that is felt.
      expect(tool.index, name).toBeLessThan(tool.chromiumInSolution + 0.2)
    }
    // Above it molybdenum and nitrogen count: the seawater grades lead.
    expect(of('X30CrMoN15-1', 200, 200).index).toBeGreaterThan(kitchen.index + 3)
  })

  it('a slow quench softens, and takes corrosion resistance even where it still hardens', () => {
    expect(at({ seconds800to500: 150 }).finalHrc.mean).toBeLessThan(at({}).finalHrc.mean - 1)
    expect(at({ seconds800to500: 150 }).corrosion.index).toBeLessThan(at({}).corrosion.index)
    expect(at({ seconds800to500: 4 }).finalHrc.mean).toBeCloseTo(at({}).finalHrc.mean, 1)
  })

  it('warns of grain where makers see it: low-alloy above 890 °C, vanadium grades later, none in a window (common practice)', () => {
    const coarse = (name: string, c: number) =>
      predict(grade(name), route(c, 8, null, 200)).cautions.some(found => found.code === 'coarse-grain')
    expect(coarse('C75S', 815)).toBe(false)
    expect(coarse('C75S', 890)).toBe(true)
    expect(coarse('80CrV2', 890)).toBe(false)
    for (const g of GRADES)
      expect(
        predict(g, route(g.austenitize.maxC, g.soak.maxMin, null, 200)).cautions.map(c => c.code),
        g.name,
      ).not.toContain('coarse-grain')
  })

  it('hardness of 13-14Cr grades rises again near 500 °C and drops fast above (fact of the trade)', () => {
    const hrc = (c: number) => finalHrc(grade('X105CrMo17'), route(1060, 20, null, c, c))
    expect(hrc(480)).toBeGreaterThan(hrc(400) - 0.3)
    expect(hrc(600)).toBeLessThan(hrc(500) - 5)
  })

  it('says when a composition is outside the model', () => {
    const codes = (c: Composition) => predict(of(c), route(1050, 20, null, 200)).cautions.map(found => found.code)
    expect(codes({ C: 1, Cr: 17, Ni: 9 })).toContain('outside-model')
    expect(codes({ C: 1, Cr: 17 })).not.toContain('outside-model')
    // Hot-work steel hardens by vanadium in a way that is not modelled.
    expect(codes({ C: 0.4, Cr: 5.2, Mo: 1.3, V: 1 })).toContain('outside-model')
    expect(codes({ C: 0.46, Cr: 13.3 })).not.toContain('outside-model')
  })
})

describe('the drawn band', () => {
  const draw = (steel: Steel, draws = 2000) =>
    bandOf({ steel, route: route(1040, 20, -75, 200, 200), draws, seed: 3, target: { min: 58, max: 60 }, shop: null })

  it.each(['X65Cr13', 'X105CrMo17', 'X153CrMoV12', 'X100CrMoV5'])('of %s agrees with the first-order one', name => {
    const { hrc } = draw(grade(name))
    const first = predict(grade(name), route(1040, 20, -75, 200, 200)).finalHrc
    expect(Math.abs(hrc.median - first.mean)).toBeLessThan(0.35)
    expect((hrc.high95 - hrc.low95) / (2 * 1.96 * first.sd)).toBeGreaterThan(0.75)
    expect((hrc.high95 - hrc.low95) / (2 * 1.96 * first.sd)).toBeLessThan(1.35)
  })

  it('is ordered, inside 0 to 1 where it is a share, and the same for the same seed', () => {
    fc.assert(
      fc.property(anySteel, steel => {
        const { hrc, retained, inTarget, histogram } = draw(steel, 200)
        for (const q of [hrc, retained]) {
          const rising = [q.low95, q.low68, q.median, q.high68, q.high95]
          expect([...rising].sort((a, b) => a - b)).toEqual(rising)
        }
        expect(inTarget).toBeGreaterThanOrEqual(0)
        expect(inTarget).toBeLessThanOrEqual(1)
        expect(histogram.reduce((sum, [, share]) => sum + share, 0)).toBeCloseTo(1, 9)
        expect(draw(steel, 200)).toEqual(draw(steel, 200))
      }),
      { numRuns: 20 },
    )
  })
})
