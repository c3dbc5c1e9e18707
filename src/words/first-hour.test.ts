import { describe, expect, it } from 'vitest'
import { DEFAULT_WORKSHOP } from '../core/shop/defaults'
import { unsaidOf, withSaid } from '../core/shop/said'
import { FINISH_TASKS } from '../data/finishing'
import { PROTECTION } from '../data/protection'
import { SETUP_STEPS } from '../data/setup'
import { STATIONS } from '../data/stations'
import { farReadingWords } from './far-reading'
import { foundWords } from './finder'
import { FINISH_WORDS } from './finishing'
import { GLOSSARY } from './glossary'
import { fromOvenOn, hardnessMarkWords, momentWords } from './heatline'
import { keysAt } from './keys'
import { inUnits } from './marked'
import { assumedWords, SETUP_NAMES, SETUP_WHY, uncertainWords } from './setup'
import { speakerOf } from './speaker'
import { TOUR } from './tour'
import { undoneWords } from './undone'
import { WALL } from './wall'

const [metric, imperial] = [speakerOf('metric'), speakerOf('imperial')]
/** A sentence of more words than this is two. */
const MOST_WORDS = 24
const sentences = (text: string) => text.split(/(?<=[.!?])\s+/)
const longest = (texts: readonly string[]) =>
  texts.flatMap(sentences).filter(sentence => sentence.split(/\s+/).length > MOST_WORDS)

describe('what is not said of a shop yet', () => {
  it('is told for each step in the shop’s own units, with what it costs in certainty', () => {
    for (const step of SETUP_STEPS) {
      const said = `${assumedWords(step, DEFAULT_WORKSHOP, imperial)} ${uncertainWords(step, imperial)}`
      expect(said, step).not.toMatch(/°C|\d mm\b|undefined|NaN/)
      expect(said, step).toMatch(/\.$/)
    }
    expect(assumedWords('oven', DEFAULT_WORKSHOP, metric)).toBe('An oven of 2.2 kW is assumed.')
    expect(assumedWords('plates', DEFAULT_WORKSHOP, imperial)).toContain('0.984 in')
    // 10 K of a usual oven's error are 18 °F.
    expect(uncertainWords('oven', imperial)).toContain('18 °F')
  })

  it('grows shorter by what is said, and is nothing in a made-up shop', () => {
    const shop = withSaid(withSaid(DEFAULT_WORKSHOP, 'plates'), 'units')
    expect(unsaidOf(shop)).toEqual(['oven', 'cold', 'tester', 'prices'])
    // Whoever entered prices in the Workshop has said them.
    expect(unsaidOf({ ...shop, prices: PROTECTION.prices })).toEqual(['oven', 'cold', 'tester'])
    expect(withSaid(shop, 'plates')).toBe(shop)
    expect(unsaidOf({ ...DEFAULT_WORKSHOP, isDemo: true })).toEqual([])
  })
})

describe('texts that teach', () => {
  it('lead through seven different stations in the order of the work', () => {
    const order = TOUR.map(stop => STATIONS.indexOf(stop.station))
    expect(order).toHaveLength(7)
    expect(order).toEqual([...new Set(order)].sort((a, b) => a - b))
  })

  it('are whole short sentences', () => {
    const glossary = Object.values(GLOSSARY).map(({ says }) => inUnits(says, metric))
    const texts = [
      ...glossary,
      ...TOUR.map(stop => stop.says),
      ...Object.values(SETUP_WHY),
      ...Object.values(WALL).flat(),
      ...FINISH_TASKS.map(task => FINISH_WORDS[task].how),
    ]
    expect(longest(texts)).toEqual([])
    for (const text of texts) expect(text, text).toMatch(/^[A-Z].*[.:]$/)
  })

  it('cover every station on the sheet for the wall, and name every step of the set-up', () => {
    expect(Object.keys(WALL)).toEqual([...STATIONS])
    expect(new Set(Object.values(SETUP_NAMES)).size).toBe(SETUP_STEPS.length)
  })

  it('give temperatures in the units of the shop', () => {
    expect(inUnits(GLOSSARY.quench.says, imperial)).toContain('932 °F')
    for (const { says } of Object.values(GLOSSARY)) expect(inUnits(says, imperial), says).not.toContain('°C')
  })
})

