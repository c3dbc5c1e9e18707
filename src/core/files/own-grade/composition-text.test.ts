import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { ELEMENTS } from '../../../data/grades'
import { parseCompositionText } from './composition-text'

const STAINLESS = { C: '1.05', Cr: '14', Mo: '4' }

describe('a composition as text', () => {
  it.each([
    ['symbols, then values', 'C 1.05 Cr 14 Mo 4'],
    ['with signs and percent', 'C: 1.05 %, Cr: 14 %, Mo: 4 %'],
    ['equals', 'C=1.05; Cr=14; Mo=4'],
    ['values, then symbols', '1.05C-14Cr-4Mo'],
    ['percent before symbols', '1.05% C, 14% Cr, 4% Mo'],
    ['names', 'Carbon 1.05\nChromium 14\nMolybdenum 4'],
    ['a table', 'C\tCr\tMo\n1.05\t14\t4'],
    ['a table with spaces and the rest', 'C Cr Mo Fe\n1.05 14 4 bal'],
    ['the rest named', 'C 1.05 Cr 14 Mo 4 Fe bal. P 0.03 S 0.01'],
  ])('%s', (_, text) => {
    expect(parseCompositionText(text)).toEqual({ nominal: STAINLESS, least: {}, most: {}, unread: [] })
  })

  it('takes a range for least and most, and a limit for what it limits', () => {
    expect(parseCompositionText('C 0.95–1.20, Si max 1.00, Mn ≤ 1, Cr 16 to 18')).toEqual({
      nominal: {},
      least: { C: '0.95', Cr: '16' },
      most: { C: '1.20', Cr: '18', Si: '1.00', Mn: '1' },
      unread: [],
    })
    expect(parseCompositionText('Si 0.4 max').most).toEqual({ Si: '0.4' })
    expect(parseCompositionText('  C Cr\nmin 0.95 16\nmax 1.2 18')).toMatchObject({
      least: { C: '0.95', Cr: '16' },
      most: { C: '1.2', Cr: '18' },
    })
  })

  it('keeps a decimal comma, and does not take a list’s comma for one', () => {
    expect(parseCompositionText('C 1,05, Cr 14, Mo 4').nominal).toEqual({ C: '1,05', Cr: '14', Mo: '4' })
  })

  it('names what it does not understand', () => {
    expect(parseCompositionText('C 0.6 Xy 3 Cr 13')).toMatchObject({
      nominal: { C: '0.6', Cr: '13' },
      unread: ['Xy 3'],
    })
    expect(parseCompositionText('hello')).toMatchObject({ nominal: {}, unread: ['hello'] })
    expect(parseCompositionText('')).toEqual({ nominal: {}, least: {}, most: {}, unread: [] })
  })

  it('reads back what it is given in symbols, whatever the figures (law)', () => {
    const figure = fc.integer({ min: 1, max: 3000 }).map(n => String(n / 100))
    fc.assert(
      fc.property(fc.dictionary(fc.constantFrom(...ELEMENTS), figure, { minKeys: 1 }), given => {
        const pairs = Object.entries(given)
        expect(parseCompositionText(pairs.map(([e, v]) => `${e} ${v}`).join(' ')).nominal).toEqual({ ...given })
        expect(parseCompositionText(pairs.map(([e, v]) => `${v}${e}`).join('-')).nominal).toEqual({ ...given })
      }),
    )
  })

  it('never throws', () => {
    fc.assert(fc.property(fc.string({ maxLength: 60 }), text => void parseCompositionText(text)))
  })
})
