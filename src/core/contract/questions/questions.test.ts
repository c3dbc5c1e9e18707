import { Ajv2020 } from 'ajv/dist/2020.js'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import * as z from 'zod/mini'
import { makeDemoWorkshop } from '../../../simulators/demo/make-demo'
import { REFERENCE_SHOP, SERVED_GROUP, servedShop } from '../../../testing/day-reference'
import { tries } from '../../../testing/endure'
import { expectOk, gradeOf, refusalOf } from '../../../testing/tray'
import { speakerOf } from '../../../words/speaker'
import { spoken } from '../../../words/spoken'
import { fillSheet } from '../../files/own-grade/fill-sheet'
import { createShopMemory } from '../../learn/shop-memory'
import { withBlades } from '../../shop/batch-records'
import { openApiDocument } from '../openapi'
import { type AnyQuestion, answerQuestion } from '../question'
import { workingSchema } from '../shapes'
import { type Answer, QUESTIONS, type QuestionName, SERVED } from '.'

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
const SHOP = makeDemoWorkshop(7, new Date('2026-03-02T08:00:00Z'))
const SHOWN = withBlades(SHOP.batches, SHOP.blades)
const BATCH = SHOWN.find(one => SHOP.readings.some(r => r.batchId === one.id) && one.groups.length > 1) ?? SHOWN[0]
const GRADE = gradeOf('X105CrMo17')
const STEEL = { grade: 'X105CrMo17' } as const
const LEARNT = { lot: '', ovenId: BATCH?.ovenId ?? '', exceptBatchId: null }
const OVEN = SHOP.shop.ovens[0]
const LOGGED = SHOWN.find(one => SHOP.logs.some(log => log.batchId === one.id))
const { steps, events, blades } = SHOP.runs[0] ?? { steps: [], events: [], blades: [] }
const RUN = { steps, events, blades }
const PLATES = { thicknessMm: 25, widthMm: 100, lengthMm: 450 }

