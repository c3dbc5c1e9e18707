import fc from 'fast-check'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { refusalOf } from '../../../testing/tray'
import { logAt, thinLog } from '../../oven/log-points'
import { createLogReader, type ReadLog } from './read-log'

const read = (text: string) => {
  const reader = createLogReader()
  reader.push(Papa.parse<string[]>(text, { skipEmptyLines: false }).data)
  return reader.finish()
}
const mustRead = (text: string): ReadLog => {
  const result = read(text)
  if (!result.ok) throw new Error(refusalOf(result))
  return result.value
}
const rows = (n: number, line: (i: number) => string) => Array.from({ length: n }, (_, i) => line(i)).join('\n')
const at = (log: ReadLog, i: number) => [log.minutes[i], Math.round((log.celsius[i] ?? 0) * 10) / 10]

describe('logs as loggers write them', () => {
  it('reads seconds and °C with a heading', () => {
    const log = mustRead(`Elapsed (s),Chamber (°C)\n${rows(20, i => `${i * 30},${20 + i * 5}.5`)}`)
    expect(at(log, 2)).toEqual([1, 30.5])
    expect(log.layout).toMatchObject({ unit: 'C', unitFrom: 'heading', timeColumn: 0, temperatureColumn: 1 })
    expect(log.skipped).toEqual([])
  })

  it('reads semicolons, decimal commas, day-first dates and a preamble', () => {
    const log = mustRead(
      `Logger 4;;\nserial;12345;\nDatum;Ist °C;Soll °C\n${rows(20, i => `25.11.2026 08:${String(i).padStart(2, '0')}:00;${100 + i},5;800,0`)}`,
    )
    expect(at(log, 3)).toEqual([3, 103.5])
    expect(log.layout).toMatchObject({ decimal: ',', setColumn: 2, temperatureColumn: 1, time: { dayFirst: true } })
  })

  it('reads month-first dates with am and pm, in °F', () => {
    const log = mustRead(
      `Time,Temp F\n${rows(20, i => `11/25/2026 ${i < 10 ? 11 : 12}:${String((i * 6) % 60).padStart(2, '0')} ${i < 10 ? 'AM' : 'PM'},${212 + i * 18}`)}`,
    )
    expect(at(log, 1)).toEqual([6, 110])
    expect(at(log, 10)).toEqual([60, 200])
  })

  it('goes on past midnight, with date and clock in columns of their own or with no date', () => {
    const clock = (i: number) =>
      `${String((23 + Math.floor(i / 6)) % 24).padStart(2, '0')}:${String((i % 6) * 10).padStart(2, '0')}:00`
    expect(at(mustRead(`time\ttc1 °C\n${rows(12, i => `${clock(i)}\t${900 - i}`)}`), 11)).toEqual([110, 889])
    const apart = mustRead(
      `date;time;oven C\n${rows(12, i => `${i < 6 ? '24' : '25'}/11/2026;${clock(i)};${900 - i}`)}`,
    )
    expect(at(apart, 11)).toEqual([110, 889])
  })

  it('takes values past any oven’s °C for °F and says that it guessed', () => {
    const log = mustRead(`s,pv\n${rows(20, i => `${i * 60},${1850 + i * 5}`)}`)
    expect(log.layout).toMatchObject({ unit: 'F', unitFrom: 'guess' })
    expect(log.celsius[0]).toBeCloseTo(1010, 6)
  })

  it('converts each value by its own mark where units are mixed', () => {
    const log = mustRead(`s;t\n${rows(20, i => `${i * 60};${i === 7 ? '1832 °F' : '1000 °C'}`)}`)
    expect(log.mixedUnits).toBe(1)
    expect([...log.celsius].every(c => Math.abs(c - 1000) < 1e-6)).toBe(true)
  })

  it('leaves out breaks, repeated and backward stamps and torn lines, and says where', () => {
    const lines = Array.from({ length: 40 }, (_, i) => `${i * 60},${500 + i}`)
    lines[5] = '300,9999'
    lines[6] = '360,OPEN'
    lines[10] = '540,509'
    lines[12] = '60,512'
    lines[14] = '84'
    const log = mustRead(`time s,temp °C\n${lines.join('\n')}`)
    expect(Object.fromEntries(log.skipped.map(s => [s.why, s.count]))).toEqual({
      break: 3,
      duplicate: 1,
      backward: 1,
    })
    expect(log.skipped.find(s => s.why === 'duplicate')?.firstLine).toBe(12)
    expect(log.minutes).toHaveLength(35)
  })

  it('keeps 999.9 °C, which some loggers also show for a break: an oven passes through it', () => {
    const log = mustRead(`time s,temp °C\n${rows(20, i => `${i * 60},${(999.5 + i * 0.2).toFixed(1)}`)}`)
    expect(log.skipped).toEqual([])
  })

  it('names gaps', () => {
    const log = mustRead(`time s,temp °C\n${rows(40, i => `${i * 10 + (i > 20 ? 1800 : 0)},${500 + i}`)}`)
    expect(log.gaps).toHaveLength(1)
    expect(log.gaps[0]?.minutes).toBeCloseTo(30.17, 1)
  })

  it.each([
    ['', 'file-empty'],
    ['dear diary\nthe oven was hot\nand then\nit was not\nso\nthere', 'log-no-rows'],
    ['name,steel\na,b\nc,d\ne,f\ng,h\ni,j', 'log-no-rows'],
  ])('refuses the wrong file in plain words (%j)', (text, code) => {
    expect(read(text)).toMatchObject({ ok: false, problems: [{ code }] })
  })

  it('never throws, whatever the file', () => {
    fc.assert(
      fc.property(fc.array(fc.array(fc.string({ maxLength: 12 }), { maxLength: 5 }), { maxLength: 60 }), cells => {
        const reader = createLogReader()
        reader.push(cells)
        const result = reader.finish()
        if (result.ok) expect(result.value.minutes.length).toBe(result.value.celsius.length)
        else expect(refusalOf(result)).not.toBe('')
      }),
      { numRuns: 200 },
    )
  })

  it('keeps a week of seconds whole and thins what is longer evenly', () => {
    const reader = createLogReader()
    reader.push([['time s', 'temp °C']])
    const many = 1_300_000
    for (let i = 0; i < many; i += 10_000)
      reader.push(Array.from({ length: 10_000 }, (_, k) => [String(i + k), String(800 + ((i + k) % 7))]))
    const result = reader.finish()
    if (!result.ok) throw new Error('unread')
    expect(result.value.rows).toBe(many)
    expect(result.value.keptOneIn).toBe(4)
    expect(result.value.minutes.at(-1)).toBeCloseTo((many - 1) / 60, 0)
  })
})

describe('a thinned log', () => {
  it('keeps order, ends and every dip', () => {
    const n = 100_000
    const minutes = Float64Array.from({ length: n }, (_, i) => i / 60)
    const celsius = Float64Array.from({ length: n }, (_, i) => (i === 43_210 ? 700 : 1060))
    const points = thinLog(minutes, celsius, 1500)
    expect(points.length).toBeLessThanOrEqual(1502)
    expect(points.some(([, c]) => c === 700)).toBe(true)
    expect(points.every(([m], i) => i === 0 || m >= (points[i - 1]?.[0] ?? 0))).toBe(true)
    expect(logAt(points, 43_210 / 60)).toBe(700)
  })
})
