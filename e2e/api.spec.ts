import { readdir } from 'node:fs/promises'
import { request as httpRequest } from 'node:http'
import { expect, test } from '@playwright/test'
import fc from 'fast-check'
import { REFERENCE_SHOP, SERVED_GROUP, servedShop } from '../src/testing/day-reference'

const ROUTE = { austenitizeC: 1010, soakMin: 30, quenchedToC: 25, cold: null, tempers: [{ atC: 205, holdMin: 120 }] }
const JSON_TYPE = { 'content-type': 'application/json' }

test('answers in the promised shapes', async ({ request }) => {
  const predict = await (
    await request.post('/api/predict', { data: { steel: { grade: 'X153CrMoV12' }, route: ROUTE } })
  ).json()
  // ASM handbook, D2 from 1010 °C tempered at 205 °C: 61 HRC, from memory.
  expect(predict.hrc.afterTempers[0].mean).toBeCloseTo(61, 0)
  expect(predict.corrosion.chromiumInSolution).toBeCloseTo(7.7, 0)
  const foil = await (
    await request.post('/api/foil', {
      data: { rollWidthMm: 610, rotate: true, pieces: [{ lengthMm: 336, widthMm: 142, count: 1 }] },
    })
  ).json()
  expect(foil.usedLengthMm).toBe(142)
  const rockwell = await (
    await request.post('/api/rockwell', {
      data: { readings: [60.5, 61, 61.5], thicknessMm: 2.5, target: { min: 60, max: 62 } },
    })
  ).json()
  expect(rockwell).toMatchObject({ mean: 61, n: 3, outliers: [], verification: null })
  const advise = await (
    await request.post('/api/advise', {
      data: {
        steel: { grade: 'X153CrMoV12' },
        route: ROUTE,
        reading: { mean: 61, u95: 0.5, stage: 'temper-1' },
        target: { min: 60.4, max: 61.6 },
        symptom: null,
        can: { coldToC: null, anneal: true },
      },
    })
  ).json()
  expect(advise.options[0].kind).toBe('accept')
  expect(advise.whyNot).toBeNull()
  const short = await (
    await request.post('/api/advise', {
      data: {
        steel: { grade: 'X46Cr13' },
        route: ROUTE,
        reading: { mean: 57, u95: 0.5, stage: 'temper-1' },
        target: { min: 62, max: 63 },
        can: { coldToC: null, anneal: true },
      },
    })
  ).json()
  expect(short.whyNot.missHrc).toBeLessThan(-1)
  expect(short.whyNot.says.join(' ')).toMatch(
    /The nearest that this steel comes .* too soft.*carbon in solution.*These would reach it here/,
  )
  const schema = await (await request.get('/api/workshop-schema.json')).json()
  expect(schema.$schema).toContain('2020-12')
  const openapi = await (await request.get('/api/openapi.json')).json()
  expect(Object.keys(openapi.paths)).toEqual([
    '/api/predict',
    '/api/quench',
    '/api/foil',
    '/api/oven',
    '/api/cold',
    '/api/rockwell',
    '/api/advise',
    '/api/plan',
  ])
})

test('cold: the amounts of the worked example, its peak, and a plan refused in a small room', async ({ request }) => {
  const ask = async (room: object) =>
    request.post('/api/cold', {
      data: {
        medium: 'dry-ice',
        steelKg: 3.234,
        startC: 20,
        bath: { fluid: 'isopropanol', litres: 4 },
        vesselKg: 1,
        lossWPerK: 0.35,
        holdH: 2,
        room,
      },
    })
  const small = await (await ask({ m3: 20, airChangesPerH: 0.5 })).json()
  // Worked by hand from handbook heats: 1.598 + 0.419 kg, 1.102 m³.
  expect(small.coolantKg).toBeCloseTo(2.017, 2)
  expect(small.gasM3).toBeCloseTo(1.102, 2)
  expect(small.peak.co2Ppm / 40_584).toBeCloseTo(1, 2)
  expect(small.refused).toContain('outdoors')
  const large = await (await ask({ m3: 400, airChangesPerH: 4 })).json()
  expect(large.refused).toBeNull()
  const none = await ask({ m3: 0, airChangesPerH: 0 })
  expect(none.status()).toBe(400)
  expect((await none.json()).error.issues[0].path).toBe('room.m3')
})

