import { type Composition, ELEMENTS, type Element, type Grade } from '../../../data/grades'
import { SUPPLIER } from '../../../data/grades/sources'
import { type Problem, problem } from '../../codes/problem'
import type { Result } from '../../codes/result'
import { BOUNDS } from '../../shop/bounds'
import { gradeSheetSchema } from '../../shop/grade-sheet'
import { problemsOf } from '../../shop/problems'
import { findGrade } from '../../steel/grades'
import { formatQuantity, otherReading, parseQuantity, type System } from '../../units/quantity'
import { doublesBack, parseChartText } from './chart-text'
import { fillSheet } from './fill-sheet'
import { numberIn, readComposition, type SaySheet, type TypedShares } from './sheet-composition'

/** A supplier's sheet as it is typed: texts, any of which may still be empty or wrong. */
export interface SheetDraft extends TypedShares {
  readonly name: string
  readonly made: 'ingot' | 'powder'
  /** Scale of temperatures that are typed without a unit. */
  readonly units: System
  readonly note: string
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
  readonly chartTemperFor: string
  readonly source: string
}

export const emptyDraft = (units: System): SheetDraft => ({
  units,
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
  chartTemperFor: '',
  source: '',
})

/** Hold assumed for a chart's tempers if none is stated, min. */
export const CHART_TEMPER_MIN = 120

interface Reader {
  readonly problems: Problem[]
  readonly say: SaySheet
  readonly system: System
}

/**
 * Reads a typed sheet into a grade. What is left empty has a suggested value from the composition; what is wrong is said
 * beside its field in plain words, all of it at once. `id` is the sheet's own; `taken` are names that other grades have.
 */
export function readSheet(id: string, draft: SheetDraft, taken: readonly string[]): Result<Grade> {
  const problems: Problem[] = []
  const reader: Reader = {
    problems,
    system: draft.units,
    say: (path, code, params) => problems.push(problem(code, params, path)),
  }
  const name = draft.name.trim()
  if (name === '') reader.say('name', 'sheet-no-name', {})
  else if (findGrade(name) || taken.includes(name)) reader.say('name', 'sheet-name-taken', { name })
  const { nominal, range } = readComposition(draft, reader.say)
  if (!nominal) return { ok: false, problems }
  const filled = fillSheet(id, name || 'unnamed', nominal)
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
    compositionSource: given || SUPPLIER,
  }
  const checked = gradeSheetSchema.safeParse(grade)
  return checked.success ? { ok: true, value: grade } : { ok: false, problems: problemsOf(checked.error, grade) }
}

type Bounds = { readonly min: number; readonly max: number }

/** A typed quantity, or what is suggested where nothing was typed. */
function quantity(
  reader: Reader,
  path: string,
  text: string,
  dimension: 'temperature' | 'duration',
  bounds: Bounds,
  suggested: number,
): number {
  if (text.trim() === '') return suggested
  const read = parseQuantity(text, dimension, reader.system)
  if (!read.ok) {
    reader.problems.push(...read.problems.map(found => ({ ...found, path })))
    return suggested
  }
  if (read.value >= bounds.min && read.value <= bounds.max) return read.value
  const other = otherReading(text, dimension, reader.system, bounds)
  reader.say(path, 'sheet-outside', {
    dimension,
    value: read.value,
    least: bounds.min,
    most: bounds.max,
    other: other && { text: other.text, value: other.base },
  })
  return suggested
}

function hardness({ say }: Reader, path: string, text: string, suggested: number): number {
  const value = numberIn(text)
  if (value === null) return suggested
  if (value >= BOUNDS.hrc.min && value <= BOUNDS.hrc.max) return value
  say(path, 'sheet-not-a-hardness', { text: text.trim(), least: BOUNDS.hrc.min, most: BOUNDS.hrc.max })
  return suggested
}

