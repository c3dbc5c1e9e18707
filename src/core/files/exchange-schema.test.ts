import Ajv2020 from 'ajv/dist/2020'
import addFormats from 'ajv-formats'
import { describe, expect, it } from 'vitest'
import { makeDemoWorkshop } from '../../simulators/demo/make-demo'
import { EXCHANGE_VERSION } from './exchange'
import { exchangeJsonSchema } from './exchange-schema'
import { parseExchange } from './read-exchange'
import { exportText } from './write-exchange'

// Held against a validator of JSON Schema 2020-12 that others wrote.
const ajv = addFormats(new Ajv2020({ strict: false, allErrors: true }))
const isValid = ajv.compile(exchangeJsonSchema())

const AT = '2026-03-02T08:00:00.000Z'
const FILE = JSON.parse(exportText(makeDemoWorkshop(7, new Date(AT)), AT))

describe('the published schema of a workshop file', () => {
  it('is one of draft 2020-12 itself', () => {
    expect(exchangeJsonSchema().$schema).toBe('https://json-schema.org/draft/2020-12/schema')
    expect(ajv.validateSchema(exchangeJsonSchema())).toBe(true)
  })

  it('takes what is written: everything of the demo', () => {
    expect(isValid(FILE), JSON.stringify(isValid.errors?.slice(0, 3))).toBe(true)
  })

  it.each([
    ['another format', (one: typeof FILE) => ({ ...one, format: 'else' })],
    ['an older version', (one: typeof FILE) => ({ ...one, version: EXCHANGE_VERSION - 1 })],
    ['no readings', ({ readings: _, ...rest }: typeof FILE) => rest],
    ['a hardness that is a text', (one: typeof FILE) => ({ ...one, readings: [{ ...one.readings[0], hrc: '60' }] })],
    ['a hardness no scale has', (one: typeof FILE) => ({ ...one, readings: [{ ...one.readings[0], hrc: 400 }] })],
    ['a batch without a name', (one: typeof FILE) => ({ ...one, batches: [{ ...one.batches[0], name: 5 }] })],
  ])('refuses %s, as the reader does', (_, broken) => {
    const changed = broken(FILE)
    expect(isValid(changed)).toBe(false)
    // An older version is brought up by the reader: the schema is of the present one alone.
    if (changed.version === EXCHANGE_VERSION) expect(parseExchange(JSON.stringify(changed)).ok).toBe(false)
  })

  it('goes out and comes in the same', () => {
    const text = JSON.stringify(FILE)
    const read = parseExchange(text)
    expect(read.ok && JSON.parse(JSON.stringify(read.value))).toEqual(JSON.parse(text))
  })
})