test('oven: one load after another in the promised shape; a load that does not fit is refused by its path', async ({
  request,
}) => {
  const blade = { thicknessMm: 3, widthMm: 40, lengthMm: 250, count: 3 }
  const ask = (load: object[]) =>
    request.post('/api/oven', {
      data: {
        oven: { preset: 'medium' },
        startC: 20,
        segments: [
          { rateCPerH: null, targetC: 1000, holdMin: 25 },
          { rateCPerH: null, targetC: 1040, holdMin: 25 },
        ],
        load,
        doorOpen: [],
      },
    })
  const both = await ask([
    { ...blade, whenOvenC: 800, outAtSegment: 1 },
    { ...blade, whenSegment: 1 },
  ])
  expect(both.status()).toBe(200)
  const { segments, load, energyKWh, curve } = await both.json()
  expect(load[1].withinFiveCMin).toBeGreaterThan(segments[0].endedMin)
  expect(load[0].peakC).toBeLessThan(1010)
  expect(segments[1].endedKWh).toBeCloseTo(energyKWh, 6)
  expect(curve[0]).toHaveLength(3)
  const refused = await ask([{ ...blade, thicknessMm: 90 }])
  expect(refused.status()).toBe(400)
  expect((await refused.json()).error.issues[0].path).toBe('load.0.thicknessMm')
})

test('the simulated controller takes lines, streams readings, and refuses in the one shape', async ({
  request,
  baseURL,
}) => {
  const session = 'api-test-0001'
  const send = async (line: string) =>
    (await (await request.post('/api/oven-controller', { data: { session, line } })).json()).reply
  expect(await send('ID?')).toMatch(/^ID /)
  expect(await send('PROG 1')).toBe('OK')
  expect(await send('STEP 1 FULL 800 10')).toBe('OK')
  expect(await send('RUN')).toBe('OK')
  // Who only listens makes nothing.
  expect((await request.get('/api/oven-controller?session=api-test-0002')).status()).toBe(404)
  const stream = await fetch(`${baseURL}/api/oven-controller?session=${session}`)
  expect(stream.headers.get('content-type')).toBe('text/event-stream')
  const reader = stream.body?.getReader()
  const first = new TextDecoder().decode((await reader?.read())?.value)
  expect(first).toMatch(/^data: READ t=/)
  await reader?.cancel()
  const bad = await request.post('/api/oven-controller', { data: { session: 'x', line: '' } })
  expect(bad.status()).toBe(400)
  expect((await bad.json()).error.issues.length).toBeGreaterThan(0)
  expect((await request.get('/api/oven-controller')).status()).toBe(400)
  expect((await request.put('/api/oven-controller')).status()).toBe(405)
})

test('refuses in one shape: 400, 404, 405, 413, 415', async ({ request }) => {
  const cases = [
    [
      400,
      await request.post('/api/predict', {
        data: { steel: { grade: 'X65Cr13' }, route: { ...ROUTE, austenitizeC: 1950 } },
      }),
    ],
    [400, await request.post('/api/predict', { headers: JSON_TYPE, data: '{"steel":' })],
    [400, await request.post('/api/predict', { headers: JSON_TYPE, data: Buffer.from([0xff, 0xfe, 0x00]) })],
    [400, await request.post('/api/foil', { headers: JSON_TYPE, data: '' })],
    [404, await request.post('/api/nothing', { data: {} })],
    [404, await request.get('/api/a/b/c')],
    [404, await request.post('/api/constructor', { data: {} })],
    [405, await request.get('/api/predict')],
    [413, await request.post('/api/foil', { headers: JSON_TYPE, data: `"${'x'.repeat(1_100_000)}"` })],
    [415, await request.post('/api/predict', { form: { a: '1' } })],
    [415, await request.post('/api/predict', { headers: { 'content-type': 'text/plain' }, data: '{}' })],
  ] as const
  for (const [status, response] of cases) {
    expect(response.status(), await response.text()).toBe(status)
    const { error } = await response.json()
    expect(error).toMatchObject({ code: expect.any(String), message: expect.any(String), issues: expect.any(Array) })
  }
  const [, first] = cases[0]
  expect((await first.json()).error.issues).toEqual([
    { code: 'too-big', path: 'route.austenitizeC', message: 'must be at most 1300 °C' },
  ])
})

