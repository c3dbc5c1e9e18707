import { type Composition, type CompositionRange, ELEMENTS, type Element, type Grade } from '../../../data/grades'
import { BOUNDS } from '../../record/bounds'
import { gradeSheetSchema } from '../../record/grade-sheet'
import { problemsOf } from '../../record/problems'
import type { Problem, Result } from '../../result'
import { formatNumber, formatQuantity, otherReading, parseQuantity, type System } from '../../units/quantity'
import { findGrade } from '../grades'
import { doublesBack, parseChartText } from './chart-text'
import { fillSheet } from './fill-sheet'

/** A supplier's sheet as it is typed: texts, any of which may still be empty or wrong. */
export interface SheetDraft {
  readonly name: string
  readonly made: 'ingot' | 'powder'
  readonly note: string
  /** wt% as typed, by element. */
  readonly nominal: Readonly<Partial<Record<Element, string>>>
  readonly least: Readonly<Partial<Record<Element, string>>>
  readonly most: Readonly<Partial<Record<Element, string>>>
  readonly austenitizeMin: string
  readonly austenitizeUsual: string
  readonly austenitizeMax: string
  readonly soakMin: string
  readonly soakMax: string
  readonly temperMin: string
  readonly temperMax: string
  readonly targetMin: string
  readonly targetMax: string
  readonly chart: string
  readonly chartSoakAt: string
  readonly chartSoakFor: string
  readonly chartCold: string
  readonly chartTempers: '1' | '2' | '3'
  readonly source: string
}

export const EMPTY_DRAFT: SheetDraft = {
  name: '',
  made: 'ingot',
  note: '',
  nominal: {},
  least: {},
  most: {},
  austenitizeMin: '',
  austenitizeUsual: '',
  austenitizeMax: '',
  soakMin: '',
  soakMax: '',
  temperMin: '',
  temperMax: '',
  targetMin: '',
  targetMax: '',
  chart: '',
  chartSoakAt: '',
  chartSoakFor: '',
  chartCold: '',
  chartTempers: '2',
  source: '',
}

/** More than the whole, wt%. */
const WHOLE = 100

interface Reader {
  readonly problems: Problem[]
  readonly say: (path: string, message: string) => void
  readonly system: System
}

/**
 * Reads a typed sheet into a grade. What is left empty has a suggested value from the composition; what is wrong is said
 * beside its field in plain words, all of it at once. `taken` are names that other grades have.
 */
export function readSheet(draft: SheetDraft, system: System, taken: readonly string[]): Result<Grade> {
  const problems: Problem[] = []
  const reader: Reader = { problems, system, say: (path, message) => problems.push({ code: 'sheet', path, message }) }
  const name = draft.name.trim()
  if (name === '') reader.say('name', 'Give it a name: any that you use for it.')
  else if (findGrade(name) || taken.includes(name))
    reader.say('name', `${name} is there already. Choose another name, such as “${name}, my supplier”.`)
  const { nominal, range } = readComposition(draft, reader)
  if (!nominal) return { ok: false, problems }
  const filled = fillSheet(name || 'unnamed', nominal)
  const read = readWindows(draft, filled, reader)
  const chart = readChart(draft, read, reader)
  if (problems.length > 0) return { ok: false, problems }
  const given = draft.source.trim()
  const grade: Grade = {
    ...read,
    made: draft.made,
    range,
    chart,
    note: draft.note.trim(),
    compositionSource: given || 'the supplier’s sheet',
  }
  const checked = gradeSheetSchema.safeParse(grade)
  return checked.success ? { ok: true, value: grade } : { ok: false, problems: problemsOf(checked.error) }
}

const numberIn = (text: string | undefined): number | null => {
  const clean = (text ?? '').trim().replace('−', '-').replace(',', '.').replace(/\s*%$/, '')
  return clean === '' ? null : Number(clean)
}

