import { describe, expect, it } from 'vitest'
import { standingWords, standsTooLong, temperWaitWords } from './batch-day'
import { speakerOf } from './speaker'

const say = speakerOf('metric')

describe('a batch’s day in words', () => {
  it('says how long blades stand, and what to do only where that is too long', () => {
    const fine = { groupId: 'g', standsMin: 45, limitMin: 240 }
    expect(standingWords(fine, 'X65Cr13', say, false)).toBe(
      'X65Cr13 stands 45 min between the quench and its first temper; 4 h is the most.',
    )
    expect(standsTooLong(fine)).toBe(false)
    const long = { groupId: 'g', standsMin: 250.4, limitMin: 120 }
    expect(standsTooLong(long)).toBe(true)
    expect(standingWords(long, 'X100CrMoV5', say, false)).toMatch(
      /stands 4 h 10 .* 2 h is the most\. It may crack meanwhile.*snap temper.*in an oven of its own/,
    )
    // Who has one is not told to.
    expect(standingWords(long, 'X100CrMoV5', say, true)).not.toMatch(/oven of its own/)
    // On the limit is within it.
    expect(standsTooLong({ ...long, standsMin: 120 })).toBe(false)
  })

  it('names the wait that is the longer', () => {
    expect(temperWaitWords({ coolingMin: 30, fallingMin: 0 }, say)).toBe('after 30 min: the blades cool')
    expect(temperWaitWords({ coolingMin: 30, fallingMin: 95 }, say)).toBe('after 1 h 35: the oven cools down')
    expect(temperWaitWords({ coolingMin: 0, fallingMin: 0.2 }, say)).toBe('straight away')
  })
})
