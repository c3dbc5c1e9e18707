import { describe, expect, it } from 'vitest'
import { cutWords, shortRollWords } from './cuts'
import { speakerOf } from './speaker'

const say = speakerOf('metric')

describe('foil in words', () => {
  it('says what is needed, what is left and what is short, in a unit one thinks of a roll in', () => {
    expect(shortRollWords(1080, 600, say)).toBe(
      '1.08 m needed, 0.6 m left on the roll: short by 0.48 m. Get a new roll before you cut.',
    )
    expect(shortRollWords(1080, 1080, say)).toBeNull()
    expect(shortRollWords(1080, undefined, say)).toBeNull()
  })

  it('says where each cut goes, so that it can be found on the roll', () => {
    const cut = { atMm: 336, fromMm: 0, toMm: 610 }
    expect(cutWords({ kind: 'across', ...cut }, 610, say)).toBe('Across the whole roll, 336 mm from the free end')
    expect(cutWords({ kind: 'across', ...cut, toMm: 200 }, 610, say)).toBe(
      'Across, 336 mm from the free end, between 0 mm and 200 mm from the left edge',
    )
    expect(cutWords({ kind: 'along', atMm: 139, fromMm: 0, toMm: 336 }, 610, say)).toBe(
      'Along the roll, 139 mm from its left edge, between 0 mm and 336 mm from the free end',
    )
    expect(cutWords({ kind: 'across', ...cut, atMm: 336.55 }, 610, speakerOf('imperial'))).toBe(
      'Across the whole roll, 13.25 in from the free end',
    )
  })
})
