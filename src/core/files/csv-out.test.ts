import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { gradeOf, NOW, trayOf } from '../../testing/tray'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import type { Reading } from '../shop/reading'
import { bladesCsv } from './blades-csv'
import { costsCsv } from './costs-csv'
import { logCsv } from './oven-log/log-csv'
import { createLogReader } from './oven-log/read-log'

/** Rows as a reader of RFC 4180 that others wrote has them. */
const rowsOf = (csv: string) => Papa.parse<Record<string, string>>(csv, { header: true }).data

const reading = (bladeId: string, stage: Reading['stage'], hrc: number): Reading => ({
  id: `${bladeId} ${stage} ${hrc}`,
  batchId: 'b',
  bladeId,
  stage,
  hrc,
  at: NOW,
  deletedAt: null,
})

describe('blades as CSV', () => {
  const tray = trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 2, thicknessMm: 2.5 }], {
    name: '=SUM(1), "first"\nbatch',
  })
  const batch = {
    ...tray,
    blades: tray.blades.map((blade, i) =>
      i === 1
        ? {
            ...blade,
            serial: '26-002',
            states: [{ is: 'sold' as const, at: NOW, why: 'ordered', to: 'someone; far away' }],
          }
        : blade,
    ),
  }
  const readings = [reading('A1', 'as-quenched', 62), reading('A1', 'temper-1', 58.4), reading('A1', 'temper-1', 58.6)]
  const rows = rowsOf(bladesCsv([batch], readings, DEFAULT_WORKSHOP.tester))

  it('is a line a blade, with its size, its route and where it went', () => {
    expect(rows).toHaveLength(2)
    expect(rows[1]).toMatchObject({
      serial: '26-002',
      mark: 'A2',
      thickness_mm: '2.5',
      state: 'sold',
      to: 'someone; far away',
    })
    expect(rows[0]?.tempers).toMatch(/^\d+ C \d+ min \+ \d+ C \d+ min$/)
  })

  it('gives the hardness of the last stage that was read, nothing for a blade that was not', () => {
    expect(rows[0]).toMatchObject({ stage: 'temper-1', hrc: '58.5' })
    expect(rows[1]).toMatchObject({ stage: '', hrc: '' })
  })

  it('keeps what a spreadsheet would take for a formula as text, commas, quotes and lines as they are', () => {
    expect(rows[0]?.batch).toBe('\'=SUM(1), "first"\nbatch')
  })

  it('keeps a formula after a line break inside a cell as text too: a reader that breaks there sees none', () => {
    const sly = { ...batch, name: 'note\n=HYPERLINK("x")\r\n+1\r@a' }
    const csv = bladesCsv([sly], readings, DEFAULT_WORKSHOP.tester)
    for (const line of csv.split(/[\r\n]+/)) expect(line).not.toMatch(/^"?[=+@-]/)
    expect(rowsOf(csv)[0]?.batch).toBe("note\n'=HYPERLINK(\"x\")\r\n'+1\r'@a")
  })
})

describe('costs and logs as CSV', () => {
  it('has money to the hundredth, and says in what', () => {
    const batches = [{ batchId: 'b', name: 'One', at: NOW, begun: 9, good: 8, total: 311.006, perGood: 38.8757 }]
    expect(rowsOf(costsCsv({ batches }, 'EUR'))).toEqual([
      { begun: NOW, batch: 'One', blades: '9', good: '8', total: '311.01', per_good_blade: '38.88', currency: 'EUR' },
    ])
    expect(rowsOf(costsCsv({ batches }, undefined))[0]?.currency).toBe('')
  })

  it('is a log that the application’s own reader takes back as it was', () => {
    const points = Array.from({ length: 30 }, (_, i) => [i / 2, 20 + 10 * i] as const)
    const reader = createLogReader()
    reader.push(Papa.parse<string[]>(logCsv({ points })).data)
    const read = reader.finish()
    if (!read.ok) throw new Error('not read')
    const { minutes, celsius } = read.value
    expect(Array.from(minutes, (min, i) => [min, celsius[i]])).toEqual(points)
  })
})
