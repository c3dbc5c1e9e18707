import { describe, expect, it } from 'vitest'
import type { CautionCode, CautionCodes } from '../core/codes/caution'
import type { ProblemCode, ProblemCodes } from '../core/codes/problem'
import { problem } from '../core/codes/problem'
import type { WorkingCode, WorkingCodes } from '../core/codes/working'
import type { FindingCodes } from '../core/load/inspect'
import { OPTION_KINDS } from '../core/shop/batch'
import { CAUTIONS } from '../data/cautions'
import { GRADES } from '../data/grades'
import { FULL_ANNEAL } from '../data/grades/sources'
import { apartWords, CAUSE_TESTS, firstWords, nothingHelps, stepsOf, whyWords } from './advice'
import { CAUTION_WORDS } from './cautions'
import { workingValue } from './figures'
import { FINDING_WORDS } from './inspection'
import { coldWhyWords, inUnits } from './marked'
import { PROBLEM_WORDS } from './problems'
import { speakerOf } from './speaker'
import {
  differenceWords,
  misfitWords,
  rankWords,
  refusalWords,
  routeChangeWords,
  seenWords,
  skippedLineWords,
} from './steels'
import { edgeLeadWords, edgeSlowWords } from './thin-edge'
import { measuredTrust, trustOf } from './trust'
import { WORKING_WORDS } from './working'

const METRIC = speakerOf('metric')
const IMPERIAL = speakerOf('imperial')

/** A number with a metric unit behind it. What a controller or a person typed is quoted, and stands as it is. */
const METRIC_QUANTITY = /[\d)] ?(°C|K|mm|cm|m|m²|m³|L|l|kg|kJ|kJ\/kg|W\/m²K|W\/K|kg\/m³)(?![\w/²³·])/
const unquoted = (text: string) => text.replace(/“[^”]*”/g, '')

