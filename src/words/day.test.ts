import { describe, expect, it } from 'vitest'
import {
  addedWords,
  apartWords,
  coolantLeftWords,
  coolantWords,
  heatStandWords,
  inspectWords,
  ovenAstrayWords,
  powerWords,
  pullsWords,
  stayWords,
  wentWords,
} from './day'
import { speakerOf } from './speaker'

const metric = speakerOf('metric', 'EUR')
const inches = speakerOf('imperial', 'USD')
const METRIC = /\d ?(°C|K|mm|kg|L|l)\b/

describe('what the day says', () => {
  const ice = { medium: 'dry-ice', amount: 2.1, lostPerHour: 0.3 } as const
  const nitrogen = { ...ice, medium: 'liquid-nitrogen' } as const
  const times = { by: '13:25', until: '15:30' }

  it('of coolant: by when, until when, and what a wait takes', () => {
    expect(coolantWords(ice, times, metric)).toBe(
      'in the box by 13:25, gone by 15:30; 0.3 kg more for each hour it has to wait',
    )
    expect(coolantLeftWords(ice, '15:20', metric)).toBe(
      '2.1 kg of dry ice must be in the box by 15:20 for what is still to come; it loses 0.3 kg per hour',
    )
    expect(coolantLeftWords(nitrogen, '15:20', metric)).toContain('liquid nitrogen')
  })

  it('of an oven: which way, and against what', () => {
    expect(ovenAstrayWords('The big one', 12, false, metric)).toBe(
      'The big one has drifted: the newest measurement finds the blades 12 °C hotter than those before it',
    )
    expect(ovenAstrayWords('The big one', -12, true, metric)).toContain('12 °C cooler than asked for')
  })

  it('of more blades: later, sooner or as before, and their price', () => {
    const of = (laterMin: number | null) => addedWords({ laterMin, cost: 54, done: '19:10' }, metric)
    expect(of(35)).toBe('All is done 35 min later, at 19:10; they cost €54.00.')
    expect(of(0)).toBe('All is done at 19:10, as without them; they cost €54.00.')
    expect(of(-5)).toContain('5 min sooner, at 19:10')
    expect(of(null)).toBe('All is done at 19:10; they cost €54.00.')
  })

  it('in °F and inches names no metric unit', () => {
    const all = [
      coolantWords(ice, times, inches),
      coolantWords(nitrogen, times, inches),
      coolantLeftWords(ice, '15:20', inches),
      coolantLeftWords(nitrogen, '15:20', inches),
      ovenAstrayWords('The big one', 12, true, inches),
      ovenAstrayWords('The big one', 12, false, inches),
    ]
    for (const text of all) expect(text).not.toMatch(METRIC)
  })
})

describe('how a day went, in words', () => {
  const act = (startMin: number, doneMin: number | null) => ({
    kind: 'load' as const,
    batchId: 'b',
    bladeIds: [],
    round: 0,
    startMin,
    doneMin,
  })

  it('counts what was done, and says how late the last of it was', () => {
    expect(wentWords([act(540, 552), act(600, 631), act(700, null)], metric)).toBe(
      '2 of 3 planned acts were done, the last 31 min later than planned.',
    )
    expect(wentWords([act(540, 543)], metric)).toBe('1 of 1 planned act was done, the last as planned.')
    expect(wentWords([act(540, null)], metric)).toBe('0 of 1 planned act were done.')
  })

  it('says which way an act was off, and lets a few minutes pass', () => {
    expect(apartWords(-12, metric)).toBe('12 min sooner than planned')
    expect(apartWords(75, metric)).toBe('1 h 15 later than planned')
    expect(apartWords(4.4, metric)).toBe('as planned')
  })

  it('says what runs taught', () => {
    expect(inspectWords({ minutes: 31, runs: 4 }, 20, metric)).toBe(
      'From the last quench into the cold took 31 min (the middle of 4 runs); plans reckon with 20 min.',
    )
  })

  it('says what runs taught of hands at the plates, either way', () => {
    expect(pullsWords({ moreS: 18, pulls: 9 }, metric)).toBe(
      'Each pull came 18 s later than it could have (the middle of 9 pulls that waited for your hands alone).',
    )
    expect(pullsWords({ moreS: -4, pulls: 9 }, metric)).toContain('4.0 s sooner')
    expect(pullsWords({ moreS: 0, pulls: 9 }, metric)).toContain('as planned')
  })

  it('says what a heat before the hardening is at, and what stands in an oven', () => {
    const [isIn, out] = [{ outAt: null }, { outAt: '2026-03-02T12:00:00.000Z' }]
    expect(heatStandWords([null, null])).toBe('Still to be done: Today plans it before the load.')
    expect(heatStandWords([isIn, null, out])).toBe('Of 3 blades 1 in the oven and 1 done.')
    expect(heatStandWords([out, out])).toBe('Done.')
    expect(stayWords({ rounds: null, before: 'relieve' })).toBe('Stress relief')
    expect(stayWords({ rounds: { a: 1, b: 2 }, before: null })).toBe('First and second temper')
    expect(stayWords({ rounds: null, before: null })).toBe('')
  })

  it('says how much of its electricity is cheap where some is', () => {
    expect(powerWords({ kWh: 16.72, cheapKWh: 2 }, false)).toBe('about 16.7 kWh')
    expect(powerWords({ kWh: 16.72, cheapKWh: 2 }, true)).toBe('about 16.7 kWh, 2.0 of them in the cheap hours')
  })
})
