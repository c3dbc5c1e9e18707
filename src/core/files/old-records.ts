import Papa from 'papaparse'
import type { Grade } from '../../data/grades'
import { ROCKWELL } from '../../data/rockwell'
import type { Problem } from '../codes/problem'
import { fail, ok, type Result } from '../codes/result'
import { BOUNDS } from '../shop/bounds'
import { cFromF } from '../units/temperature'

/** Fields that a column of old notes may hold. */
export const RECORD_FIELDS = [
  'date',
  'batch',
  'grade',
  'mark',
  'thickness',
  'austenitize',
  'soak',
  'cold',
  'temper',
  'again',
  'hrc',
  'note',
] as const
export type RecordField = (typeof RECORD_FIELDS)[number]

/** Which column holds what, by its place from 0; what is not named is in none. */
export type RecordColumns = Readonly<Partial<Record<RecordField, number>>>

/** How its figures are meant. */
export interface RecordUnits {
  readonly temperature: 'C' | 'F'
  readonly length: 'mm' | 'in'
  /** Of a date such as 3/4/19: day first, or month first. */
  readonly dates: 'day-first' | 'month-first'
}

/** One blade of old notes. Temperatures °C, lengths mm, times min; null: not noted. */
export interface OldRecord {
  readonly line: number
  /** Day it was hardened, 'YYYY-MM-DD'. */
  readonly date: string
  readonly batch: string
  readonly grade: Grade
  readonly mark: string
  readonly thicknessMm: number | null
  readonly austenitizeC: number
  readonly soakMin: number | null
  readonly coldC: number | null
  readonly tempersC: readonly number[]
  readonly hrc: readonly number[]
  readonly note: string
}

export interface OldRecords {
  readonly records: readonly OldRecord[]
  /** Rows left out, each with its line and why. */
  readonly skipped: readonly Problem[]
}

/** Headings as people write them. */
const HEADINGS: Readonly<Record<RecordField, RegExp>> = {
  date: /^(date|day|when|hardened on)\b/i,
  batch: /^(batch|job|order|run|load|lot|heat no)\b/i,
  grade: /^(grade|steel|alloy|material)\b/i,
  mark: /^(mark|blade|knife|piece|id|serial|no)\b/i,
  thickness: /^(thick|thk|stock)/i,
  austenitize: /^(aust|harden|soak temp|ht temp|hold temp|quench temp)/i,
  soak: /^(soak|hold|time)(?! temp)/i,
  cold: /^(cold|cryo|sub-?zero|freez|dry ice)/i,
  temper: /^(temper(ing)?( ?1)?|1st temper|first temper)(?! ?[2-9])/i,
  again: /^(temper(ing)? ?2|2nd temper|second temper)/i,
  hrc: /^(hrc|hardness|rockwell|rc|reading)/i,
  note: /^(note|remark|comment|result)/i,
}
const MOST_ROWS = 20_000

/** A table of text: its headings, and its rows. Comma, semicolon or tab. Errors: 'records-empty', 'records-too-long'. */
export function readTable(
  text: string,
): Result<{ readonly head: readonly string[]; readonly rows: readonly string[][] }> {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true })
  const [head, ...rows] = data
  if (!head || rows.length === 0) return fail('records-empty', {})
  return rows.length > MOST_ROWS ? fail('records-too-long', { rows: rows.length, most: MOST_ROWS }) : ok({ head, rows })
}

/** Which column seems to hold what, by its heading: the first that fits, and none twice. */
export function matchColumns(head: readonly string[]): RecordColumns {
  const taken = new Set<number>()
  return Object.fromEntries(
    RECORD_FIELDS.flatMap(field => {
      const at = head.findIndex((cell, i) => !taken.has(i) && HEADINGS[field].test(cell.trim()))
      if (at < 0) return []
      taken.add(at)
      return [[field, at]]
    }),
  )
}

/** Hotter than any steel is soaked, °C: a figure past it is °F. */
const HOTTEST_C = 1300

/** How its figures seem to be meant: by what the headings say, and by temperatures that only °F can be. */
export function unitsOf(
  head: readonly string[],
  rows: readonly (readonly string[])[],
  columns: RecordColumns,
): RecordUnits {
  const hot = rows.map(row => numberIn(cellOf(row, columns.austenitize))).filter(c => c !== null)
  const dates = rows.map(row => /^(\d{1,2})[/.](\d{1,2})[/.]/.exec(cellOf(row, columns.date)))
  const saysF = head.some(cell => /°\s*F|\bdeg ?F\b|\(F\)|_f$/i.test(cell))
  return {
    temperature: saysF || hot.some(c => c > HOTTEST_C) ? 'F' : 'C',
    length: /\b(in|inch|inches)\b|"/i.test(head[columns.thickness ?? -1] ?? '') ? 'in' : 'mm',
    dates: dates.some(found => found && Number(found[2]) > 12) ? 'month-first' : 'day-first',
  }
}

const cellOf = (row: readonly string[], at: number | undefined): string =>
  at === undefined ? '' : (row[at] ?? '').trim()