test('never fails on anything a client can send', async ({ request }) => {
  const name = fc.constantFrom('predict', 'quench', 'foil', 'oven', 'cold', 'rockwell', 'advise')
  await fc.assert(
    fc.asyncProperty(name, fc.oneof(fc.json(), fc.string()), async (path, data) => {
      const response = await request.post(`/api/${path}`, { headers: JSON_TYPE, data })
      expect([200, 400]).toContain(response.status())
    }),
    { numRuns: 60 },
  )
  for (const path of ['/api/%E0%A4%A', '/api/%00', '/api/..%2f..%2fetc'])
    expect((await request.get(path)).status()).toBeLessThan(500)
})

test('too many questions at once are put off, and pages are served all the while', async ({ request }) => {
  const pieces = Array.from({ length: 20 }, (_, i) => ({ lengthMm: 200 + 7 * i, widthMm: 60 + 3 * i, count: 2 }))
  let answered = 0
  const many = Array.from({ length: 60 }, () =>
    request.post('/api/foil', { data: { rollWidthMm: 610, rotate: true, pieces } }).finally(() => {
      answered += 1
    }),
  )
  expect((await request.get('/batches')).status()).toBe(200)
  expect(answered, 'the page came while questions waited').toBeLessThan(60)
  const answers = await Promise.all(many)
  for (const one of answers) if (one.status() !== 200) expect((await one.json()).error.code).toBe('busy')
  expect(new Set(answers.map(one => one.status()))).toEqual(new Set([200, 503]))
})

test('files go out compressed, kept for good where their name tells their version, with the same care as pages', async ({
  request,
}) => {
  const page = await (await request.get('/batches')).text()
  const part = /\/_astro\/[\w.-]+\.js/.exec(page)?.[0] ?? ''
  const file = await request.get(part, { headers: { 'accept-encoding': 'br' } })
  expect(file.headers()).toMatchObject({
    'content-encoding': 'br',
    'cache-control': 'public, max-age=31536000, immutable',
    'x-content-type-options': 'nosniff',
    'referrer-policy': 'no-referrer',
  })
  const worker = await request.get('/sw.js')
  expect(worker.headers()['cache-control']).toBe('no-cache')
  const again = await request.get('/sw.js', { headers: { 'if-none-match': worker.headers().etag ?? '' } })
  expect(again.status()).toBe(304)
})

test('no foreign page and no foreign name is answered; every answer says how it may be used', async ({
  request,
  page,
}) => {
  const ask = (headers: Record<string, string>) => request.post('/api/cold', { data: {}, headers })
  expect((await ask({ 'sec-fetch-site': 'cross-site' })).status()).toBe(403)
  expect((await ask({ origin: 'http://harmless.example' })).status()).toBe(403)
  const stream = { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'cors' }
  expect((await request.get('/api/oven-controller?session=api-test-0001', { headers: stream })).status()).toBe(403)
  const named = await request.get('/', { headers: { host: 'harmless.example' } })
  expect(named.status()).toBe(421)
  expect((await named.json()).error.code).toBe('wrong-host')
  for (const answer of [await request.get('/'), await ask({})]) {
    expect(answer.headers()['x-content-type-options']).toBe('nosniff')
    expect(answer.headers()['content-security-policy']).toContain("frame-ancestors 'none'")
    expect(answer.headers()['content-security-policy']).not.toContain('nonce-of-the-response')
    expect(answer.headers()['referrer-policy']).toBe('no-referrer')
  }
  // The page itself still asks, by its worker and by fetch.
  await page.goto('/')
  const own = await page.evaluate(
    async () =>
      (await fetch('/api/cold', { method: 'POST', headers: { 'content-type': 'application/json' }, body: '{}' }))
        .status,
  )
  expect(own).toBe(400)
})

