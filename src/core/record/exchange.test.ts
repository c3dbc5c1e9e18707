import fc from 'fast-check'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { makeDemoWorkshop } from '../../simulators/demo/make-demo'
import { nextMark } from './defaults'
import { EXCHANGE_VERSION, exportText, parseExchange } from './exchange'
import { takeBack } from './merge'
import { readingsCsv } from './readings-csv'

const NOW = new Date('2026-06-15T12:00:00.000Z')
const demo = makeDemoWorkshop(7, NOW)
const text = exportText(demo, NOW.toISOString())
const code = (given: string) => {
  const result = parseExchange(given)
  return result.ok ? 'ok' : result.problems[0]?.code
}

describe('the workshop file', () => {
  it('comes back whole', () => {
    const back = parseExchange(text)
    if (!back.ok) throw new Error(back.problems[0]?.message)
    const { format: _f, version: _v, exportedAt: _e, ...data } = back.value
    expect(data).toEqual(demo)
  })

  it.each([
    ['a cut-off file', text.slice(0, 5000), 'not-json'],
    ['some other JSON', '{"hello":1}', 'not-ours'],
    ['a list', '[]', 'not-ours'],
    ['a newer file', text.replace(`"version": ${EXCHANGE_VERSION}`, '"version": 99'), 'newer'],
    ['a damaged batch', text.replace('"austenitizeC": 1', '"austenitizeC": 91'), 'broken'],
    ['nothing', '', 'not-json'],
  ])('says what is wrong with %s', (_, given, expected) => {
    expect(code(given)).toBe(expected)
  })

  it('reads a file of the first version: it had no grades of the maker’s own', () => {
    const { grades: _, ...first } = JSON.parse(text)
    const back = parseExchange(JSON.stringify({ ...first, version: 1 }))
    if (!back.ok) throw new Error(back.problems[0]?.message)
    expect(back.value.grades).toEqual([])
    expect(back.value.batches).toEqual(demo.batches)
  })

  it('names the place of the damage', () => {
    const result = parseExchange(text.replace('"rev": 1', '"rev": -1'))
    expect(result.ok ? '' : result.problems[0]?.message).toMatch(/batches\.0\.rev must be at least 0/)
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
    const leaked = demo.batches.find(b => b.name === 'Net knives')
    const mean = (piece: string) => {
      const own = demo.readings.filter(r => r.batchId === leaked?.id && r.piece === piece && r.stage === 'temper-2')
      return own.reduce((sum, r) => sum + r.hrc, 0) / own.length
    }
    expect(mean('A3')).toBeLessThan(mean('A2') - 3)
  })
})

describe('readings as CSV', () => {
  it('has a header, a line a reading, and no formula a spreadsheet would run', () => {
    const [first] = demo.batches
    if (!first) throw new Error('no batch')
    const evil = { ...first, name: '=HYPERLINK("x")' }
    const csv = readingsCsv(demo.readings, [evil, ...demo.batches.slice(1)])
    const parsed = Papa.parse<Record<string, string>>(csv, { header: true })
    expect(parsed.data).toHaveLength(demo.readings.length)
    expect(parsed.data[0]).toHaveProperty('austenitize_c')
    expect(csv).not.toMatch(/(^|,)"?=/m)
  })
})

describe('taking a change back', () => {
  const before = { a: 1, b: [1], rev: 1 }
  const after = { a: 2, b: [1], rev: 2 }
  it('restores what it changed and keeps what came since', () => {
    expect(takeBack({ a: 2, b: [1, 2], rev: 3 }, before, after, ['rev'])).toEqual({ a: 1, b: [1, 2], rev: 3 })
  })
  it('refuses where the same part was changed again', () => {
    expect(takeBack({ a: 9, b: [1], rev: 3 }, before, after, ['rev'])).toBeNull()
  })
})

it('marks go on after Z', () => {
  const used = Array.from({ length: 26 }, (_, i) => ({ mark: String.fromCharCode(65 + i) }))
  expect(nextMark(used as unknown as Parameters<typeof nextMark>[0])).toBe('AA')
})
