import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { z } from 'zod'
import { refusalOf } from '../../../testing/tray'
import { speakerOf } from '../../../words/speaker'
import { spoken } from '../../../words/spoken'
import { fillSheet } from '../../files/own-grade/fill-sheet'
import { workingSchema } from '../api'
import { openApiDocument } from '../openapi'
import { answerQuestion, type Question } from '../question'
import { QUESTIONS } from '.'

const ROUTE = {
  austenitizeC: 1040,
  soakMin: 20,
  quenchedToC: 25,
  cold: { toC: -75, holdMin: 60, delayMin: 30 },
  tempers: [
    { atC: 200, holdMin: 120 },
    { atC: 200, holdMin: 120 },
  ],
}
const GOOD = {
  predict: { steel: { composition: { C: 1.05, Cr: 17, Mo: 0.5, Mn: 0.4, Si: 0.4 } }, route: ROUTE },
  quench: {
    blade: { thicknessMm: 3, widthMm: 40, lengthMm: 250 },
    foilMm: 0.05,
    fromC: 1065,
    medium: 'plates',
    plates: { thicknessMm: 25, widthMm: 100, lengthMm: 450, startC: 20, cooling: 'fan' },
    count: 2,
    everyS: 120,
    clampedS: 90,
  },
  foil: {
    rollWidthMm: 610,
    rotate: true,
    envelope: { folds: 2, foldMm: 9, endMm: 25, edgeMm: 6 },
    blades: [{ lengthMm: 250, widthMm: 40, thicknessMm: 3, count: 4 }],
  },
  oven: {
    oven: { preset: 'medium' },
    startC: 20,
    segments: [{ rateCPerH: null, targetC: 1065, holdMin: 20 }],
    load: [{ thicknessMm: 3, widthMm: 40, lengthMm: 250, count: 6, whenOvenC: 870 }],
    doorOpen: [{ atMin: 110, seconds: 10 }],
  },
  cold: {
    medium: 'dry-ice',
    steelKg: 3.2,
    startC: 20,
    bath: { fluid: 'isopropanol', litres: 4 },
    vesselKg: 1,
    lossWPerK: 0.35,
    holdH: 2,
    room: { m3: 40, airChangesPerH: 2 },
  },
  rockwell: {
    readings: [61, 60.5, 61],
    block: { certifiedHrc: 60, certifiedSd: 0.2, readings: [60, 60.5] },
    thicknessMm: 2.5,
    target: { min: 60, max: 61 },
  },
  advise: {
    steel: { grade: 'X105CrMo17' },
    route: ROUTE,
    reading: { mean: 60, u95: 0.6, stage: 'temper-2' },
    target: { min: 58, max: 60 },
    symptom: null,
    can: { coldToC: -75, anneal: true },
  },
} as const
type Name = keyof typeof GOOD
const NAMES = Object.keys(GOOD) as Name[]
const ask = (name: Name, input: unknown) => answerQuestion(QUESTIONS[name] as unknown as Question, input)

/** Puts a value at one place of a request, however deep. */
function withValue(input: unknown, path: readonly number[], value: unknown): unknown {
  const [step, ...rest] = path
  if (step === undefined || typeof input !== 'object' || input === null) return value
  const keys = Object.keys(input)
  const key = keys[step % Math.max(1, keys.length)]
  if (key === undefined) return value
  const changed = withValue((input as Record<string, unknown>)[key], rest, value)
  return Array.isArray(input)
    ? input.map((part, i) => (String(i) === key ? changed : part))
    : { ...input, [key]: changed }
}

const finite = (value: unknown): boolean =>
  typeof value === 'number'
    ? Number.isFinite(value)
    : typeof value === 'object' && value !== null
      ? Object.values(value).every(finite)
      : true

describe.each(NAMES)('the question %s', name => {
  it('is answered in its own shape', () => {
    const answer = ask(name, GOOD[name])
    if (!answer.ok) throw new Error(JSON.stringify(answer.problems))
    expect(QUESTIONS[name].response.safeParse(answer.value).success).toBe(true)
  })

  it('gives a finite answer or plain problems for anything put anywhere in it', () => {
    const value = fc.oneof(fc.jsonValue(), fc.double(), fc.constantFrom(-1, 0, 1e308, 1e-308, null, '', [], {}))
    fc.assert(
      fc.property(fc.array(fc.nat(6), { minLength: 1, maxLength: 4 }), value, (path, put) => {
        const answer = ask(name, withValue(GOOD[name], path, put))
        if (answer.ok) expect(finite(answer.value)).toBe(true)
        else expect(refusalOf(answer).length).toBeGreaterThan(3)
      }),
      { numRuns: 150 },
    )
  })
})

describe('bad input is said by its place', () => {
  it.each([
    ['predict', { ...GOOD.predict, route: { ...ROUTE, austenitizeC: 1950 } }, 'route.austenitizeC', 'at most 1300'],
    [
      'predict',
      { ...GOOD.predict, steel: { composition: { C: 3, Cr: 40, Mo: 30 } } },
      'steel.composition',
      'less than half',
    ],
    ['predict', { ...GOOD.predict, steel: { grade: 'tin' } }, 'steel', 'X105CrMo17'],
    ['predict', { ...GOOD.predict, route: { ...ROUTE, austenitizeC: 1950 } }, 'route.austenitizeC', '°C'],
    ['rockwell', { readings: [] }, 'readings', 'at least 1'],
    ['advise', { ...GOOD.advise, target: { min: 61, max: 60 } }, 'target.min', 'below'],
  ] as const)('%s %#', (name, input, path, words) => {
    const answer = ask(name, input)
    if (answer.ok) throw new Error('answered')
    const found = answer.problems.filter(p => p.path === path)
    expect(refusalOf({ ok: false, problems: found })).toContain(words)
  })
})

describe('the interface description', () => {
  it('is OpenAPI 3.1 with every question and its refusals', () => {
    const document = openApiDocument()
    expect(document.openapi).toBe('3.1.0')
    expect(Object.keys(document.paths)).toEqual(
      NAMES.map(name => `/api/${name}`).sort(
        (a, b) => Object.keys(document.paths).indexOf(a) - Object.keys(document.paths).indexOf(b),
      ),
    )
    for (const path of Object.values(document.paths))
      expect(Object.keys(path.post.responses)).toEqual(['200', '400', '405', '413', '415'])
    expect(JSON.stringify(document)).toContain('austenitizeC')
  })
})

describe('a steel at the door', () => {
  it.each([
    ['a grade', { grade: 'HS6-5-2C' }],
    ['a composition of powder', { composition: { C: 1.35, Cr: 4, Mo: 4.5, W: 5.5, V: 4 }, made: 'powder' }],
    ['a whole sheet', { sheet: fillSheet('own:harbour-14', 'Harbour 14', { C: 1.05, Cr: 14, Mo: 4 }) }],
  ])('%s is predicted whole: path, austenite after each temper, band and working', (_, steel) => {
    const answer = ask('predict', { steel, route: { ...ROUTE, seconds800to500: 20, start: 'hardened' } })
    if (!answer.ok) throw new Error(JSON.stringify(answer.problems))
    const value = QUESTIONS.predict.response.parse(answer.value)
    expect(value.retainedAustenite.afterTempers).toHaveLength(2)
    expect(value.band.length).toBeGreaterThan(2)
    expect(value.working.length).toBeGreaterThan(8)
    const said = z.object({ working: z.array(workingSchema.required({ name: true, equation: true, source: true })) })
    expect(said.safeParse(spoken(answer.value as object, speakerOf('metric'))).error).toBeUndefined()
  })
})
