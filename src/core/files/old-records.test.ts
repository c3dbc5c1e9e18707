import { describe, expect, it } from 'vitest'
import { GRADES } from '../../data/grades'
import { observationsOf } from '../learn/observations'
import { withBlades } from '../shop/batch-records'
import { DEFAULT_WORKSHOP } from '../shop/defaults'
import { exchangeSchema } from './exchange'
import {
  dateOf,
  matchColumns,
  oldRecords,
  type RecordColumns,
  type RecordUnits,
  readTable,
  unitsOf,
} from './old-records'
import { recordsAsData } from './old-records-data'
import { exportText } from './write-exchange'

const NOTES = `Date;Job;Steel;Blade no;Thickness in;Austenitize °F;Soak min;Cryo;Temper 1;2nd temper;Rc;Notes
3/14/2017;Dairy;AISI 440C;K1;0,125;1900;25;-110;350;350;59,5 60;wide tang
3/14/2017;Dairy;440c;K2;0.125;1900;25;-110;350;350;60.5;
3/14/2017;Dairy;D2;K3;0.156;1850;30;none;400;400;61;
4/2/2018;;D2;M;;1850;;;;;63;files slide
13/13/2018;Odd;D2;X;;1850;30;;;;60;
4/2/2018;Odd;Mystery metal;X;;1850;30;;;;60;
4/2/2018;Odd;D2;X;;1850;30;;;;;
4/2/2018;Odd;D2;X;;;30;;;;60;
4/2/2018;Odd;D2;X;;1850;9000;;;;60;
4/2/2018;Odd;D2;X;;1850;30;;;;605;
`
const table = readTable(NOTES)
if (!table.ok) throw new Error('no table')
const { head, rows } = table.value
const columns = matchColumns(head)
const units = unitsOf(head, rows, columns)
const read = (own: RecordColumns = columns, as: RecordUnits = units) => {
  const found = oldRecords(rows, own, as, GRADES)
  if (!found.ok) throw new Error(found.problems[0]?.code)
  return found.value
}

describe('a table of old notes', () => {
  it('is matched by its headings, none taken twice, and its units are seen', () => {
    expect(columns).toEqual({
      date: 0,
      batch: 1,
      grade: 2,
      mark: 3,
      thickness: 4,
      austenitize: 5,
      soak: 6,
      cold: 7,
      temper: 8,
      again: 9,
      hrc: 10,
      note: 11,
    })
    expect(units).toEqual({ temperature: 'F', length: 'in', dates: 'month-first' })
  })

  it('takes hot figures for °F where no steel is soaked so hot in °C, and mm and days first where nothing says else', () => {
    const plain = [['4.3.2019', 'D2', '1850', '60']]
    const of = { date: 0, grade: 1, austenitize: 2, hrc: 3 }
    expect(unitsOf(['day', 'steel', 'austenitize', 'hrc'], plain, of).temperature).toBe('F')
    const metric = [['4.3.2019', 'D2', '1010', '60']]
    expect(unitsOf(['day', 'steel', 'austenitize', 'hrc'], metric, of)).toEqual({
      temperature: 'C',
      length: 'mm',
      dates: 'day-first',
    })
  })

  it('is read blade by blade, by any name of a steel, decimal comma or point', () => {
    const [first, , third, fourth] = read().records
    // NIST: °C = (°F − 32) / 1.8; an inch is 25.4 mm exactly.
    expect(first).toMatchObject({
      line: 2,
      date: '2017-03-14',
      batch: 'Dairy',
      mark: 'K1',
      soakMin: 25,
      hrc: [59.5, 60],
    })
    expect(first?.grade.name).toBe('X105CrMo17')
    expect(first?.thicknessMm).toBeCloseTo(3.175, 9)
    expect(first?.austenitizeC).toBeCloseTo(1037.78, 2)
    expect(first?.coldC).toBeCloseTo(-78.89, 2)
    expect(first?.tempersC.map(Math.round)).toEqual([177, 177])
    expect(third).toMatchObject({ coldC: null, mark: 'K3' })
    expect(third?.grade.name).toBe('X153CrMoV12')
    expect(fourth).toMatchObject({ batch: '2018-04-02', soakMin: null, tempersC: [], thicknessMm: null })
  })

  it('names each line it leaves out, and why', () => {
    expect(read().skipped.map(({ path, code }) => [path, code])).toEqual([
      ['6', 'record-date'],
      ['7', 'record-grade'],
      ['8', 'row-value'],
      ['9', 'record-no-soak'],
      ['10', 'record-outside'],
      ['11', 'row-implausible'],
    ])
  })

  it('is refused where it holds nothing, or where no line of it is a blade', () => {
    expect(readTable('date;hrc')).toMatchObject({ ok: false, problems: [{ code: 'records-empty' }] })
    const { hrc: _, ...without } = columns
    expect(oldRecords(rows, without, units, GRADES)).toMatchObject({
      ok: false,
      problems: [{ code: 'records-nothing' }],
    })
  })

  it('knows a day from none, in either order', () => {
    expect(dateOf('3/4/19', 'day-first')).toBe('2019-04-03')
    expect(dateOf('3/4/19', 'month-first')).toBe('2019-03-04')
    expect(dateOf('2019-03-04 17:20', 'month-first')).toBe('2019-03-04')
    expect(dateOf('31.2.2019', 'day-first')).toBeNull()
    expect(dateOf('May', 'day-first')).toBeNull()
  })
})

describe('old notes in the log', () => {
  let count = 0
  const shop = { ...DEFAULT_WORKSHOP, origin: 'here' }
  const data = recordsAsData(read().records, { shop, serials: ['17-004'], newId: () => `id-${count++}` })
  const batches = withBlades(data.batches, data.blades)

  it('are batches by day and name, groups by steel and route, a blade a line', () => {
    expect(
      data.batches.map(batch => [batch.name, batch.createdAt, batch.groups.map(group => group.gradeName)]),
    ).toEqual([
      ['Dairy', '2017-03-14T12:00:00.000Z', ['X105CrMo17', 'X153CrMoV12']],
      ['2018-04-02', '2018-04-02T12:00:00.000Z', ['X153CrMoV12']],
    ])
    expect(data.batches[0]?.lines.map(line => line.mark)).toEqual(['K1', 'K2', 'K3'])
    expect(data.blades.map(blade => blade.serial)).toEqual(['17-005', '17-006', '17-007', '18-001'])
    expect(data.batches[0]?.note).toBe('wide tang')
  })

  it('have their readings where their route ends', () => {
    expect(data.readings.map(({ hrc, stage }) => [hrc, stage])).toEqual([
      [59.5, 'temper-2'],
      [60, 'temper-2'],
      [60.5, 'temper-2'],
      [61, 'temper-2'],
      [63, 'as-quenched'],
    ])
  })

  it('make a workshop file that is read back, and teach the predictions', () => {
    const text = exportText(data, '2026-03-02T08:00:00.000Z')
    expect(exchangeSchema.safeParse(JSON.parse(text)).error?.issues).toBeUndefined()
    const [batch] = batches
    if (!batch) throw new Error('no batch')
    expect(observationsOf(batch, data.readings, shop.tester).length).toBeGreaterThan(0)
  })
})
