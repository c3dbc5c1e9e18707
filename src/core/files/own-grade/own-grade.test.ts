import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { GRADES, type Grade } from '../../../data/grades'
import { refusalOf } from '../../../testing/tray'
import { problemWords } from '../../../words/problems'
import { speakerOf } from '../../../words/speaker'
import { gradeSheetSchema } from '../../shop/grade-sheet'
import { findGrade } from '../../steel/grades'
import { finalHrc } from '../../steel/hrc-path'
import { misfitOf } from '../../steel/misfit'
import { referenceRoute } from '../../steel/route'
import type { System } from '../../units/quantity'
import { doublesBack, parseChartText } from './chart-text'
import { compositionIn } from './composition-text'
import { andrewsAc1, fillSheet, hardestSoakC } from './fill-sheet'
import { draftFrom, draftOf, emptyDraft, readSheet, type SheetDraft } from './sheet-draft'
import { sheetTextIn } from './sheet-text'

const named = (name: string) => findGrade(name) as Grade

describe('a tempering chart as text', () => {
  it.each([
    ['spaces', '200 60.5\n300 57', 'C', [200, 300]],
    ['tabs and a heading', 'Temper\tHRC\n200\t60,5\n300\t57,0', 'C', [200, 300]],
    ['CSV', 'temper,hrc\n200,60.5\n300,57', 'C', [200, 300]],
    ['semicolons, decimal commas', '200;60,5\n300;57', 'C', [200, 300]],
    ['°F in a heading', '°F;HRC\n400;60,5\n600;57', 'F', [204.4, 315.6]],
    ['°F by its size', '400 60.5\n1000 55', 'F', [204.4, 537.8]],
    ['°C in a heading of a °F shop', 'Temper °C, HRC\n200 60.5\n300 57', 'C', [200, 300], 'imperial'],
    ['no unit in a °F shop', '400 60.5\n600 57', 'F', [204.4, 315.6], 'imperial'],
    ['units in cells, ranges', '200 °C  60-61\n300 °C  57 HRC', 'C', [200, 300]],
  ] as [string, string, 'C' | 'F', number[], System?][])('%s', (_, text, scale, tempers, units) => {
    const read = parseChartText(text, units)
    expect(read.scale).toBe(scale)
    expect(read.rows.map(r => r.temperC)).toEqual(tempers)
    expect(read.rows[0]?.hrc).toBeCloseTo(60.5, 0)
    expect(read.skipped).toEqual([])
  })

  it('says line by line what it cannot use', () => {
    const read = parseChartText('200 60\nabout 250\n300 605\n20 61\n350 57')
    expect(read.rows.map(r => r.temperC)).toEqual([200, 350])
    expect(read.skipped.map(s => [s.line, s.why])).toEqual([
      [2, 'no-hardness'],
      [3, 'not-a-hardness'],
      [4, 'not-a-temper'],
    ])
  })

  it('finds where it doubles back, and never throws', () => {
    expect(doublesBack(parseChartText('200 60\n250 59\n240 58\n300 57').rows)).toEqual([3])
    fc.assert(
      fc.property(fc.string({ maxLength: 80 }), text => {
        for (const row of parseChartText(text).rows) expect(row.hrc).toBeGreaterThanOrEqual(20)
      }),
    )
  })
})

const SAY = speakerOf('metric')

describe('a sheet in one paste', () => {
  it.each([
    ['a list, then a table', 'C 1.05 Cr 14 Mo 4\nTemper °C  HRC\n200  60.5\n300  57'],
    ['a table of elements over their values', 'C\tCr\tMo\n1.05\t14\t4\n200;60,5\n300;57'],
    ['ranges, the chart first', '200 60.5\n300 57\nC: 0.95-1.15\nCr: 13-15\nMo: 3.5-4.5'],
  ])('%s', (_, text) => {
    const { composition, chart } = sheetTextIn(text, 'metric')
    expect(compositionIn(composition)).toEqual({ C: 1.05, Cr: 14, Mo: 4 })
    expect(parseChartText(chart).rows).toEqual([
      { temperC: 200, hrc: 60.5 },
      { temperC: 300, hrc: 57 },
    ])
  })

  it('is the composition alone where there is no table', () => {
    expect(sheetTextIn('0.9C-18Cr-1Mo-0.1V', 'imperial').chart).toBe('')
  })
})

describe('a sheet that begins from a grade', () => {
  const grade = named('X105CrMo17')

  it('has the grade’s windows, the pasted composition, no chart yet, and a name of its own', () => {
    const taken = [`${grade.name}, my sheet`]
    const begun = draftFrom(grade, { C: 1.0, Cr: 17.2, Mo: 0.5 }, 'imperial', taken)
    const read = readSheet('own:1', begun, taken)
    if (!read.ok) throw new Error(JSON.stringify(read.problems))
    expect(read.value.name).toBe(`${grade.name}, my sheet 2`)
    expect(read.value.nominal).toEqual({ C: 1.0, Cr: 17.2, Mo: 0.5 })
    expect(read.value.chart).toBeNull()
    expect(read.value.austenitize.minC).toBeCloseTo(grade.austenitize.minC, 0)
  })

  it('keeps its temperatures where the scale is changed afterwards', () => {
    const begun = { ...draftFrom(grade, null, 'metric', []), units: 'imperial' as const, chart: '300 61\n600 57' }
    const read = readSheet('own:1', begun, [])
    if (!read.ok) throw new Error(JSON.stringify(read.problems))
    expect(read.value.austenitize.maxC).toBe(grade.austenitize.maxC)
    expect(read.value.chart?.points[0]?.[0]).toBeCloseTo(148.9, 1)
  })
})

