import { expect, test } from '@playwright/test'
import fc from 'fast-check'

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
  const openapi = await (await request.get('/api/openapi.json')).json()
  expect(Object.keys(openapi.paths)).toEqual([
    '/api/predict',
    '/api/quench',
    '/api/foil',
    '/api/oven',
    '/api/rockwell',
    '/api/advise',
  ])
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
    { path: 'route.austenitizeC', message: 'must be at most 1300 (temperatures are in °C)' },
  ])
})

test('never fails on anything a client can send', async ({ request }) => {
  const name = fc.constantFrom('predict', 'quench', 'foil', 'oven', 'rockwell', 'advise')
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