function readComposition(draft: SheetDraft, { say }: Reader): { nominal: Composition | null; range: CompositionRange } {
  const nominal: Partial<Record<Element, number>> = {}
  const range: Partial<Record<Element, readonly [number, number]>> = {}
  let fine = true
  const bad = (path: string, message: string) => {
    say(path, message)
    fine = false
  }
  for (const element of ELEMENTS) {
    const parts = (['nominal', 'least', 'most'] as const).map(column => {
      const value = numberIn(draft[column][element])
      const path = `${column}.${element}`
      if (value === null) return null
      if (!Number.isFinite(value)) bad(path, `“${draft[column][element]}” is not a number.`)
      else if (value < 0) bad(path, `${element} can not be less than nothing.`)
      else return value
      return null
    })
    const [typed, least, most] = parts as [number | null, number | null, number | null]
    if (least !== null && most !== null && least > most)
      bad(`least.${element}`, `The least of ${element} is above its most.`)
    const value = typed ?? (least !== null && most !== null ? (least + most) / 2 : most !== null ? most / 2 : least)
    if (value === null) continue
    if (least !== null && value < least)
      bad(`nominal.${element}`, `${value} % ${element} is below its least, ${least} %.`)
    if (most !== null && value > most) bad(`nominal.${element}`, `${value} % ${element} is above its most, ${most} %.`)
    if (value > 0) nominal[element] = Math.round(value * 1000) / 1000
    if (least !== null || most !== null) range[element] = [least ?? 0, most ?? value]
  }
  const sum = Object.values(nominal).reduce((total, value) => total + value, 0)
  if (sum > WHOLE)
    bad(
      'nominal.C',
      `The elements add up to ${sum.toFixed(1)} %: more than the whole. Check for a missing decimal point.`,
    )
  else if (sum > 60) bad('nominal.C', `The elements add up to ${sum.toFixed(1)} %: less than half of it would be iron.`)
  const { C } = nominal
  if (C === undefined) bad('nominal.C', 'Carbon is missing: without it nothing hardens.')
  else if (C < 0.05 || C > 3.5) bad('nominal.C', `${C} % carbon is outside 0.05 to 3.5 %.`)
  return { nominal: fine && C !== undefined ? { ...nominal, C } : null, range }
}

type Bounds = { readonly min: number; readonly max: number }

/** A typed quantity, or what is suggested where nothing was typed. */
function quantity(
  { say, system }: Reader,
  path: string,
  text: string,
  dimension: 'temperature' | 'duration',
  bounds: Bounds,
  suggested: number,
): number {
  if (text.trim() === '') return suggested
  const read = parseQuantity(text, dimension, system)
  if (!read.ok) {
    say(path, read.problems[0]?.message ?? 'This is not a value.')
    return suggested
  }
  if (read.value >= bounds.min && read.value <= bounds.max) return read.value
  const shown = (base: number) => formatQuantity(base, dimension, system)
  const other = otherReading(text, dimension, system, bounds)
  say(
    path,
    `${shown(read.value)} is outside ${shown(bounds.min)} to ${shown(bounds.max)}.${other ? ` Did you mean ${other.text}, which is ${shown(other.base)}? Then type the unit.` : ''}`,
  )
  return suggested
}

function hardness({ say }: Reader, path: string, text: string, suggested: number): number {
  const value = numberIn(text)
  if (value === null) return suggested
  if (value >= BOUNDS.hrc.min && value <= BOUNDS.hrc.max) return value
  say(path, `${text.trim()} is not a Rockwell C hardness (20 to 70).`)
  return suggested
}

function readWindows(draft: SheetDraft, filled: Grade, reader: Reader): Grade {
  const t = (path: keyof SheetDraft, bounds: Bounds, suggested: number) =>
    quantity(reader, path, String(draft[path]), 'temperature', bounds, suggested)
  const minutes = (path: keyof SheetDraft, suggested: number) =>
    quantity(reader, path, String(draft[path]), 'duration', BOUNDS.soakMin, suggested)
  const given = (...texts: string[]) => texts.some(text => text.trim() !== '')
  const said = draft.source.trim() || 'the supplier’s sheet'
  const a = filled.austenitize
  const before = reader.problems.length
  const typed = given(draft.austenitizeMin, draft.austenitizeUsual, draft.austenitizeMax)
  const usual = t('austenitizeUsual', BOUNDS.austenitizeC, a.defaultC)
  // One typed figure carries the others along, so that a single soak temperature is enough.
  const shift = draft.austenitizeUsual.trim() === '' ? 0 : usual - a.defaultC
  const minC = t('austenitizeMin', BOUNDS.austenitizeC, Math.min(a.minC + shift, usual))
  const maxC = t('austenitizeMax', BOUNDS.austenitizeC, Math.max(a.maxC + shift, usual))
  const defaultC = draft.austenitizeUsual.trim() === '' ? Math.min(maxC, Math.max(minC, usual)) : usual
  if (reader.problems.length === before) {
    if (minC > maxC) reader.say('austenitizeMin', 'The least soak temperature is above the most.')
    else if (defaultC < minC || defaultC > maxC)
      reader.say('austenitizeUsual', 'The usual soak temperature lies outside the least and the most.')
  }
  const soakMin = minutes('soakMin', filled.soak.minMin)
  const soakMax = minutes('soakMax', Math.max(soakMin, filled.soak.maxMin))
  if (soakMin > soakMax) reader.say('soakMin', 'The shortest soak is above the longest.')
  const temperMin = t('temperMin', BOUNDS.temperC, filled.temper.minC)
  const temperMax = t('temperMax', BOUNDS.temperC, Math.max(filled.temper.maxC, temperMin + 50))
  if (temperMin >= temperMax) reader.say('temperMin', 'The lowest temper must be below the highest.')
  if (temperMax >= minC) reader.say('temperMax', 'A temper as hot as the soak would undo it. Check both.')
  const targetMin = hardness(reader, 'targetMin', draft.targetMin, filled.usualTarget.minHrc)
  const targetMax = hardness(reader, 'targetMax', draft.targetMax, Math.max(filled.usualTarget.maxHrc, targetMin + 1))
  if (targetMin >= targetMax) reader.say('targetMin', 'The lower end of the target must be below the upper end.')
  return {
    ...filled,
    austenitize: { minC, maxC, defaultC, source: typed ? said : a.source },
    soak: { minMin: soakMin, maxMin: soakMax, source: given(draft.soakMin, draft.soakMax) ? said : filled.soak.source },
    temper: {
      minC: temperMin,
      maxC: temperMax,
      source: given(draft.temperMin, draft.temperMax) ? said : filled.temper.source,
    },
    usualTarget: { minHrc: targetMin, maxHrc: targetMax },
  }
}