describe('a sheet as it is typed', () => {
  const draft = (more: Partial<SheetDraft>): SheetDraft => ({
    ...emptyDraft('metric'),
    name: 'Harbour 14',
    nominal: { C: '1,05', Cr: '14', Mo: '4', Si: '0.3', Mn: '0.5' },
    ...more,
  })
  const read = (more: Partial<SheetDraft>) => readSheet('own:1', draft(more), [])
  const trouble = (more: Partial<SheetDraft>) => {
    const r = read(more)
    return r.ok ? [] : r.problems.map(p => `${p.path}: ${problemWords(p, SAY)}`)
  }

  it('fills what was not typed, and says that it is a suggestion', () => {
    const r = read({})
    if (!r.ok) throw new Error(trouble({}).join())
    expect(gradeSheetSchema.safeParse(r.value).success).toBe(true)
    expect(r.value.nominal.C).toBe(1.05)
    expect(r.value.austenitize.source).toContain('suggested')
  })

  it.each([
    ['sum above the whole', { nominal: { C: '105', Cr: '14' } }, /add up to 119.0 %: more than the whole/],
    ['negative', { nominal: { C: '1', Cr: '-3' } }, /Cr cannot be below zero/],
    ['no carbon', { nominal: { Cr: '14' } }, /Carbon is missing/],
    ['not a number', { nominal: { C: '1.0.5' } }, /“1.0.5” is not a number/],
    ['least above most', { least: { Cr: '15' }, most: { Cr: '13' } }, /least of Cr is above its most/],
    ['°F typed as °C', { austenitizeUsual: '1950' }, /Did you mean 1950 °F, which is 1066 °C/],
    ['temper above the soak', { austenitizeMin: '710', temperMax: '720' }, /as hot as the soak/],
    ['doubling back', { chart: '200 60\n300 57\n250 58' }, /Row 3 \(250 °C\) does not rise.*doubles back/],
    ['chart hotter than its soak', { chart: '200 60\n720 40', chartSoakAt: '705' }, /above its own soak/],
    ['a shipped name', { name: 'X65Cr13' }, /is there already/],
    ['no name', { name: ' ' }, /Give it a name/],
    ['a silly hardness', { targetMin: '605' }, /605 is not a Rockwell C hardness/],
  ] as const)('says %s in plain words, beside its field', (_, more, words) => {
    expect(trouble(more as Partial<SheetDraft>).join('\n')).toMatch(words)
  })

  it('takes °F where it is said, and keeps a chart with its route', () => {
    const r = read({
      austenitizeUsual: '1950F',
      chart: '°F HRC\n400 61\n500 59',
      chartSoakAt: '1950 F',
      chartCold: '-75',
    })
    if (!r.ok) throw new Error('refused')
    expect(r.value.austenitize.defaultC).toBeCloseTo(1065.6, 1)
    expect(r.value.chart?.reference.coldToC).toBe(-75)
    expect(r.value.chart?.points[0]?.[0]).toBeCloseTo(204.4, 1)
  })

  // Common practice, no published source: 1.05C-14Cr-4Mo, 1066 °C, dry ice, two tempers at 204 °C, reads about 61.
  it.each([
    ['with cold', '-73', '2', '', [61, 59.5]],
    ['without', '', '2', '', [60, 58.5]],
    ['in liquid nitrogen, one long temper', '-196', '1', '240', [62, 60]],
  ] as const)(
    'is predicted as its chart on the chart’s own route, %s',
    (_, chartCold, chartTempers, chartTemperFor, hrc) => {
      const r = read({
        chart: `204 ${hrc[0]}\n260 ${hrc[1]}`,
        chartSoakAt: '1066',
        chartSoakFor: '30',
        chartCold,
        chartTempers,
        chartTemperFor,
      })
      if (!r.ok || !r.value.chart) throw new Error('refused')
      const { chart } = r.value
      expect(chart.reference).toMatchObject({
        coldToC: chartCold === '' ? null : Number(chartCold),
        temperCount: Number(chartTempers),
        temperHoldMin: chartTemperFor === '' ? 120 : 240,
      })
      for (const [temperC, charted] of chart.points)
        expect(finalHrc(r.value, referenceRoute(chart, temperC))).toBeCloseTo(charted, 6)
      // Colder than the chart’s own cold is harder, no cold is softer.
      const at204 = referenceRoute(chart, 204)
      const colder = finalHrc(r.value, { ...at204, cold: { toC: -196, holdMin: 60, delayMin: 30 } })
      const none = finalHrc(r.value, { ...at204, cold: null })
      expect(colder).toBeGreaterThanOrEqual(hrc[0] - 1e-9)
      expect(none).toBeLessThanOrEqual(hrc[0] + 1e-9)
    },
  )

  it('goes to texts and back unchanged, for every shipped grade', () => {
    for (const grade of GRADES) {
      const r = readSheet('own:1', { ...draftOf(grade, 'metric'), name: `${grade.name} again` }, [])
      if (!r.ok) throw new Error(`${grade.name}: ${refusalOf(r)}`)
      for (const [element, value] of Object.entries(grade.nominal))
        expect(r.value.nominal).toHaveProperty(element, value)
      expect(r.value.chart?.points).toEqual(grade.chart?.points)
      expect(r.value.chart?.reference.temperHoldMin).toBe(grade.chart?.reference.temperHoldMin)
      expect(r.value.austenitize.maxC).toBeCloseTo(grade.austenitize.maxC, 0)
    }
  })

  it('never throws, whatever is typed', () => {
    const text = fc.oneof(
      fc.string({ maxLength: 12 }),
      fc.double().map(String),
      fc.constantFrom('1950F', '0,5', '−3', '1e99'),
    )
    fc.assert(
      fc.property(text, text, text, text, text, (C, Cr, austenitizeUsual, chart, temperMax) => {
        const r = readSheet('own:1', draft({ nominal: { C, Cr }, austenitizeUsual, chart, temperMax }), [])
        if (r.ok) expect(gradeSheetSchema.safeParse(r.value).success).toBe(true)
        else for (const p of r.problems) expect(problemWords(p, SAY).length).toBeGreaterThan(5)
      }),
      { numRuns: 200 },
    )
  })
})