test('the day plan answers over HTTP, and says in words what cannot be', async ({ request }) => {
  const [shop, group] = [servedShop(REFERENCE_SHOP), SERVED_GROUP]
  const plan = async (data: unknown) => (await request.post('/api/plan', { data })).json()
  // The first reference figure of the design's day plan.
  expect(await plan({ shop, groups: [group] })).toMatchObject({ feasible: true, finishMin: 930, proven: true })
  const none = await plan({ shop: { ...shop, work: [] }, groups: [group] })
  expect(none).toMatchObject({ feasible: false, why: { code: 'no-hours', groups: ['A'] } })
  expect(none.why.message).toBe('There are no working hours. Set when you work.')
  expect((await request.post('/api/plan', { data: { shop, groups: [group, group] } })).status()).toBe(400)
})

test('over a bare socket TRACE, foreign names and the framework’s own addresses are refused, for files as for pages', async ({
  baseURL,
}) => {
  const { hostname, port } = new URL(baseURL ?? '')
  const ask = (method: string, path: string, host = `${hostname}:${port}`) =>
    new Promise<{ status: number; body: string; nosniff: boolean }>((resolve, reject) => {
      const sent = httpRequest({ hostname, port, method, path, headers: { host } }, answer => {
        const parts: Buffer[] = []
        answer.on('data', part => parts.push(part))
        answer.on('end', () =>
          resolve({
            status: answer.statusCode ?? 0,
            body: Buffer.concat(parts).toString(),
            nosniff: answer.headers['x-content-type-options'] === 'nosniff',
          }),
        )
      })
      sent.on('error', reject)
      sent.end()
    })
  for (const path of ['/', '/theme.js', '/api/predict', '/api/nothing']) {
    expect(await ask('TRACE', path)).toMatchObject({ status: 405, nosniff: true })
    for (const host of ['evil.example', '[evil.example', '[::1].evil.example'])
      expect(await ask('GET', path, host)).toMatchObject({ status: 421, nosniff: true })
  }
  for (const path of [
    '/_image?href=/icon-512.png&w=4000&f=png',
    '//_image',
    '/%5Fimage?href=/icon-512.png',
    '/_server-islands/x',
    '/_actions/x',
  ])
    expect(await ask('GET', path)).toMatchObject({ status: 404, nosniff: true })
  expect((await ask('GET', '/theme.js')).status).toBe(200)
})

test('the built server answers these routes and no other: pages are drawn at once, questions have five seconds in a thread', async () => {
  const folder = 'dist/server/pages'
  const built = (await readdir(folder, { recursive: true }))
    .filter(name => name.endsWith('.astro.mjs'))
    .map(name => name.replace('.astro.mjs', ''))
    .sort()
  expect(built).toEqual([
    '404',
    // Refused before it is reached: scripts/guard.mjs.
    '_image',
    'api/_---rest_',
    'api/_question_',
    'api/openapi.json',
    'api/oven-controller',
    'api/workshop-schema.json',
    'batch/_id_/_station_',
    'batches',
    'blade/_batch_/_mark_',
    'blade/_id_',
    'certificate/_id_',
    'check',
    'index',
    'join',
    'logbook',
    'oven/_id_',
    'practice/_id_',
    'print/_id_',
    'print/recipe/_id_',
    'recipe/_id_',
    'recipes',
    'run/_id_',
    'start',
    'steels',
    'wall',
    'workshop',
  ])
})
