import { readFileSync } from 'node:fs'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { tries } from '../../testing/endure'
import { gradeOf, trayOf } from '../../testing/tray'
import { problemWords } from '../../words/problems'
import { speakerOf } from '../../words/speaker'
import type { Result } from '../codes/result'
import { createRandom, type Random } from '../numeric/random'
import { decodeText } from './encoding'
import { looseEndsOf } from './loose-ends'
import { importOutline } from './outline/import-outline'
import { createLogReader } from './oven-log/read-log'
import { parseChartText } from './own-grade/chart-text'
import { parseCompositionText } from './own-grade/composition-text'
import { parseExchange } from './read-exchange'
import { importReadings } from './readings-import'
import { parseSurvey } from './survey-text'

const fixture = (version: number) =>
  readFileSync(new URL(`./fixtures/workshop-v${version}.json`, import.meta.url), 'utf8')

const LOG = [
  'time;oven °C',
  ...Array.from({ length: 60 }, (_, i) => `2026-03-02 08:${String(i).padStart(2, '0')}:00;${20 + 15 * i},5`),
].join('\r\n')
const READINGS = 'blade;stage;hrc\nA1;as quenched;62,5\nA2;after temper 1;59.0\nA1;t2;58.5\n'
const SVG =
  '<svg xmlns="http://www.w3.org/2000/svg" width="250mm" viewBox="0 0 250 40"><g transform="translate(0 2) rotate(3)"><path d="M0 0 L240 0 Q250 20 200 30 L0 30 Z"/><rect x="1" y="2" width="30" height="9"/><polyline points="0,0 10,5 20,0"/></g></svg>'
const DXF = [
  '0\nSECTION\n2\nENTITIES',
  ...[
    [0, 0, 250, 0],
    [250, 0, 250, 40],
    [250, 40, 0, 40],
    [0, 40, 0, 0],
  ].map(([x1, y1, x2, y2]) => `0\nLINE\n8\n0\n10\n${x1}\n20\n${y1}\n11\n${x2}\n21\n${y2}`),
  '0\nENDSEC\n0\nEOF\n',
].join('\n')
const CHART = 'Temper °C | HRC\n150 | 62-63\n200 | 60,5\n250 | 59\n500 | 58.5\n'
const COMPOSITION = 'C 0.95-1.20, Si 1.0 max, Mn ≤ 1.0, Cr 16 - 18, Mo 0.75 max'

/** Inputs that tend to break readers of text, beside random ones. */
const HOSTILE = [
  '\u0000',
  '\uFEFF',
  '\u202E',
  '𝄞',
  '"',
  "'",
  ',',
  ';',
  '\t',
  '\r',
  '\n\n\n',
  '=1+1',
  '-',
  '1e999',
  'NaN',
  '-0',
  '99999999999999999999',
  '{}',
  '[[',
  ']]',
  'null',
  '"__proto__":{"x":1},',
  'constructor',
  '<!DOCTYPE a [<!ENTITY b "c">]>&b;',
  '<script>',
  'M0 0 A',
  'L1e308 1e308',
  'EOF',
  '°F',
  '%',
  '..',
  ',,,,',
  '2026-13-45',
  '24:60:61',
]

/** A text with a few things done to it by chance. */
function spoiled(text: string, random: Random): string {
  let out = text
  for (let n = 1 + Math.floor(random.uniform() * 4); n > 0; n--) {
    const at = Math.floor(random.uniform() * (out.length + 1))
    const end = Math.min(out.length, at + Math.floor(random.uniform() ** 3 * 400))
    const part = out.slice(at, end)
    out =
      out.slice(0, at) +
      random.pick([
        () => '',
        () => random.pick(HOSTILE),
        () => part + part,
        () => [...part].reverse().join(''),
        () => random.pick(HOSTILE) + part,
        () => String.fromCharCode(Math.floor(random.uniform() * 0x2ff)) + part.slice(1),
      ])() +
      (random.uniform() < 0.06 ? '' : out.slice(end))
  }
  return out
}

const SAY = speakerOf('metric')
const CHAMBER = { width: 150, height: 150, depth: 400 }
const batch = trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 3 }])

/** A reader's refusal is a sentence, and says nothing that is only a machine's. */
function expectPlain(result: Result<unknown>) {
  if (result.ok) return
  expect(result.problems.length).toBeGreaterThan(0)
  for (const problem of result.problems) {
    const words = problemWords(problem, SAY)
    // What stood in the file is said back between quotes, and not at length.
    const own = words.replace(/“.*?”/gs, '')
    expect(own).toMatch(/^[^{}]{8,}$/)
    expect(words.length).toBeLessThan(600)
    expect(own).not.toMatch(/undefined|NaN|\[object/)
  }
}

const expectFinite = (values: Iterable<number>) => {
  for (const value of values) expect(Number.isFinite(value)).toBe(true)
}

const READERS: Readonly<Record<string, readonly [samples: readonly string[], read: (text: string) => void]>> = {
  'workshop file': [
    [1, 5, 8].map(fixture),
    text => {
      const read = parseExchange(text)
      expectPlain(read)
      // What was taken can be looked through like any other.
      if (read.ok) expect(looseEndsOf(read.value).length).toBeGreaterThanOrEqual(0)
    },
  ],
  'log of an oven': [
    [LOG],
    text => {
      const reader = createLogReader()
      reader.push(Papa.parse<string[]>(text).data)
      const read = reader.finish()
      expectPlain(read)
      if (read.ok) expectFinite([...read.value.minutes, ...read.value.celsius])
    },
  ],
  'readings of a tester': [
    [READINGS],
    text => {
      const read = importReadings(text, batch, 'temper-1')
      expectPlain(read)
      if (read.ok) expectFinite(read.value.readings.map(reading => reading.hrc))
    },
  ],
  outline: [
    [SVG, DXF],
    text => {
      const read = importOutline('outline.svg', text)
      expectPlain(read)
      if (read.ok) expectFinite([...read.value.points.flat(), read.value.lengthMm, read.value.widthMm])
    },
  ],
  survey: [
    ['1040 1052 1049\n1061 1064 1060'],
    text => {
      const read = parseSurvey(text.split('\n'), CHAMBER, 'metric')
      expectPlain(read)
      if (read.ok) expectFinite(read.value.flatMap(point => Object.values(point)))
    },
  ],
  'tempering chart': [
    [CHART],
    text =>
      expectFinite(parseChartText(text).rows.flatMap(row => Object.values(row).filter(one => typeof one === 'number'))),
  ],
  composition: [[COMPOSITION], text => expect(parseCompositionText(text).unread.length).toBeGreaterThanOrEqual(0)],
}

describe('spoiled files', () => {
  it.each(Object.entries(READERS))(
    '%s: is taken or refused in a sentence, never anything else',
    (_, [samples, read]) => {
      for (let seed = 0; seed < tries(60, 2000); seed++) {
        const random = createRandom(4000 + seed)
        read(spoiled(random.pick(samples), random))
      }
    },
  )

  it('bytes of any kind are read as some text', () => {
    for (let seed = 0; seed < tries(60, 2000); seed++) {
      const random = createRandom(seed)
      const bytes = Uint8Array.from({ length: Math.floor(random.uniform() * 400) }, () =>
        Math.floor(random.uniform() * 256),
      )
      expect(typeof decodeText(bytes)).toBe('string')
    }
  })
})