describe('a filled sheet', () => {
  // Andrews (1965), Ac1, worked by hand for 42CrMo4: 723 − 10.7·0.75 + 29.1·0.25 + 16.9·1.05.
  it('has Andrews’ A1: 740 °C for 0.42C-1Cr steel', () => {
    expect(andrewsAc1({ C: 0.42, Mn: 0.75, Si: 0.25, Cr: 1.05 })).toBeCloseTo(740, 0)
  })

  it('suggests a soak within 60 °C of what is used, from the composition alone', () => {
    // 14Cr-4Mo-1.05C at 1065 °C: common practice, no published source. The shipped grades: sources stand by each.
    const used = [
      ...GRADES.map(g => [g.nominal, g.austenitize.defaultC] as const),
      [{ C: 1.05, Cr: 14, Mo: 4, Si: 0.3, Mn: 0.5 }, 1065] as const,
    ]
    for (const [nominal, c] of used)
      expect(
        Math.abs(fillSheet('x', 'x', nominal).austenitize.defaultC - c),
        JSON.stringify(nominal),
      ).toBeLessThanOrEqual(60)
  })

  it('tempers high-speed steel at its peak: 540 to 600 °C, common practice, no published source', () => {
    const sheet = fillSheet('x', 'x', { C: 0.9, Cr: 4.1, Mo: 5, W: 6.3, V: 1.85 })
    expect(sheet.temper).toMatchObject({ minC: 540, maxC: 600 })
    // ISO 4957 asks for 64 HRC of HS6-5-2 at the least, from memory.
    expect(sheet.usualTarget.maxHrc).toBeGreaterThanOrEqual(64)
  })

  it('finds where the composition quenches hardest', () => {
    const { nominal } = named('X65Cr13')
    const best = hardestSoakC(nominal, 20)
    const at = (c: number) =>
      finalHrc({ composition: nominal }, { austenitizeC: c, soakMin: 20, quenchedToC: 25, cold: null, tempers: [] })
    expect(at(best)).toBeGreaterThanOrEqual(Math.max(at(best - 10), at(best + 10)))
  })
})

describe('the misfit of a sheet', () => {
  it('is small for the shipped charts, whose steels are known', () => {
    for (const grade of GRADES.filter(g => g.chart)) expect(misfitOf(grade)?.rmsHrc, grade.name).toBeLessThan(1.6)
    expect(misfitOf(named('X46Cr13'))).toBeNull()
  })

  it('doubts a chart of another steel, and a single wrong row', () => {
    const d2 = named('X153CrMoV12')
    expect(misfitOf({ ...d2, nominal: { C: 0.4, Cr: 13 } })?.doubt).toMatchObject({
      code: 'whole-chart',
      meanHrc: expect.toSatisfy(hrc => hrc > 1.6),
    })
    const chart = d2.chart as NonNullable<Grade['chart']>
    const slipped = chart.points.map(([c, hrc]) => [c, c === 315 ? hrc - 6 : hrc] as const)
    expect(misfitOf({ ...d2, chart: { ...chart, points: slipped } })?.doubt).toMatchObject({
      code: 'one-row',
      temperC: 315,
    })
  })
})
