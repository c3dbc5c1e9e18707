import type { Nothing, Said } from './said'

/** Problems with an input, with their parameters. Lengths in mm, temperatures in °C. */
export interface ProblemCodes {
  // A field or a record that does not fit its schema.
  'too-big': { readonly most: number; readonly counted: Counted }
  'too-small': { readonly least: number; readonly counted: Counted }
  missing: Nothing
  'wrong-type': { readonly expected: string }
  'unknown-keys': { readonly keys: readonly string[] }
  'not-one-of': { readonly values: readonly string[] }
  malformed: Nothing
  'steel-shape': Nothing
  'foil-shape': Nothing
  'oven-shape': Nothing
  'not-json': Nothing
  'too-long': Nothing
  'unreadable-file': Nothing
  'worker-failed': Nothing
  'file-too-slow': { readonly seconds: number }
  'bad-session': Nothing
  'ids-not-apart': Nothing
  'target-upside-down': Nothing
  'more-than-the-whole': Nothing
  'least-above-most': Nothing
  'chart-not-rising': Nothing
  'usual-outside-window': Nothing
  'most-below-least': Nothing
  'not-a-serial-pattern': Nothing
  'a-step-too-many': { readonly most: number }
  // A quantity or a reading as it was typed.
  empty: { readonly field: QuantityField }
  'not-a-quantity': { readonly text: string; readonly field: QuantityField }
  'several-numbers': { readonly text: string }
  'unknown-unit': { readonly unit: string; readonly field: QuantityField }
  'no-readings': Nothing
  'not-a-number': { readonly text: string; readonly meant: string | null }
  'implausible-hrc': {
    readonly text: string
    readonly minHrc: number
    readonly maxHrc: number
    readonly meantHrc: number | null
  }
  'readings-run-together': { readonly text: string; readonly ways: readonly (readonly number[])[] }
  // A batch and what it was planned for.
  'oven-gone': { readonly ovenName: string }
  'tempering-oven-gone': Nothing
  'grade-gone': { readonly gradeNames: readonly string[] }
  /** The shop has no oil, or one too slow. */
  'needs-oil': { readonly gradeNames: readonly string[]; readonly fast: boolean; readonly hasOil: boolean }
  'mark-taken': { readonly mark: string }
  'too-many-blades': { readonly most: number }
  'too-many-lines': { readonly most: number }
  'nothing-in-load': Nothing
  // Pictures.
  'not-a-picture': { readonly name: string }
  'picture-too-big': { readonly mb: number; readonly mostMb: number }
  // The browser's storage.
  'storage-full': Nothing
  'storage-newer': Nothing
  'storage-refused': Nothing
  'writers-missing': Nothing
  'save-failed': { readonly what: string }
  'run-goes-on': Nothing
  'is-shared': Nothing
  'only-shows': Nothing
  'hot-run-on': { readonly name: string }
  'back-up-not-allowed': { readonly folder: string }
  'back-up-failed': { readonly what: string }
  'back-up-differs': { readonly name: string }
  // Oven and programme.
  'above-oven': { readonly setC: number; readonly ovenMaxC: number }
  'above-foil': { readonly atC: number; readonly foilMaxC: number }
  'too-many-steps': { readonly takes: number; readonly holds: number }
  'unknown-command': { readonly line: string }
  'too-heavy': { readonly kg: number }
  'log-too-short': Nothing
  'log-without-legs': Nothing
  'log-held-to-a-rate': Nothing
  // Foil.
  'too-hot-for-foil': {
    readonly atC: number
    readonly foil: string
    readonly foilMaxC: number
    readonly marginC: number
  }
  clearance: {
    readonly where: 'edge' | 'ends'
    readonly givenMm: number
    readonly steelMm: number
    readonly leastMm: number
  }
  'too-many-sheets': { readonly most: number }
  'sheet-too-wide': {
    readonly lengthMm: number
    readonly widthMm: number
    readonly rollWidthMm: number
    readonly turned: boolean
  }
  'sheet-too-long': { readonly lengthMm: number; readonly widthMm: number; readonly longestMm: number }
  // Plates and tester.
  'plates-cold': Nothing
  'plates-too-hot': Nothing
  'plates-warmer-after': Nothing
  'too-round': { readonly narrowestMm: number }
  'too-much-added': { readonly diameterMm: number; readonly addedHrc: number; readonly mostHrc: number }
  'too-soft-for-round': { readonly softestHrc: number }
  // Files.
  'file-not-json': Nothing
  'file-not-ours': Nothing
  'file-newer': { readonly version: number; readonly known: number }
  'id-twice': Nothing
  'time-impossible': { readonly first: number; readonly last: number }
  'file-broken': { readonly found: readonly Problem[]; readonly more: number }
  'file-empty': Nothing
  'drawing-too-large': { readonly mostMegabytes: number }
  'drawing-too-many-shapes': { readonly most: number }
  'drawing-unreadable': { readonly kind: 'svg' | 'dxf'; readonly empty: boolean }
  'no-outline': Nothing
  'outline-crosses-itself': { readonly xMm: number; readonly yMm: number }
  'log-too-few-rows': Nothing
  'log-no-rows': Nothing
  'log-no-time': Nothing
  'log-no-temperature': Nothing
  'log-nothing-used': { readonly rows: number; readonly skipped: readonly SkippedRows[] }
  'readings-columns': { readonly missing: readonly ('blade' | 'HRC')[]; readonly head: readonly string[] }
  'readings-nothing': { readonly first: Problem | null }
  'row-blade': { readonly blade: string }
  'row-two-blades': { readonly mark: string }
  'row-no-stage': { readonly text: string }
  'row-stage-not-on-route': { readonly mark: string; readonly text: string }
  'code-too-large': { readonly bytes: number; readonly most: number }
  'code-none': Nothing
  'no-camera': Nothing
  'code-foreign': Nothing
  'code-newer': Nothing
  'code-broken': Nothing
  'records-empty': Nothing
  'records-too-large': { readonly mostMegabytes: number }
  'records-too-long': { readonly rows: number; readonly most: number }
  'records-nothing': { readonly first: Problem | null }
  'record-date': { readonly text: string }
  'record-grade': { readonly text: string }
  'record-no-soak': { readonly text: string }
  'record-outside': { readonly field: string; readonly value: number }
  'row-value': { readonly text: string }
  'row-implausible': { readonly hrc: number }
  'survey-reading': { readonly text: string; readonly row: number }
  'survey-outside': { readonly text: string; readonly row: number; readonly atC: number }
  'survey-empty': Nothing
  // A sheet of the maker's own.
  'sheet-no-name': Nothing
  'sheet-name-taken': { readonly name: string }
  'sheet-not-a-number': { readonly text: string }
  'sheet-negative': { readonly element: string }
  'sheet-least-above-most': { readonly element: string }
  'sheet-below-least': { readonly element: string; readonly value: number; readonly least: number }
  'sheet-above-most': { readonly element: string; readonly value: number; readonly most: number }
  'sheet-over-whole': { readonly sum: number }
  'sheet-hardly-iron': { readonly sum: number }
  'sheet-no-carbon': Nothing
  'sheet-carbon-outside': { readonly value: number; readonly least: number; readonly most: number }
  'sheet-outside': SheetOutside
  'sheet-not-a-hardness': { readonly text: string; readonly least: number; readonly most: number }
  'sheet-soak-upside-down': Nothing
  'sheet-usual-outside': Nothing
  'sheet-soak-times-upside-down': Nothing
  'sheet-tempers-upside-down': Nothing
  'sheet-temper-above-soak': Nothing
  'sheet-no-chart-row': Nothing
  'sheet-chart-doubles-back': { readonly row: number; readonly atC: number; readonly beforeC: number }
  'sheet-chart-above-soak': { readonly hottestC: number }
}

