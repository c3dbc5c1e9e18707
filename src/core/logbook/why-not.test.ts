import { describe, expect, it } from 'vitest'
import { GRADES } from '../../data/grades'
import { targetAbout, whyNotIn } from './why-not'

describe('why not, typed in Find', () => {
  it.each([
    ['why not 61', 61, null],
    ['Why not 61.5?', 61.5, null],
    ['why 60,5 HRC', 60.5, null],
    ['why not 61 440c', 61, 'X105CrMo17'],
    ['why not 62 HRC X153CrMoV12', 62, 'X153CrMoV12'],
    ['why not 61 no such steel', 61, null],
  ])('%s', (text, hrc, name) => {
    const asked = whyNotIn(text, GRADES)
    expect([asked?.hrc, asked?.grade?.name ?? null]).toEqual([hrc, name])
  })

  it('is not in any other text', () => {
    for (const text of ['61', 'why', 'why not', 'whys 61', 'whynot61', 'net knives 61'])
      expect(whyNotIn(text, GRADES)).toBeNull()
  })

  it('asks about half a point to either side', () => {
    expect(targetAbout(61)).toEqual({ min: 60.5, max: 61.5 })
  })
})
