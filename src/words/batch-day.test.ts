import { describe, expect, it } from 'vitest'
import { savingWords, standingWords, standsTooLong, temperChangeWords, temperWaitWords, withinWords } from './batch-day'
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

describe('tempers that share loads, in words', () => {
  const change = {
    groupId: 'g',
    gradeName: 'X65Cr13',
    fromC: 238,
    toC: 243,
    holdMin: 120,
    fromHrc: 58.94,
    hrc: 58.62,
    fromChance: 0.71,
    chance: 0.66,
  }
  const planned = { withinK: 0, loads: 6, totalMin: 1079, changes: [] }
  const shared = { withinK: 5, loads: 4, totalMin: 799, changes: [{ ...change, chance: 0.9 }, change] }

  it('says what one costs a steel, and what all of it saves with the worst chance that it leaves', () => {
    expect(temperChangeWords(change, say)).toBe(
      'X65Cr13: 238 to 243 °C, 58.9 to 58.6 HRC, chance in target 71 % to 66 %',
    )
    expect(temperChangeWords({ ...change, toC: 238, fromChance: null }, say)).toBe(
      'X65Cr13: 238 °C, held 2 h, 58.9 to 58.6 HRC',
    )
    expect(savingWords([planned, shared], say)).toBe(
      '4:40 h sooner in 4 loads, tempers changed by up to 5 °C; chance in target at least 66 %',
    )
    expect(savingWords([planned], say)).toBeNull()
    expect([planned, shared].map(plan => withinWords(plan, speakerOf('imperial')))).toEqual([
      'As planned',
      'Changed by up to 9 °F',
    ])
  })
})