/** A typed value of a sheet that lies outside its bounds, in its base unit, and the unit it would fit in. */
export type SheetOutside = {
  readonly dimension: 'temperature' | 'duration'
  readonly value: number
  readonly least: number
  readonly most: number
  readonly other: { readonly text: string; readonly value: number } | null
}

/** How a limit is counted: a plain number, characters of a text, items of a list. */
export type Counted = 'number' | 'characters' | 'items'

/** Quantity of a field, so that examples and units can be named. */
export type QuantityField = 'temperature' | 'length' | 'mass' | 'duration' | 'power' | 'voltage'

export interface SkippedRows {
  readonly why: SkippedWhy
  readonly count: number
}
export type SkippedWhy = 'break' | 'duplicate' | 'backward' | 'unreadable'

export type ProblemCode = keyof ProblemCodes

/** One thing wrong with what was given, and where: a dotted path into the input, '' for the whole of it. */
export type Problem = Said<ProblemCodes> & { readonly path: string }

/** One problem of a known code. */
export const problem = <C extends ProblemCode>(code: C, params: ProblemCodes[C], path = ''): Problem =>
  ({ code, params, path }) as Problem

/** Problems a change brings that were not there before: older ones stay to be mended, and block nothing else. */
export function newProblems(before: readonly Problem[], after: readonly Problem[]): Problem[] {
  const known = new Set(before.map(keyOf))
  return after.filter(one => !known.has(keyOf(one)))
}

const keyOf = ({ code, path, params }: Problem) => JSON.stringify([code, path, params])
