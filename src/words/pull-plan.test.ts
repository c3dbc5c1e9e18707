import { describe, expect, it } from 'vitest'
import { holdWords, mendWords, soaksText, tooLongWords } from './pull-plan'

const pull = (bladeId: string, soakMin: number, longestMin = 38) => ({
  bladeId,
  soakMin,
  longestMin,
  plannedMin: 15,
  set: 1,
  arrivesS: 0,
  dueS: 0,
  pullAtS: 60 * soakMin,
  outAtS: 60 * soakMin + 60,
  plateStartC: 20,
  leavesC: 60,
  waitedFor: null,
  restedS: 0,
  apartS: 60,
})

describe('a pull plan in words', () => {
  it('says why the oven holds longer than the soak', () => {
    const hold = { holdMin: 43, lagMin: 1, soakMin: 23, pullsMin: 14, spareMin: 5 }
    expect(holdWords(hold)).toBe(
      'Held 43 min: 1 min until the first blade is as hot as the oven, 23 min of soak for it, 14 min until the last blade is pulled and 5 min to spare.',
    )
    // One blade that follows the oven: nothing is said of what is not.
    expect(holdWords({ holdMin: 25, lagMin: 0, soakMin: 20, pullsMin: 0, spareMin: 5 })).toBe(
      'Held 25 min: 20 min of soak for the first blade and 5 min to spare.',
    )
  })

  it('gives what the blades soak, from least to most', () => {
    expect(soaksText([pull('a', 15), pull('b', 28.4)])).toBe('15 to 28 min')
    expect(soaksText([pull('a', 15.2), pull('b', 14.9)])).toBe('15 min')
    expect(soaksText([])).toBe('')
  })

  it('names those that soak too long, with the worst and the most its steel should', () => {
    const plan = { pulls: [pull('A1', 15), pull('A2', 41), pull('A3', 44)] }
    expect(tooLongWords(plan, id => id)).toBe(
      'A2 and A3 soak too long: the longest soak is 44 min, and 38 min is the most for that steel.',
    )
    expect(tooLongWords({ pulls: [pull('A1', 15), pull('A2', 41)] }, id => id)).toBe(
      'A2 soaks 41 min. Its steel should soak at most 38 min.',
    )
    expect(tooLongWords({ pulls: [pull('A1', 38)] }, id => id)).toBeNull()
  })

  it('says what would be enough, and what would only help', () => {
    expect(
      mendWords([
        { mend: 'helper', count: 14, overMin: 2.4 },
        { mend: 'second-set', count: 14, overMin: 0 },
        { mend: 'fewer', count: 9, overMin: 0 },
      ]),
    ).toBe(
      'Each of these is enough: a second set of plates; no more than 9 blades in one load. With a helper at the quench the longest is still 2 min over.',
    )
    expect(mendWords([])).toBeNull()
  })
})
