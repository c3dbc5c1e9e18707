import fc from 'fast-check'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { makeDemoWorkshop } from '../../simulators/demo/make-demo'
import { refusalOf } from '../../testing/tray'
import { bladesOf } from '../batch/tray'
import { withBlades } from '../shop/batch-records'
import type { Reading } from '../shop/reading'
import { EXCHANGE_FORMAT, EXCHANGE_VERSION, type Exchange } from './exchange'
import { parseExchange } from './read-exchange'
import { readingsCsv } from './readings-csv'
import { exportPieces, exportText } from './write-exchange'

const NOW = new Date('2026-06-15T12:00:00.000Z')
const demo = makeDemoWorkshop(7, NOW)
const text = exportText(demo, NOW.toISOString())
const manyReadings = (count: number): Exchange['readings'] =>
  Array.from({ length: count }, (_, i) => ({ ...(demo.readings[i % demo.readings.length] as Reading), id: `r${i}` }))
const code = (given: string) => {
  const result = parseExchange(given)
  return result.ok ? 'ok' : result.problems[0]?.code
}

describe('the workshop file', () => {
  it('comes back whole', () => {
    const back = parseExchange(text)
    if (!back.ok) throw new Error(refusalOf(back))
    const { format: _f, version: _v, exportedAt: _e, ...data } = back.value
    expect(data).toEqual(demo)
  })

  it.each([
    ['a cut-off file', text.slice(0, 5000), 'file-not-json'],
    ['some other JSON', '{"hello":1}', 'file-not-ours'],
    ['a list', '[]', 'file-not-ours'],
    ['a newer file', text.replace(`"version": ${EXCHANGE_VERSION}`, '"version": 99'), 'file-newer'],
    ['a damaged batch', text.replace('"austenitizeC": 1', '"austenitizeC": 91'), 'file-broken'],
    ['nothing', '', 'file-not-json'],
  ])('says what is wrong with %s', (_, given, expected) => {
    expect(code(given)).toBe(expected)
  })

  it('names the place of the damage', () => {
    const result = parseExchange(text.replace('"rev": 1', '"rev": -1'))
    expect(refusalOf(result)).toMatch(/batches\.0\.rev must be at least 0/)
  })

  it('is refused where two rows have one id, a clock stands still, or a time is of no workshop', () => {
    const file = JSON.parse(text)
    const first = file.readings[0]
    const told = (more: object) => refusalOf(parseExchange(JSON.stringify({ ...file, ...more })))
    expect(told({ readings: [...file.readings, first] })).toMatch(
      new RegExp(`readings\\.${file.readings.length}\\.id is the id of another row too`),
    )
    for (const at of ['1989-12-31T23:59:59.000Z', '2101-01-01T00:00:00.000Z'])
      expect(told({ readings: [{ ...first, at }] })).toMatch(/readings\.0\.at is a time before 1990 or after 2100/)
    const run = file.runs[0]
    for (const speed of [0, -1, null])
      expect(told({ runs: [{ ...run, clock: [{ ...run.clock[0], speed }] }] })).toMatch(/runs\.0\.clock\.0\.speed/)
  })

  it('is JSON as any writer would indent it, of any number of rows', () => {
    for (const data of [demo, { ...demo, runs: [], readings: manyReadings(2001) }]) {
      const { seen, shop, batches, blades, readings, recipes, runs, grades, logs, pictures, stamps } = data
      const head = { format: EXCHANGE_FORMAT, version: EXCHANGE_VERSION, exportedAt: NOW.toISOString() }
      const whole = { ...head, seen, shop, batches, blades, readings, recipes, runs, grades, logs, pictures, stamps }
      expect(exportText(data, NOW.toISOString())).toBe(`${JSON.stringify(whole, null, 1)}\n`)
    }
  })

  it('tells how much of it is read and written, row by row, to the end', () => {
    const long = { ...demo, readings: manyReadings(3000) }
    const heard = { written: [] as number[], read: [] as number[] }
    const pieces = [...exportPieces(long, NOW.toISOString(), share => heard.written.push(share))]
    expect(parseExchange(pieces.join(''), share => heard.read.push(share)).ok).toBe(true)
    for (const shares of [heard.written, heard.read]) {
      // Three pieces of readings, and one at least of what else there is.
      expect(shares.length).toBeGreaterThan(5)
      expect(shares).toEqual([...shares].sort((a, b) => a - b))
      expect(shares.at(-1)).toBe(1)
      expect(shares[0]).toBeLessThan(0.1)
    }
  })

  it('names the place of a damage in the third thousand of its rows', () => {
    const damaged = { ...demo, readings: manyReadings(2500).map((one, i) => (i === 2400 ? { ...one, hrc: 900 } : one)) }
    expect(refusalOf(parseExchange(exportText(damaged, NOW.toISOString())))).toMatch(/readings\.2400\.hrc/)
  })

  it('never throws, whatever it is given', () => {
    fc.assert(fc.property(fc.oneof(fc.string(), fc.json()), given => typeof code(given) === 'string'))
  })
})

describe('the demo workshop', () => {
  it('is the same for the same seed and day, and another for another seed', () => {
    expect(makeDemoWorkshop(7, NOW)).toEqual(demo)
    expect(makeDemoWorkshop(8, NOW).readings).not.toEqual(demo.readings)
  })

  it('spans most of a year, with an oven that drifts upward and a packet that leaked', () => {
    const days = demo.batches.map(b => Date.parse(b.createdAt))
    expect((Math.max(...days) - Math.min(...days)) / 86_400_000).toBeGreaterThan(300)
    const leaked = withBlades(demo.batches, demo.blades).find(b => b.name === 'Net knives')
    const mean = (mark: string) => {
      const blade = leaked && bladesOf(leaked).find(b => b.mark === mark)
      const own = demo.readings.filter(r => r.bladeId === blade?.id && r.stage === 'temper-2')
      return own.reduce((sum, r) => sum + r.hrc, 0) / own.length
    }
    expect(mean('A3')).toBeLessThan(mean('A2') - 3)
  })
})

describe('readings as CSV', () => {
  it('has a header, a line a reading, and no formula a spreadsheet would run', () => {
    const [first, ...others] = withBlades(demo.batches, demo.blades)
    if (!first) throw new Error('no batch')
    const evil = { ...first, name: '=HYPERLINK("x")' }
    const csv = readingsCsv(demo.readings, [evil, ...others])
    const parsed = Papa.parse<Record<string, string>>(csv, { header: true })
    expect(parsed.data).toHaveLength(demo.readings.length)
    expect(parsed.data[0]).toHaveProperty('austenitize_c')
    expect(new Set(parsed.data.map(row => row.serial)).size).toBeGreaterThan(20)
    expect(parsed.data.every(row => /^\d\d-\d{3}$/.test(row.serial ?? ''))).toBe(true)
    expect(csv).not.toMatch(/(^|,)"?=/m)
  })
})
