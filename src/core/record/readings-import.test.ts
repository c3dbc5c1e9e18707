import { describe, expect, it } from 'vitest'
import { findGrade } from '../steel/grades'
import { DEFAULT_WORKSHOP, newBatch } from './defaults'
import { importReadings } from './readings-import'
import type { Batch } from './schemas'

const grade = findGrade('X65Cr13')
if (!grade) throw new Error('grade')
const batch: Batch = {
  ...newBatch({ batch: 'b', group: 'g' }, 'Tray', grade, DEFAULT_WORKSHOP, '2026-03-02T08:00:00.000Z'),
  blades: [
    { id: 'x', groupId: 'g', mark: 'A', lengthMm: 250, widthMm: 40, thicknessMm: 2.5, count: 2, bevels: 'pre-ground' },
  ],
}
const read = (text: string) => importReadings(text, batch, 'temper-2')

describe('a tester’s file', () => {
  it('is read by its headings in any order, with decimal commas and stages as people write them', () => {
    const result = read('HRC;Blade;Stage\n62,5;A1;AQ\n60,5;a2;temper 2\n61 HRC;A1;T2\n')
    expect(result.ok && result.value.readings.map(r => [r.piece, r.stage, r.hrc])).toEqual([
      ['A1', 'as-quenched', 62.5],
      ['A2', 'temper-2', 60.5],
      ['A1', 'temper-2', 61],
    ])
    expect(result.ok && result.value.skipped).toEqual([])
  })

  it('takes the stage shown where the file has none', () => {
    const result = read('blade,hrc\nA1,60.5\n')
    expect(result.ok && result.value.readings[0]?.stage).toBe('temper-2')
  })

  it('leaves out and names what does not fit', () => {
    const result = read(
      'blade,stage,hrc\nA1,temper 2,60\nZ9,temper 2,60\nA2,sometime,61\nA2,temper 2,6O\nA2,temper 2,605\nA2,temper 7,60\n',
    )
    expect(result.ok && result.value.readings).toHaveLength(1)
    expect(result.ok && result.value.skipped.map(s => [s.code, s.path])).toEqual([
      ['blade', '3'],
      ['stage', '4'],
      ['value', '5'],
      ['value', '6'],
      ['stage', '7'],
    ])
  })

  it('is refused in words where its columns are wrong', () => {
    expect(read('time,temperature\n1,20\n2,21\n')).toMatchObject({
      ok: false,
      problems: [{ code: 'columns', message: expect.stringContaining('time, temperature') }],
    })
    expect(read('blade,hrc\nZ1,60\n')).toMatchObject({ ok: false, problems: [{ code: 'nothing' }] })
    expect(read('')).toMatchObject({ ok: false, problems: [{ code: 'columns' }] })
  })
})
