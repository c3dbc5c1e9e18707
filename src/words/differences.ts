import type { LogDifference } from '../core/joining/join-logs'
import { stepsOf } from '../core/joining/parts'
import type { Speaker } from './speaker'
import { hrcText } from './speaker'

/** Parts of a record that are not called what their field is. */
const PART_NAMES: Readonly<Record<string, string>> = {
  atC: 'temperature',
  austenitizeC: 'austenitize temperature',
  bladeIds: 'blades',
  cold: 'cold treatment',
  deletedAt: 'deleted',
  doneBy: 'done by',
  finished: 'finishing task',
  gradeId: 'steel',
  leftMm: 'foil left on the roll',
  lot: 'lot or bar',
  outAt: 'out of the oven',
  ovenId: 'oven',
  recipeId: 'recipe',
  sheet: 'sheet of the steel',
  soakMin: 'soak time',
  symptom: 'symptom of the edge',
  why: 'reason',
}

/** Units at the end of a field's name, with how a value in them is said. */
const UNITS: readonly [end: RegExp, say: (value: number, say: Speaker) => string][] = [
  [/Mm$/, (mm, say) => say.length(mm)],
  [/Min$/, (min, say) => say.minutes(min)],
  [/Hrc$|^hrc$/, hrc => `${hrcText(hrc)} HRC`],
  [/C$/, (c, say) => say.t(c)],
]

/** Field names that say a value and not a part: the one before them names the part. */
const SAYS_NO_PART = new Set(['is'])

/** Returns the field that a path ends at. */
const fieldOf = (path: string): string => stepsOf(path).findLast(step => !SAYS_NO_PART.has(step)) ?? ''

/** Names the part of a record that a path leads to: 'name', 'tempers', 'length'. */
export function partWords(path: string): string {
  const steps = stepsOf(path).filter(step => !SAYS_NO_PART.has(step))
  const field = steps.at(-1) ?? ''
  const named = PART_NAMES[field] ?? (/^[a-zA-Z]+$/.test(field) ? spaced(field) : spaced(steps.at(-2) ?? 'all of it'))
  return named
}

/** 'plateThicknessMm' as 'plate thickness'. */
const spaced = (field: string): string =>
  field
    .replace(/(Mm|Min|Hrc|C|K)$/, '')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase()

/** Says the value of a part as it stood on one screen. */
export function valueWords(path: string, value: unknown, say: Speaker): string {
  const field = fieldOf(path)
  if (value === undefined || value === null || value === '') return field === 'deletedAt' ? 'not deleted' : 'nothing'
  if (field === 'deletedAt') return 'deleted'
  if (typeof value === 'boolean') return value ? 'yes' : 'no'
  if (typeof value === 'string') return `“${value}”`
  if (typeof value === 'number') return UNITS.find(([end]) => end.test(field))?.[1](value, say) ?? String(value)
  if (Array.isArray(value)) return value.length === 0 ? 'none' : value.map(one => valueWords('', one, say)).join(', ')
  if (typeof value !== 'object') return ''
  if ('atC' in value && 'holdMin' in value)
    return `${say.t(Number(value.atC))} for ${say.minutes(Number(value.holdMin))}`
  const parts = Object.entries(value)
  if ('is' in value) return valueWords(path, value.is, say)
  if (field === 'target')
    return parts
      .map(([, part]) => String(part))
      .join(' to ')
      .concat(' HRC')
  return parts.map(([name, part]) => `${partWords(name)} ${valueWords(name, part, say)}`).join(' ')
}

/** Names the record, and the steel, line or oven in it: the workshop’s settings have no name of their own. */
export function recordWords({ table, name, entry }: Pick<LogDifference, 'table' | 'name' | 'entry'>): string {
  const record =
    table === 'shop'
      ? 'Workshop'
      : table === 'readings'
        ? `A reading of ${name}`
        : table === 'pictures'
          ? `A picture of ${name}`
          : name
  return entry === null ? record : `${record}, ${entry}`
}

/** Says which of the two values was taken, and which was not: the later one of them. */
export const differenceWords = (
  one: LogDifference,
  say: Speaker,
): { readonly kept: string; readonly other: string } => {
  const [kept, other] = one.taken === 'here' ? [one.here, one.there] : [one.there, one.here]
  return { kept: valueWords(one.path, kept, say), other: valueWords(one.path, other, say) }
}