/** The first number of a text, decimal comma or point; null where there is none. */
function numberIn(text: string): number | null {
  const found = /[-−]?\d+(?:[.,]\d+)?/.exec(text)
  return found ? Number(found[0].replace('−', '-').replace(',', '.')) : null
}

const DAY = { 'day-first': [2, 1], 'month-first': [1, 2] } as const

/** A day as it is written by hand; null where it is none there ever was. @example dateOf('3.11.19', 'day-first') // '2019-11-03' */
export function dateOf(text: string, dates: RecordUnits['dates']): string | null {
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})/.exec(text)
  const local = /^(\d{1,2})[/.-](\d{1,2})[/.-](\d{4}|\d{2})\b/.exec(text)
  const [month, day] = local ? DAY[dates].map(i => local[i]) : [iso?.[2], iso?.[3]]
  const year = local ? (local[3]?.length === 2 ? `20${local[3]}` : local[3]) : iso?.[1]
  if (!year || !month || !day) return null
  const told = `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`
  const date = new Date(`${told}T12:00:00Z`)
  return Number.isNaN(date.getTime()) || date.toISOString().slice(0, 10) !== told ? null : told
}

/** A designation without spaces, dots and the body that gave it: notes say D2 for AISI D2. */
const plain = (text: string): string =>
  text
    .toLowerCase()
    .replace(/[\s.-]/g, '')
    .replace(/^(aisi|uns|en|din|iso|wnr)(?=.)/, '')

/** A grade by any of its names, whatever its spaces and capitals. */
const gradeNamed = (text: string, grades: readonly Grade[]): Grade | undefined => {
  const wanted = plain(text)
  return wanted === ''
    ? undefined
    : grades.find(grade => [grade.name, ...grade.alsoNamed].some(name => plain(name) === wanted))
}

/**
 * Old notes row by row, one blade each. A row that is no blade of a known steel, on a known day, with a soak and a hardness is left out
 * and named. Errors: 'records-nothing' where none is left.
 */
export function oldRecords(
  rows: readonly (readonly string[])[],
  columns: RecordColumns,
  units: RecordUnits,
  grades: readonly Grade[],
): Result<OldRecords> {
  const records: OldRecord[] = []
  const skipped: Problem[] = []
  rows.forEach((row, i) => {
    const line = i + 2
    const read = recordOf(line, field => cellOf(row, columns[field]), units, grades)
    if (read.ok) records.push(read.value)
    else skipped.push(...read.problems.map(found => ({ ...found, path: String(line) })))
  })
  return records.length === 0 ? fail('records-nothing', { first: skipped[0] ?? null }) : ok({ records, skipped })
}

function recordOf(
  line: number,
  cell: (field: RecordField) => string,
  { temperature, length, dates }: RecordUnits,
  grades: readonly Grade[],
): Result<OldRecord> {
  const date = dateOf(cell('date'), dates)
  if (!date) return fail('record-date', { text: cell('date') })
  const grade = gradeNamed(cell('grade'), grades)
  if (!grade) return fail('record-grade', { text: cell('grade') })
  const celsius = (field: RecordField): number | null => {
    const value = numberIn(cell(field))
    return value === null ? null : temperature === 'F' ? cFromF(value) : value
  }
  const austenitizeC = celsius('austenitize')
  const hrc = (cell('hrc').match(/\d+(?:[.,]\d+)?/g) ?? []).map(text => Number(text.replace(',', '.')))
  if (hrc.length === 0) return fail('row-value', { text: cell('hrc') })
  const odd = hrc.find(value => value < ROCKWELL.plausible.min || value > ROCKWELL.plausible.max)
  if (odd !== undefined) return fail('row-implausible', { hrc: odd })
  if (austenitizeC === null) return fail('record-no-soak', { text: cell('austenitize') })
  const tempersC = [celsius('temper'), celsius('again')].filter(c => c !== null)
  const thickness = numberIn(cell('thickness'))
  const record = {
    line,
    date,
    batch: cell('batch') || date,
    grade,
    mark: cell('mark'),
    thicknessMm: thickness === null ? null : length === 'in' ? thickness * 25.4 : thickness,
    austenitizeC,
    soakMin: numberIn(cell('soak')),
    coldC: /^(no|none|-|—)?$/i.test(cell('cold')) ? null : celsius('cold'),
    tempersC,
    hrc,
    note: cell('note').slice(0, 400),
  }
  const wrong = outside(record)
  return wrong ? fail('record-outside', wrong) : ok(record)
}

/** The first figure of a record that cannot be meant; null where all can. */
function outside({ austenitizeC, soakMin, coldC, tempersC, thicknessMm }: OldRecord) {
  const within = (
    field: RecordField,
    value: number | null,
    { min, max }: { readonly min: number; readonly max: number },
  ) => (value === null || (value >= min && value <= max) ? null : { field, value })
  return (
    within('austenitize', austenitizeC, BOUNDS.austenitizeC) ??
    within('soak', soakMin, BOUNDS.soakMin) ??
    within('cold', coldC, BOUNDS.coldC) ??
    within('thickness', thicknessMm, BOUNDS.bladeThicknessMm) ??
    tempersC.map(c => within('temper', c, BOUNDS.temperC)).find(found => found !== null) ??
    null
  )
}