function readChart(draft: SheetDraft, grade: Grade, reader: Reader): Grade['chart'] {
  if (draft.chart.trim() === '') return null
  const { rows } = parseChartText(draft.chart)
  if (rows.length === 0) {
    reader.say('chart', 'No row could be read. One row a line: the temper, then the hardness, such as “200 60.5”.')
    return null
  }
  const [back] = doublesBack(rows)
  if (back !== undefined) {
    const [row, before] = [rows[back - 1], rows[back - 2]]
    reader.say(
      'chart',
      `Row ${back} (${Math.round(row?.temperC ?? 0)} °C) does not rise above the row before it (${Math.round(before?.temperC ?? 0)} °C): the chart doubles back. Put the rows in rising order, or take one out.`,
    )
    return null
  }
  const austenitizeC = quantity(
    reader,
    'chartSoakAt',
    draft.chartSoakAt,
    'temperature',
    BOUNDS.austenitizeC,
    grade.austenitize.defaultC,
  )
  const hottest = rows.at(-1)?.temperC ?? 0
  if (hottest >= austenitizeC)
    reader.say('chartSoakAt', `The chart tempers at ${Math.round(hottest)} °C, above its own soak. Check both.`)
  const soakMin = quantity(reader, 'chartSoakFor', draft.chartSoakFor, 'duration', BOUNDS.soakMin, grade.soak.maxMin)
  const coldText = draft.chartCold.trim().toLowerCase()
  const coldC =
    coldText === '' || coldText === 'none'
      ? null
      : quantity(reader, 'chartCold', draft.chartCold, 'temperature', BOUNDS.coldC, -75)
  return {
    reference: {
      austenitizeC,
      soakMin,
      quenchedToC: 25,
      coldToC: coldC,
      temperHoldMin: 120,
      temperCount: Number(draft.chartTempers),
    },
    points: rows.map(({ temperC, hrc }) => [temperC, hrc] as const),
    source: draft.source.trim() || 'the supplier’s sheet',
  }
}

/** A stored sheet as texts again, to be changed. */
export function draftOf(grade: Grade, system: System): SheetDraft {
  const t = (c: number) => formatNumber(c, 'temperature', system)
  const texts = (pick: (element: Element) => number | undefined) =>
    Object.fromEntries(
      ELEMENTS.flatMap(element => {
        const value = pick(element)
        return value === undefined ? [] : [[element, String(value)]]
      }),
    ) as SheetDraft['nominal']
  const { chart } = grade
  return {
    name: grade.name,
    made: grade.made,
    note: grade.note,
    nominal: texts(element => grade.nominal[element]),
    least: texts(element => grade.range[element]?.[0]),
    most: texts(element => grade.range[element]?.[1]),
    austenitizeMin: t(grade.austenitize.minC),
    austenitizeUsual: t(grade.austenitize.defaultC),
    austenitizeMax: t(grade.austenitize.maxC),
    soakMin: String(grade.soak.minMin),
    soakMax: String(grade.soak.maxMin),
    temperMin: t(grade.temper.minC),
    temperMax: t(grade.temper.maxC),
    targetMin: String(grade.usualTarget.minHrc),
    targetMax: String(grade.usualTarget.maxHrc),
    chart: chart ? ['°C HRC', ...chart.points.map(([c, hrc]) => `${c} ${hrc}`)].join('\n') : '',
    chartSoakAt: chart ? t(chart.reference.austenitizeC) : '',
    chartSoakFor: chart ? String(chart.reference.soakMin) : '',
    chartCold: chart && chart.reference.coldToC !== null ? t(chart.reference.coldToC) : '',
    chartTempers: (['1', '2', '3'] as const)[(chart?.reference.temperCount ?? 2) - 1] ?? '2',
    source: chart?.source ?? grade.compositionSource,
  }
}