describe('a moment of the plan in words', () => {
  const moment = {
    index: 5,
    minute: 133.4,
    c: 1050,
    phase: 'soak',
    station: 'heat',
    share: 0.5,
    measuredC: null,
  } as const

  it('says when, how hot, and what happens', () => {
    expect(momentWords(moment, true, metric)).toBe('2 h 13 min from oven on: 1050 °C, soak')
    expect(momentWords({ ...moment, measuredC: 1046 }, true, imperial)).toBe(
      '2 h 13 min from oven on: 1922 °F, measured 1915 °F, soak',
    )
    const before = { ...moment, minute: 0, c: 20, phase: 'room', station: 'wrap' } as const
    expect(momentWords(before, false, metric)).toBe('20 °C, wrap the blades in foil')
  })

  it('counts minutes, then hours', () => {
    expect(fromOvenOn(0)).toBe('0 min from oven on')
    expect(fromOvenOn(59.6)).toBe('1 h 00 min from oven on')
    expect(fromOvenOn(605)).toBe('10 h 05 min from oven on')
  })

  it('tells a measured hardness from a predicted one', () => {
    const row = { stage: 'temper-2', expected: 60.52, measured: null } as never
    expect(hardnessMarkWords(row)).toBe('Predicted 60.5 HRC after temper 2')
    expect(hardnessMarkWords({ ...(row as object), measured: 59.94 } as never)).toBe(
      'Measured 59.9 HRC after temper 2, predicted 60.5',
    )
  })
})

describe('what is found, asked and undone', () => {
  it('names a blade by mark and serial, a steel by its other names', () => {
    const blade = {
      kind: 'blade',
      id: 'b',
      mark: 'A1',
      serial: '26-014',
      batchName: 'Net knives',
      gradeName: 'X65Cr13',
    }
    expect(foundWords(blade as never)).toEqual({ name: 'A1, serial 26-014', more: 'X65Cr13, Net knives' })
    expect(foundWords({ ...blade, serial: '' } as never).name).toBe('A1')
    const steel = { kind: 'steel', id: 's', name: 'X153CrMoV12', alsoNamed: ['AISI D2', '1.2379'] } as const
    expect(foundWords(steel)).toEqual({ name: 'X153CrMoV12', more: 'AISI D2, 1.2379' })
  })

  it('asks about a reading with what it stands beside', () => {
    expect(farReadingWords([{ index: 2, hrc: 6, against: [60.5, 61] }])).toBe(
      '6.0 HRC beside 60.5 and 61.0: is a digit missing, or is it meant?',
    )
  })

  it('says what was undone or redone, and why not', () => {
    expect(undoneWords({ done: true, way: 'undo', label: 'Soak time' })).toBe('Undone: Soak time')
    expect(undoneWords({ done: true, way: 'redo', label: 'Soak time' })).toBe('Done again: Soak time')
    expect(undoneWords({ done: false, way: 'redo', why: 'none' })).toBe('There is nothing to redo on this page.')
    expect(undoneWords({ done: false, way: 'undo', why: 'changed-elsewhere', label: 'Name' })).toMatch(
      /“Name” was changed/,
    )
    expect(undoneWords({ done: false, way: 'undo', why: 'refused' })).toMatch(/refused to save/)
  })

  it('lists the keys of the view: readings at Measure, the run’s own in a run, the finder everywhere else', () => {
    const keys = (path: string) => keysAt(path).flatMap(hint => hint.keys)
    expect(keys('/batch/x/measure')).toEqual(expect.arrayContaining(['N', 'R', 'S', 'Ctrl K']))
    expect(keys('/batch/x/heat')).not.toContain('N')
    expect(keys('/run/x')).toEqual(expect.arrayContaining(['Space', 'Z', 'L']))
    expect(keys('/run/x')).not.toContain('Ctrl K')
    expect(keys('/steels')).toContain('/')
  })
})