/** A good request for each question that only the interface asks. */
const DAY = {
  batches: [{ batch: BATCH, progress: {}, running: false, notBeforeMin: null, notAfterMin: null, deadlineMin: null }],
  shop: SHOP.shop,
  work: [
    [480, 1080],
    [1920, 2520],
  ],
  nowMin: 450,
  heatsAlone: false,
  visits: 50_000,
} as const
const LOCAL = {
  batch: { batch: BATCH, shop: SHOP.shop, readings: SHOP.readings.filter(r => r.batchId === BATCH?.id) },
  'batch-line': { batch: BATCH, shop: SHOP.shop },
  causes: {
    steel: STEEL,
    route: ROUTE,
    stage: 'temper-2',
    measured: { mean: 57, sd: 0.4 },
    dueHrc: 60,
    checked: true,
    leakSeen: false,
  },
  certificates: {
    batch: LOGGED,
    shop: SHOP.shop,
    readings: SHOP.readings.filter(r => r.batchId === LOGGED?.id),
    runs: SHOP.runs.filter(r => r.batchIds.includes(LOGGED?.id ?? '')),
    logs: SHOP.logs.filter(log => log.batchId === LOGGED?.id),
    pictures: [],
    issuedAt: '2026-03-02T08:00:00.000Z',
  },
  chamber: { oven: OVEN },
  day: DAY,
  'day-added': { ...DAY, added: { batchId: BATCH?.id, lineId: BATCH?.lines[0]?.id, count: 2 } },
  'day-helps': DAY,
  days: { batches: [BATCH], shop: SHOP.shop },
  'each-blade': {
    batch: BATCH,
    readings: SHOP.readings.filter(r => r.batchId === BATCH?.id),
    tester: SHOP.shop.tester,
    can: { coldToC: -75, anneal: true },
    learning: true,
  },
  entries: {
    oven: { preset: 'medium' },
    austenitizeC: 1065,
    soakMin: 20,
    equalise: [{ atC: 790, holdMin: 10 }],
    load: [{ thicknessMm: 3, widthMm: 40, lengthMm: 250, count: 4 }],
  },
  'grade-curves': { grade: GRADE, route: ROUTE },
  lately: { batches: SHOWN, readings: SHOP.readings, tester: SHOP.shop.tester, learning: true },
  learn: {},
  'load-heat': { batch: BATCH, shop: SHOP.shop, loadIndex: 0, thicknessMm: 3 },
  logbook: {},
  'logbook-newest': {},
  find: { text: 'skerry', recipes: [], ovens: [], own: [] },
  'logged-route': {
    batch: LOGGED,
    groupId: LOGGED?.groups[0]?.id ?? '',
    shop: SHOP.shop,
    logs: SHOP.logs.filter(log => log.batchId === LOGGED?.id),
  },
  measured: {
    batch: BATCH,
    groupId: BATCH?.groups[0]?.id ?? '',
    readings: SHOP.readings.filter(r => r.batchId === BATCH?.id),
    tester: SHOP.shop.tester,
    learning: true,
  },
  misfit: { grade: GRADE },
  'oven-offset': { ovenId: OVEN?.id ?? '' },
  'plate-fit': {
    blade: { thicknessMm: 3, widthMm: 40, lengthMm: 250 },
    fromC: 1065,
    plates: PLATES,
    startC: 20,
    ambientC: 20,
    martensiteStartC: 180,
    clamped: { afterS: 60, plateC: 32 },
    cooled: null,
  },
  predictions: { asked: [{ steel: STEEL, route: ROUTE }], learnt: LEARNT },
  'pull-list': { batch: BATCH, shop: SHOP.shop, loadIndex: 0 },
  'rank-steels': {
    grades: [GRADE, gradeOf('C75S')],
    use: 'kitchen',
    edgeDeg: 15,
    thicknessMm: 2.5,
    coldToC: null,
    ovenMaxC: 1200,
    system: 'metric',
    oil: 'fast-oil',
  },
  'recipe-line': { route: ROUTE, grade: GRADE, oven: OVEN, system: 'metric' },
  'recipe-map': {
    steel: STEEL,
    route: ROUTE,
    austenitizeC: { min: 1000, max: 1100 },
    temperC: { min: 100, max: 600 },
    size: 8,
    learnt: LEARNT,
    lines: [59, 61],
  },
  'run-oven': { run: RUN, hardening: SHOP.shop.ovens[0], tempering: null },
  'batch-cost': { batch: BATCH, shop: SHOP.shop, attendedMin: null },
  'recipe-versions': { recipe: SHOP.recipes[0] },
  'year-cost': { batches: [BATCH], shop: SHOP.shop, attendedMin: {} },
  'edge-belief': { targetHrc: 60, edgeDeg: 15, evidence: [{ hrc: 60.4, sdHrc: 0.3, edgeDeg: 15, result: 'chips' }] },
  'shared-tempers': { batch: BATCH, shop: SHOP.shop },
  'soak-effect': { groups: BATCH?.groups ?? [], groupId: BATCH?.groups[0]?.id ?? '', soakMin: 60 },
  'run-steps': { batch: BATCH, shop: SHOP.shop, tempersDone: null },
  reach: {
    grade: GRADE,
    grades: [GRADE],
    target: { min: 62, max: 64 },
    can: { coldToC: null, ovenMaxC: 1200, thicknessMm: 3, system: 'metric' },
  },
  'suggested-route': {
    grade: GRADE,
    target: { min: 59, max: 61 },
    can: { coldToC: -75, ovenMaxC: 1200, thicknessMm: 3, system: 'metric' },
  },
  tale: { tale: 'cold', grade: GRADE, at: 2 },
  'temper-curve': { steel: STEEL, route: ROUTE, learnt: LEARNT },
  'temper-for': { steel: STEEL, route: ROUTE, wantedHrc: 59, range: { minC: 150, maxC: 300 }, system: 'metric' },
  trends: { by: 'oven' },
} as const

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
  plan: {
    shop: servedShop({ ...REFERENCE_SHOP, work: [[480, 1020]] }),
    groups: [SERVED_GROUP],
    seconds: 0.1,
  },
  ...LOCAL,
} as const satisfies Readonly<Record<QuestionName, unknown>>
type Name = keyof typeof GOOD
const NAMES = Object.keys(GOOD) as Name[]
const memory = createShopMemory()
memory.keep({ batches: SHOWN, readings: SHOP.readings, tester: SHOP.shop.tester })
const ask = async (name: Name, input: unknown) => answerQuestion(await QUESTIONS[name](), input, memory)

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

/** No NaN, and no number without end but the degrees of freedom of a scatter that is known. */
const finite = (value: unknown, key = ''): boolean =>
  typeof value === 'number'
    ? Number.isFinite(value) || key === 'degreesOfFreedom'
    : typeof value === 'object' && value !== null
      ? Object.entries(value).every(([name, part]) => finite(part, name))
      : true