/** That a sentence stands whole in both systems, and speaks of no metric unit in °F and inch mode. */
function expectSaid(said: (say: typeof METRIC) => string) {
  for (const say of [METRIC, IMPERIAL]) {
    const text = said(say)
    expect(text.length).toBeGreaterThan(0)
    expect(text).not.toMatch(/undefined|NaN|\[object|null|Infinity/)
  }
  expect(unquoted(said(IMPERIAL))).not.toMatch(METRIC_QUANTITY)
}

/** Parameters for every problem there is. */
const PROBLEMS: ProblemCodes = {
  'too-big': { most: 1300, counted: 'number' },
  'too-small': { least: 1, counted: 'items' },
  missing: {},
  'wrong-type': { expected: 'number' },
  'unknown-keys': { keys: ['a', 'b'] },
  'not-one-of': { values: ['round', 'flat'] },
  malformed: {},
  'steel-shape': {},
  'foil-shape': {},
  'oven-shape': {},
  'not-json': {},
  'too-long': {},
  'unreadable-file': {},
  'worker-failed': {},
  'file-too-slow': { seconds: 20 },
  'bad-session': {},
  'ids-not-apart': {},
  'target-upside-down': {},
  'more-than-the-whole': {},
  'least-above-most': {},
  'chart-not-rising': {},
  'usual-outside-window': {},
  'most-below-least': {},
  'not-a-serial-pattern': {},
  'a-step-too-many': { most: 8 },
  empty: { field: 'mass' },
  'not-a-quantity': { text: 'hot', field: 'duration' },
  'several-numbers': { text: '1 2' },
  'unknown-unit': { unit: 'stone', field: 'duration' },
  'no-readings': {},
  'not-a-number': { text: '6O', meant: '60' },
  'implausible-hrc': { text: '605', minHrc: 5, maxHrc: 70, meantHrc: 60.5 },
  'readings-run-together': {
    text: '605555',
    ways: [
      [60.5, 55.5],
      [60, 55, 55],
    ],
  },
  'oven-gone': { ovenName: 'North' },
  'tempering-oven-gone': {},
  'grade-gone': { gradeNames: ['Quayside bar'] },
  'mark-taken': { mark: 'A1' },
  'needs-oil': { gradeNames: ['C75S'], fast: true, hasOil: false },
  'too-many-blades': { most: 60 },
  'nothing-in-load': {},
  'too-many-lines': { most: 60 },
  'not-a-picture': { name: 'edge.jpg' },
  'picture-too-big': { mb: 60, mostMb: 40 },
  'storage-full': {},
  'storage-newer': {},
  'storage-refused': {},
  'writers-missing': {},
  'save-failed': { what: 'TypeError' },
  'run-goes-on': {},
  'id-twice': {},
  'time-impossible': { first: 1990, last: 2100 },
  'is-shared': {},
  'only-shows': {},
  'hot-run-on': { name: 'Net knives' },
  'back-up-not-allowed': { folder: 'stick' },
  'back-up-failed': { what: 'NotFoundError' },
  'back-up-differs': { name: 'tawny-ember-2026-03-03-180000.json' },
  'above-oven': { setC: 1250, ovenMaxC: 1200 },
  'above-foil': { atC: 1150, foilMaxC: 1093 },
  'too-many-steps': { takes: 9, holds: 8 },
  'unknown-command': { line: 'MAKE TEA' },
  'too-heavy': { kg: 44 },
  'log-too-short': {},
  'log-without-legs': {},
  'log-held-to-a-rate': {},
  'too-hot-for-foil': { atC: 1240, foil: '309', foilMaxC: 1227, marginC: 10 },
  clearance: { where: 'edge', givenMm: 1, steelMm: 3, leastMm: 1.5 },
  'too-many-sheets': { most: 400 },
  'sheet-too-wide': { lengthMm: 700, widthMm: 650, rollWidthMm: 610, turned: false },
  'sheet-too-long': { lengthMm: 700, widthMm: 300, longestMm: 500 },
  'plates-cold': {},
  'plates-too-hot': {},
  'plates-warmer-after': {},
  'too-round': { narrowestMm: 6.35 },
  'too-much-added': { diameterMm: 8, addedHrc: 3.6, mostHrc: 3 },
  'too-soft-for-round': { softestHrc: 20 },
  'file-not-json': {},
  'file-not-ours': {},
  'file-newer': { version: 9, known: 5 },
  'file-broken': { found: [problem('too-big', { most: 1300, counted: 'number' }, 'a.austenitizeC')], more: 2 },
  'file-empty': {},
  'drawing-too-large': { mostMegabytes: 5 },
  'drawing-too-many-shapes': { most: 10_000 },
  'drawing-unreadable': { kind: 'dxf', empty: true },
  'no-outline': {},
  'outline-crosses-itself': { xMm: 50, yMm: 20 },
  'log-too-few-rows': {},
  'log-no-rows': {},
  'log-no-time': {},
  'log-no-temperature': {},
  'log-nothing-used': { rows: 9, skipped: [{ why: 'break', count: 9 }] },
  'readings-columns': { missing: ['blade', 'HRC'], head: ['time'] },
  'readings-nothing': { first: problem('row-value', { text: '6O' }, '2') },
  'row-blade': { blade: 'Z9' },
  'row-two-blades': { mark: 'A1' },
  'row-no-stage': { text: 'sometime' },
  'row-stage-not-on-route': { mark: 'A1', text: 'temper 7' },
  'code-too-large': { bytes: 4000, most: 2953 },
  'code-none': {},
  'no-camera': {},
  'code-foreign': {},
  'code-newer': {},
  'code-broken': {},
  'records-empty': {},
  'records-too-large': { mostMegabytes: 10 },
  'records-too-long': { rows: 30_000, most: 20_000 },
  'records-nothing': { first: problem('record-date', { text: 'May' }, '2') },
  'record-date': { text: 'May' },
  'record-grade': { text: 'mystery' },
  'record-no-soak': { text: '' },
  'record-outside': { field: 'soak', value: 4000 },
  'row-value': { text: '6O' },
  'row-implausible': { hrc: 605 },
  'survey-reading': { text: 'hot', row: 1 },
  'survey-outside': { text: '9999', row: 1, atC: 9999 },
  'survey-empty': {},
  'sheet-no-name': {},
  'sheet-name-taken': { name: 'Harbour 14' },
  'sheet-not-a-number': { text: 'x' },
  'sheet-negative': { element: 'Cr' },
  'sheet-least-above-most': { element: 'Cr' },
  'sheet-below-least': { element: 'Cr', value: 12, least: 13 },
  'sheet-above-most': { element: 'Cr', value: 15, most: 14 },
  'sheet-over-whole': { sum: 141 },
  'sheet-hardly-iron': { sum: 70 },
  'sheet-no-carbon': {},
  'sheet-carbon-outside': { value: 5, least: 0.05, most: 3.5 },
  'sheet-outside': {
    dimension: 'temperature',
    value: 1950,
    least: 700,
    most: 1300,
    other: { text: '“1950 °F”', value: 1066 },
  },
  'sheet-not-a-hardness': { text: '700', least: 20, most: 70 },
  'sheet-soak-upside-down': {},
  'sheet-usual-outside': {},
  'sheet-soak-times-upside-down': {},
  'sheet-tempers-upside-down': {},
  'sheet-temper-above-soak': {},
  'sheet-no-chart-row': {},
  'sheet-chart-doubles-back': { row: 3, atC: 240, beforeC: 250 },
  'sheet-chart-above-soak': { hottestC: 700 },
}

const CAUTION_PARAMS: CautionCodes = {
  'above-window': { atC: 1120, minC: 1020, maxC: 1110 },
  'below-window': { atC: 990, minC: 1020, maxC: 1110 },
  'long-soak': { soakMin: 60, usualMin: 25 },
  'coarse-grain': { atC: 1120 },
  'lean-matrix': {},
  'much-austenite': { share: 0.23 },
  'low-ms': {},
  'slow-quench': { seconds: 80, softShare: 0.12 },
  'late-cold': { delayMin: 300 },
  'short-cold': { holdMin: 20, toC: -20, reachedC: -13 },
  'robbed-chromium': {},
  'far-from-chart': { shiftHrc: 3.4 },
  'second-temper': {},
  'temper-above-soak': {},
  untempered: {},
  'outside-model': { elements: [{ element: 'Cr', value: 24, least: 0, most: 20 }] },
  'tight-end': { endMm: 10, usualMm: 25 },
  'thick-corner': { layers: 18, mm: 0.9 },
  'one-fold': {},
  shared: {},
  'thick-seam': { layers: 14 },
  'thin-edge': { mark: 'A', edgeMm: 0.2, skinMm: 0.05 },
  warp: { mark: 'A', leastMm: 0.3 },
  'not-reached': { step: 2, longestMin: 600 },
  'not-loaded': {},
  'not-soaked': { withinK: 5 },
  'rate-limited': {},
  'log-not-followed': {},
  'no-cooling-leg': {},
  'no-climb': {},
  outside: { widthMm: 150, depthMm: 450 },
  element: { withinMm: 20 },
  overlap: {},
  close: { withinMm: 8 },
  blocked: {},
  'thin-plates': { plateMm: 8, bladeMm: 4 },
  'small-plates': {},
  melting: { atC: 1310 },
  'plates-hot': { blade: 4, leavesC: 190 },
  'air-refused': { gas: 'co2', level: 40_000, neededAirChangesPerH: null },
  'nitrogen-spill': { litres: 5, oxygenPercent: 17 },
  'air-limit': { gas: 'oxygen', level: 19, limit: 19.5, name: 'instant-oxygen' },
  solvent: { fluid: 'ethanol', flashC: 13 },
  'beside-blade': {},
  bevel: {},
  edge: { mm: 0.5, leastMm: 1 },
  near: { mm: 0.5, leastMm: 1.2 },
  slope: { degrees: 3.2, withinDegrees: 2 },
  thin: { mm: 0.6, leastMm: 0.7 },
}

const WORKING_PARAMS: WorkingCodes = {
  'solubility-product': {},
  'dissolved-by-soak': {},
  'carbon-in-austenite': {},
  'chromium-in-austenite': {},
  'martensite-start': {},
  'martensite-start-other': {},
  'retained-quenched': {},
  'retained-cold': {},
  'soft-products': {},
  'untempered-model': {},
  'tempering-parameter': {},
  'tempering-chart': { source: 'a handbook' },
  'chart-and-model': { sdHrc: 0.7 },
  'own-readings': { readings: 12 },
  'band-one-sigma': { parts: [{ part: 'lot', element: 'Cr', sd: 0.3 }] },
  'readings-mean': { n: 3 },
  'scatter-of-mean': { sdHrc: 0.5, degreesOfFreedom: 6, beforeHrc: 0.5 },
  'dial-resolution': {},
  'test-block': { by: 'block' },
  'coverage-factor': {},
  'steel-heat-dry-ice': {},
  'bath-heat': { source: 'a handbook' },
  'vessel-heat': {},
  'leak-heat': {},
  'sublimation-heat': { source: 'a handbook' },
  'co2-in-room': {},
  'steel-heat-nitrogen': {},
  'vaporisation-heat': { source: 'a handbook' },
  'oxygen-in-room': {},
  'oxygen-after-spill': {},
  'contact-through-foil': { plates: true },
  'steel-on-cooling': {},
  'rate-800-500': { plates: true },
  'skin-bare': {},
  'skin-share': {},
  'tang-taper': {},
  'protection-material': {},
  'protection-work': { blades: 3, hourPrice: 40 },
  'tray-weight': {},
  'hottest-step': { marginK: 10 },
  'foil-bound': { proven: true },
  'foil-over-bound': {},
  'foil-left-over': {},
  'foil-used': {},
  'climb-rate': { preheated: true },
  'lag-alone': {},
  'lag-crowded': {},
  'to-full-heat': { afterLoad: false },
  'heat-energy': {},
  'heat-cost': {},
  'blade-between-plates': { blade: 2, plateC: 40 },
  'third-martensite': {},
  'warm-seconds': {},
  'temper-lag': { fan: null },
  'coolest-temper': {},
  'chance-in-target': { min: 59, max: 61 },
  'band-narrowed': { by: 'three-readings' },
  'foil-cost': { from: 'plan', factor: 1 },
  'foil-cost-per-blade': { blades: 6 },
  'foil-price': {},
  'batch-cost': { good: 4 },
  'full-power-climb': { logName: 'heat.csv' },
  'mains-current': {},
  'correction-by': { kind: 'survey', count: 2, sdK: 3 },
}

const FINDINGS: FindingCodes = {
  crack: {},
  flaking: {},
  grey: {},
  'bow-within': { bowMm: 0.1, limitMm: 0.2 },
  'bow-over': { bowMm: 1.4, limitMm: 0.2, bentAt: 'tip', thicknessMm: 2.5, grindable: false },
  'files-disagree': { skates: 65, bites: 60 },
  'soft-reading': { hrc: 55, dueHrc: 61.5 },
  'soft-file': { bites: 55, dueHrc: 61.5 },
  'as-due': { hrc: 61, dueHrc: 61.5, dueSd: 0.4 },
  'file-skates': { skates: 60 },
}

const keysOf = <T extends object>(record: T) => Object.keys(record) as (keyof T)[]
// A table of words and its table of parameters have the same keys; this reads both by one.
const saidBy =
  <Codes, K extends keyof Codes>(
    words: { readonly [C in K]: (params: Codes[C], say: typeof METRIC, path: string) => string },
    params: Pick<Codes, K>,
    code: K,
  ) =>
  (say: typeof METRIC) =>
    words[code](params[code], say, 'a.austenitizeC')

describe('how far a figure is to be trusted', () => {
  const restsOn = { on: 'model', family: 'stainless', sdHrc: 1, steels: 4, recalled: false } as const

  it('is one mark, and a sentence with what it rests on', () => {
    expect(trustOf({ shop: { shiftHrc: 0.3, readings: 12 }, restsOn })).toEqual({
      mark: 'measured here',
      says: 'It rests on 12 readings of this steel in your shop.',
    })
    const chart = { ...restsOn, on: 'chart' } as const
    expect(trustOf({ shop: null, restsOn: chart }).mark).toBe('chart')
    expect(trustOf({ shop: null, restsOn: { ...chart, recalled: true } }).mark).toBe('chart, from memory')
    const model = trustOf({ shop: null, restsOn })
    expect(model.mark).toBe('model')
    expect(model.says).toContain('On stainless steels that were left out of the fit it was right within ± 2.0 HRC')
    expect(model.says).not.toContain('guess')
    expect(trustOf({ shop: null, restsOn: { ...restsOn, family: 'high-speed', steels: 2 } }).says).toContain(
      'Only 2 such steels could be tried: take it as a guess.',
    )
    expect(measuredTrust('files').mark).toBe('by files')
  })
})

describe('a ground edge', () => {
  it('is told in minutes and seconds, in either system', () => {
    expectSaid(say => edgeLeadWords({ edgeMm: 0.5, leadS: 200 }, say))
    expectSaid(say => edgeSlowWords(0.5, 28.4, 25, say))
    expect(edgeLeadWords({ edgeMm: 0.5, leadS: 200 }, METRIC)).toContain(
      '0.50 mm) is at heat about 3 min before the spine',
    )
    expect(edgeLeadWords({ edgeMm: 0.5, leadS: 51 }, METRIC)).toContain('about 51 s before')
    expect(edgeSlowWords(0.5, 28.4, 25, METRIC)).toContain('This grade allows 25 s')
  })
})

describe('advice that does not help', () => {
  it('is said above the options where none has a chance, and only there', () => {
    const none = { inTargetProbability: 0.01 }
    expect(nothingHelps([none, none])).toContain('Nothing here brings it within the target')
    expect(nothingHelps([none, { inTargetProbability: 0.2 }])).toBeNull()
  })

  it('a temper that moves nothing does not pretend to', () => {
    const why = {
      measured: { mean: 60.2, u95: 0.5, stage: 'temper-1' as const },
      wanted: { min: 59, max: 61 },
      changeHrc: -0.05,
      robsChromium: false,
      lostCorrosion: 0,
      lateCold: false,
      leavesRange: null,
      notByHardness: false,
    }
    const said = (changeHrc: number) =>
      whyWords({ kind: 'temper', why: { ...why, changeHrc }, temper: { atC: 200, holdMin: 120 }, missHrc: 0 }, METRIC)
    expect(said(-0.05)).toContain('leaves the hardness as it is')
    expect(said(-0.05)).not.toContain('0.1')
    expect(said(-0.6)).toContain('down by 0.6')
  })
})

describe('every code is said in both systems, and without a metric unit in °F and inch mode', () => {
  it.each(keysOf(PROBLEM_WORDS))('the problem %s', (code: ProblemCode) => {
    expectSaid(saidBy<ProblemCodes, ProblemCode>(PROBLEM_WORDS, PROBLEMS, code))
  })

  it.each(keysOf(CAUTION_WORDS))('the caution %s', (code: CautionCode) => {
    expectSaid(saidBy<CautionCodes, CautionCode>(CAUTION_WORDS, CAUTION_PARAMS, code))
  })

  it.each(keysOf(FINDING_WORDS))('the finding %s', code => {
    expectSaid(saidBy<FindingCodes, keyof FindingCodes>(FINDING_WORDS, FINDINGS, code))
  })

  it.each(keysOf(WORKING_WORDS))(
    'the line of working %s, whose source may quote its own units',
    (code: WorkingCode) => {
      const words = <C extends WorkingCode>(c: C, say: typeof METRIC) => WORKING_WORDS[c](WORKING_PARAMS[c], say)
      expectSaid(say => `${words(code, say).name}: ${words(code, say).equation}`)
      expect(words(code, METRIC).source.length).toBeGreaterThan(3)
    },
  )

  it('values of working, by their units', () => {
    const shown = (value: number | null, unit: 'C' | 'K' | 'kJ' | 'W/m²K' | 'K/s' | 'mm' | 'kg' | '') =>
      workingValue({ code: 'mains-current', params: {}, value, unit }, IMPERIAL)
    expect([shown(1065.56, 'C'), shown(10, 'K'), shown(25.4, 'mm'), shown(0.45359237, 'kg')]).toEqual([
      '1950 °F',
      '+18 °F',
      '1 in',
      '1 lb',
    ])
    // 1 kJ is 0.9478 BTU; 1 W/m²K is 0.1761 BTU/h·ft²·°F (NIST SP 811, from memory).
    expect([shown(100, 'kJ'), shown(800, 'W/m²K'), shown(10, 'K/s')]).toEqual([
      '95 BTU',
      '141 BTU/h·ft²·°F',
      '18 °F per second',
    ])
    expect([shown(null, ''), shown(null, 'C'), shown(Number.POSITIVE_INFINITY, 'C')]).toEqual(['used', '—', '—'])
  })

  it('what can be done after a reading, and what tells a cause', () => {
    const why = {
      measured: { mean: 61.7, u95: 0.5, stage: 'temper-2' as const },
      wanted: { min: 59, max: 61 },
      changeHrc: -0.9,
      robsChromium: true,
      lostCorrosion: 2,
      lateCold: false,
      leavesRange: { minC: 150, maxC: 200 },
      notByHardness: false,
    }
    for (const kind of OPTION_KINDS) {
      const option = {
        kind,
        why,
        temper: { atC: 210, holdMin: 120 },
        cold: { toC: -75, holdMin: 60, delayMin: 30 },
        anneal: FULL_ANNEAL,
        again: null,
        oil: 'medium-oil' as const,
        missHrc: 0.7,
      }
      expectSaid(say => whyWords(option, say))
      // A temper is keyed: it stands in both scales, whatever the shop's.
      for (const step of stepsOf(option, IMPERIAL)) expect(step).not.toMatch(/undefined|NaN/)
    }
    for (const test of Object.values(CAUSE_TESTS)) expectSaid(test)
    const miss = { kind: 'accept' as const, why, temper: null, cold: null, anneal: null, again: null, oil: null }
    expect(stepsOf({ ...miss, missHrc: -2.5 }, METRIC)).toEqual([
      'Keep it as it is, 2.5 HRC too soft, if that does for its use.',
    ])
    expect(stepsOf({ ...miss, missHrc: 0 }, METRIC)).toEqual(['Finish the blade.'])
    const reason = { by: 'effort' as const, against: 'temper' as const, chance: 0.1, otherChance: 0.1, turns: null }
    expect(firstWords({ kind: 'accept', missHrc: 1.2 }, reason)).toMatch(
      /^“Keep it as it is” rather than “Temper again”/,
    )
    expect(whyWords({ ...miss, missHrc: 1.2 }, METRIC)).toContain('misses the target by 1.2 HRC: too hard')
  })

  it('grades, cautions and tales', () => {
    for (const grade of GRADES) {
      expectSaid(say => coldWhyWords(grade, say))
      expectSaid(say => inUnits(grade.note, say))
    }
    for (const text of Object.values(CAUTIONS)) expectSaid(say => inUnits(text, say))
    for (const why of [
      { code: 'needs-oil', slowest800to500S: 4, fast: true },
      { code: 'oven-too-cold', needsC: 1160, ovenMaxC: 1080 },
      { code: 'no-foil', needsC: 1240 },
    ] as const)
      expectSaid(say => refusalWords(why, say))
    expectSaid(say => seenWords({ code: 'hotter-softer', hardestC: 1080, coarse: true }, say))
    expectSaid(say => seenWords({ code: 'chromium-stays' }, say))
    expectSaid(say => misfitWords({ code: 'one-row', temperC: 315, offHrc: 4 }, say))
    expectSaid(say => skippedLineWords({ line: 2, text: '', why: 'not-a-temper', atC: 20 }, say))
    expectSaid(say => routeChangeWords([{ what: 'cold', from: -75, to: null }], say))
  })
})

describe('a blade that stands apart', () => {
  const said = (hrc: number) => apartWords({ mark: 'K3', hrc, othersHrc: 60, leak: null })
  it('is measured again where it is hard, and asked about its packet where it is soft', () => {
    expect(said(63)).toContain('measure it again first')
    expect(said(63)).not.toContain('leak')
    expect(said(56)).toContain('Look at its packet for a leak')
  })
})

describe('sentences', () => {
  it('a difference of temperatures is no temperature: 10 K for overshoot are 18 °F', () => {
    const said = PROBLEM_WORDS['too-hot-for-foil'](PROBLEMS['too-hot-for-foil'], IMPERIAL, '')
    expect(said).toBe(
      'No foil stands 2264 °F: type 309 ends at 2241 °F, less 18 °F for overshoot. Use an anti-scale coat, or inert gas.',
    )
  })

  it('a limit is said in the unit of its field', () => {
    const most = (path: string) => PROBLEM_WORDS['too-big']({ most: 630, counted: 'number' }, IMPERIAL, path)
    expect(most('outline.tangMm')).toBe('must be at most 24.803 in')
    expect(most('route.austenitizeC')).toBe('must be at most 1166 °F')
    expect(most('groups')).toBe('must be at most 630')
  })

  it('a grade’s rank and two routes are told apart by name', () => {
    expect(
      rankWords({
        hrc: 60.4,
        target: { min: 59, max: 61 },
        reaches: 'within',
        edge: 'fine',
        strength: 'tough',
        corrosionClass: 'careful',
        rustsTooSoon: true,
      }),
    ).toBe(
      'It reaches 60.4 HRC, takes a fine edge and keeps it a fair while and is tough; but it spots if left wet, less than this use asks.',
    )
    expect(differenceWords({ code: 'hardness', harderByHrc: -1.26 }, 'A', 'B')).toBe('B is 1.3 HRC softer than A.')
  })
})
