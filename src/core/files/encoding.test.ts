import { Buffer } from 'node:buffer'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { decodeText, encodingOf, TELLING_BYTES } from './encoding'

const LOG = 'Zeit;Temperatur °C;Öfen\n0;20,5;Größe ½\n60;1050;é\n'

/** Bytes as another implementation writes them: Node's. */
const utf16le = (text: string, mark = true) => Buffer.from((mark ? '\uFEFF' : '') + text, 'utf16le')
const utf16be = (text: string, mark = true) => utf16le(text, mark).swap16()

describe('the way a text file is written', () => {
  it.each([
    ['UTF-8', Buffer.from(LOG), 'utf-8'],
    ['UTF-8 with its mark', Buffer.from(`\uFEFF${LOG}`), 'utf-8'],
    ['UTF-16', utf16le(LOG), 'utf-16le'],
    ['UTF-16, the other order', utf16be(LOG), 'utf-16be'],
    ['UTF-16 without a mark', utf16le(LOG, false), 'utf-16le'],
    ['UTF-16, the other order, without a mark', utf16be(LOG, false), 'utf-16be'],
    ['Latin-1', Buffer.from(LOG, 'latin1'), 'windows-1252'],
  ] as const)('is found and read: %s', (_, bytes, encoding) => {
    expect(encodingOf(bytes)).toBe(encoding)
    expect(decodeText(bytes)).toBe(LOG)
  })

  it('is not taken for another where the beginning ends within a letter, or nothing is there', () => {
    const long = Buffer.from('°'.repeat(TELLING_BYTES))
    expect(encodingOf(long.subarray(0, TELLING_BYTES - 1))).toBe('utf-8')
    expect(decodeText(long)).toHaveLength(TELLING_BYTES)
    expect(decodeText(Buffer.alloc(0))).toBe('')
  })

  it('of any Latin text comes back as it went in', () => {
    const latin = fc.string({ unit: fc.integer({ min: 32, max: 126 }).map(code => String.fromCharCode(code)) })
    fc.assert(
      fc.property(latin, text => {
        expect(decodeText(Buffer.from(text))).toBe(text)
        expect(decodeText(utf16le(text))).toBe(text)
        expect(decodeText(utf16be(text))).toBe(text)
      }),
    )
  })
})