describe.each(NAMES)('the question %s', name => {
  it('is answered, and all that the function gives is in the promised shape', async () => {
    const asked: AnyQuestion = await QUESTIONS[name]()
    const given = expectOk(asked.answer(asked.request.parse(GOOD[name]), memory))
    expect(asked.response.parse(given)).toEqual(given)
    expect(finite(given)).toBe(true)
  })

  it('says what is wrong with an empty request, or answers it', async () => {
    const answer = await ask(name, {})
    if (!answer.ok) expect(refusalOf(answer).length).toBeGreaterThan(3)
    for (const junk of [null, 7, 'x', []]) expect((await ask(name, junk)).ok).toBe(false)
  })
})

describe('one hardness', () => {
  it.each(SHOWN.map(one => [one.name, one] as const))('of %s: Today and the benches agree', async (_, one) => {
    const readings = SHOP.readings.filter(r => r.batchId === one.id)
    const benches = expectOk(await ask('batch', { batch: one, shop: SHOP.shop, readings })) as Answer<'batch'>
    const today = expectOk(
      await ask('lately', { batches: [one], readings, tester: SHOP.shop.tester, learning: true }),
    ) as Answer<'lately'>
    expect(today[0]?.groups.map(group => group.latest?.hrc ?? null)).toEqual(
      benches.groups.map(group => group.measured.at(-1)?.hrc ?? null),
    )
  })
})

describe.each(SERVED)('what is served at /api/%s', name => {
  it('keeps to the OpenAPI document, as it is said to programs outside', async () => {
    const document = await openApiDocument()
    const { schema } = document.paths[`/api/${name}`]?.post.responses[200]?.content['application/json'] ?? {}
    const isPromised = new Ajv2020({ strict: false }).compile(schema as object)
    const said = spoken(expectOk(await ask(name, GOOD[name])) as object, speakerOf('metric'))
    isPromised(JSON.parse(JSON.stringify(said)))
    expect(isPromised.errors).toBeNull()
    isPromised({})
    expect(isPromised.errors).not.toBeNull()
  })

  it('gives a finite answer or plain problems for anything put anywhere in it', async () => {
    const value = fc.oneof(fc.jsonValue(), fc.double(), fc.constantFrom(-1, 0, 1e308, 1e-308, null, '', [], {}))
    await fc.assert(
      fc.asyncProperty(fc.array(fc.nat(6), { minLength: 1, maxLength: 4 }), value, async (path, put) => {
        const answer = await ask(name, withValue(GOOD[name], path, put))
        if (answer.ok) expect(finite(answer.value)).toBe(true)
        else expect(refusalOf(answer).length).toBeGreaterThan(3)
      }),
      { numRuns: tries(150, 5000 / SERVED.length) },
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
  ] as const)('%s %#', async (name, input, path, words) => {
    const answer = await ask(name, input)
    if (answer.ok) throw new Error('answered')
    const found = answer.problems.filter(p => p.path === path)
    expect(refusalOf({ ok: false, problems: found })).toContain(words)
  })
})

describe('the interface description', () => {
  it('is OpenAPI 3.1 with every question that is served and its refusals', async () => {
    const document = await openApiDocument()
    expect(document.openapi).toBe('3.1.0')
    expect(Object.keys(document.paths).sort()).toEqual(SERVED.map(name => `/api/${name}`).sort())
    for (const path of Object.values(document.paths))
      expect(Object.keys(path.post.responses)).toEqual(['200', '400', '405', '413', '415', '503'])
    expect(JSON.stringify(document)).toContain('austenitizeC')
  })
})

describe('a steel at the door', () => {
  it.each([
    ['a grade', { grade: 'HS6-5-2C' }],
    ['a composition of powder', { composition: { C: 1.35, Cr: 4, Mo: 4.5, W: 5.5, V: 4 }, made: 'powder' }],
    ['a whole sheet', { sheet: fillSheet('own:harbour-14', 'Harbour 14', { C: 1.05, Cr: 14, Mo: 4 }) }],
  ])('%s is predicted whole: path, austenite after each temper, band and working', async (_, steel) => {
    const answer = await ask('predict', { steel, route: { ...ROUTE, seconds800to500: 20, start: 'hardened' } })
    if (!answer.ok) throw new Error(JSON.stringify(answer.problems))
    const value = (await QUESTIONS.predict()).response.parse(answer.value)
    expect(value.retainedAustenite.afterTempers).toHaveLength(2)
    expect(value.band.map(part => part.part)).toContain('model')
    expect(value.working.length).toBeGreaterThan(8)
    const said = z.object({ working: z.array(z.required(workingSchema, { name: true, equation: true, source: true })) })
    expect(said.safeParse(spoken(answer.value as object, speakerOf('metric'))).error).toBeUndefined()
  })
})
