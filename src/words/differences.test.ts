import { describe, expect, it } from 'vitest'
import { differenceWords, partWords, recordWords, valueWords } from './differences'
import { speakerOf } from './speaker'

const say = speakerOf('metric')

describe('what was changed on two screens', () => {
  it.each([
    ['name', 'name'],
    ['groups/g1/route/austenitizeC/is', 'austenitize temperature'],
    ['lines/l1/thicknessMm', 'thickness'],
    ['plates/startC', 'start'],
    ['states/2026-05-02T10:00:00.000Z|sold', 'states'],
    ['', 'all of it'],
  ])('%s is named in words', (path, named) => expect(partWords(path)).toBe(named))

  it.each([
    ['name', 'Gulls', '“Gulls”'],
    ['note', '', 'nothing'],
    ['deletedAt', '2026-05-02T10:00:00.000Z', 'deleted'],
    ['deletedAt', null, 'not deleted'],
    ['groups/g1/target', { min: 59, max: 61 }, '59 to 61 HRC'],
    ['groups/g1/route/austenitizeC', { is: 1065 }, '1065 °C'],
    ['groups/g1/route/tempers/is', [{ atC: 180, holdMin: 120 }], '180 °C for 2 h'],
    ['plates/sets', 2, '2'],
    ['learning', false, 'no'],
  ])('%s: %j is said', (path, value, said) => expect(valueWords(path, value, say)).toBe(said))

  it('says inches and °F in a shop that has them', () => {
    expect(valueWords('lines/l1/thicknessMm', 25.4, speakerOf('imperial'))).toMatch(/^1(\.0+)? in$/)
    expect(valueWords('plates/startC', 20, speakerOf('imperial'))).toBe('68 °F')
  })

  it('names what was taken and what was not, and of what', () => {
    const one = {
      table: 'batches',
      id: 'b',
      name: 'Gulls',
      path: 'note',
      here: 'a',
      there: 'b',
      taken: 'there',
      hereAt: null,
      entry: null,
      thereAt: null,
    } as const
    expect(differenceWords(one, say)).toEqual({ kept: '“b”', other: '“a”' })
    expect(recordWords(one)).toBe('Gulls')
    expect(recordWords({ table: 'shop', name: '', entry: 'Oven 2' })).toBe('Workshop, Oven 2')
  })
})