function readWindows(draft: SheetDraft, filled: Grade, reader: Reader): Grade {
  const t = (path: keyof SheetDraft, bounds: Bounds, suggested: number) =>
    quantity(reader, path, String(draft[path]), 'temperature', bounds, suggested)
  const minutes = (path: keyof SheetDraft, suggested: number) =>
    quantity(reader, path, String(draft[path]), 'duration', BOUNDS.soakMin, suggested)
  const given = (...texts: string[]) => texts.some(text => text.trim() !== '')
  const said = draft.source.trim() || SUPPLIER
  const a = filled.austenitize
  const before = reader.problems.length
  const typed = given(draft.austenitizeMin, draft.austenitizeUsual, draft.austenitizeMax)
  const usual = t('austenitizeUsual', BOUNDS.austenitizeC, a.defaultC)
  // One typed figure carries the others along, so that a single austenitize temperature is enough.
  const shift = draft.austenitizeUsual.trim() === '' ? 0 : usual - a.defaultC
  const minC = t('austenitizeMin', BOUNDS.austenitizeC, Math.min(a.minC + shift, usual))
  const maxC = t('austenitizeMax', BOUNDS.austenitizeC, Math.max(a.maxC + shift, usual))
  const defaultC = draft.austenitizeUsual.trim() === '' ? Math.min(maxC, Math.max(minC, usual)) : usual
  if (reader.problems.length === before) {
    if (minC > maxC) reader.say('austenitizeMin', 'sheet-soak-upside-down', {})
    else if (defaultC < minC || defaultC > maxC) reader.say('austenitizeUsual', 'sheet-usual-outside', {})
  }
  const soakMin = minutes('soakMin', filled.soak.minMin)
  const soakMax = minutes('soakMax', Math.max(soakMin, filled.soak.maxMin))
  if (soakMin > soakMax) reader.say('soakMin', 'sheet-soak-times-upside-down', {})
  const temperMin = t('temperMin', BOUNDS.temperC, filled.temper.minC)
  const temperMax = t('temperMax', BOUNDS.temperC, Math.max(filled.temper.maxC, temperMin + 50))
  if (temperMin >= temperMax) reader.say('temperMin', 'sheet-tempers-upside-down', {})
  if (temperMax >= minC) reader.say('temperMax', 'sheet-temper-above-soak', {})
  const targetMin = hardness(reader, 'targetMin', draft.targetMin, filled.usualTarget.minHrc)
  const targetMax = hardness(reader, 'targetMax', draft.targetMax, Math.max(filled.usualTarget.maxHrc, targetMin + 1))
  if (targetMin >= targetMax) reader.say('targetMin', 'target-upside-down', {})
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
  const { rows } = parseChartText(draft.chart, draft.units)
  if (rows.length === 0) {
    reader.say('chart', 'sheet-no-chart-row', {})
    return null
  }
  const [back] = doublesBack(rows)
  if (back !== undefined) {
    const [row, before] = [rows[back - 1], rows[back - 2]]
    reader.say('chart', 'sheet-chart-doubles-back', {
      row: back,
      atC: row?.temperC ?? 0,
      beforeC: before?.temperC ?? 0,
    })
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
  if (hottest >= austenitizeC) reader.say('chartSoakAt', 'sheet-chart-above-soak', { hottestC: hottest })
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
      temperHoldMin: quantity(
        reader,
        'chartTemperFor',
        draft.chartTemperFor,
        'duration',
        BOUNDS.holdMin,
        CHART_TEMPER_MIN,
      ),
      temperCount: Number(draft.chartTempers),
    },
    points: rows.map(({ temperC, hrc }) => [temperC, hrc] as const),
    source: draft.source.trim() || SUPPLIER,
  }
}

/** Returns a stored sheet as texts again, to be changed: temperatures with their unit, so that they stay what they are. */
export function draftOf(grade: Grade, system: System): SheetDraft {
  const t = (c: number) => formatQuantity(c, 'temperature', system)
  const texts = (pick: (element: Element) => number | undefined) =>
    Object.fromEntries(
      ELEMENTS.flatMap(element => {
        const value = pick(element)
        return value === undefined ? [] : [[element, String(value)]]
      }),
    ) as SheetDraft['nominal']
  const { chart } = grade
  return {
    units: system,
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
    chartTemperFor: chart ? String(chart.reference.temperHoldMin) : '',
    source: chart?.source ?? grade.compositionSource,
  }
}

/**
 * Returns a grade as the beginning of a sheet of the maker's own: its windows stay, the composition is the sheet's where one was pasted, and
 * its chart is still to come.
 */
export function draftFrom(
  grade: Grade,
  pasted: Composition | null,
  system: System,
  taken: readonly string[],
): SheetDraft {
  const draft = draftOf(grade, system)
  const names = Array.from(
    { length: taken.length + 1 },
    (_, i) => `${grade.name}, my sheet${i === 0 ? '' : ` ${i + 1}`}`,
  )
  const texts = Object.entries(pasted ?? grade.nominal).map(([element, value]) => [element, String(value)] as const)
  return {
    ...draft,
    name: names.find(name => !taken.includes(name)) ?? '',
    nominal: Object.fromEntries(texts),
    ...(pasted ? { least: {}, most: {} } : {}),
    chart: '',
    chartSoakAt: '',
    chartSoakFor: '',
    chartCold: '',
    chartTemperFor: '',
    chartTempers: '2',
    source: '',
  }
}
