import { describe, expect, it } from 'vitest'
import { gradeOf, trayOf, withBlade } from '../../testing/tray'
import { importReadings } from './readings-import'

const batch = withBlade(trayOf(gradeOf('X65Cr13'), [{ mark: 'A', count: 2 }]), 'A2', { serial: '26-014' })
const read = (text: string) => importReadings(text, batch, 'temper-2')

describe('a tester’s file', () => {
  it('is read by its headings in any order, with decimal commas and stages as people write them', () => {
    const result = read('HRC;Blade;Stage\n62,5;A1;AQ\n60,5;a2;temper 2\n61 HRC;A1;T2\n')
    expect(result.ok && result.value.readings.map(r => [r.bladeId, r.stage, r.hrc])).toEqual([
      ['A1', 'as-quenched', 62.5],
      ['A2', 'temper-2', 60.5],
      ['A1', 'temper-2', 61],
    ])
    expect(result.ok && result.value.skipped).toEqual([])
  })

  it('knows a blade by its serial as by its mark', () => {
    const result = read('blade,hrc\n26-014,60.5\n')
    expect(result.ok && result.value.readings[0]?.bladeId).toBe('A2')
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
      ['row-blade', '3'],
      ['row-no-stage', '4'],
      ['row-value', '5'],
      ['row-implausible', '6'],
      ['row-stage-not-on-route', '7'],
    ])
  })

  it('is refused in words where its columns are wrong', () => {
    expect(read('time,temperature\n1,20\n2,21\n')).toMatchObject({
      ok: false,
      problems: [{ code: 'readings-columns', params: { missing: ['blade', 'HRC'], head: ['time', 'temperature'] } }],
    })
    expect(read('blade,hrc\nZ1,60\n')).toMatchObject({ ok: false, problems: [{ code: 'readings-nothing' }] })
    expect(read('')).toMatchObject({ ok: false, problems: [{ code: 'readings-columns' }] })
  })
})
