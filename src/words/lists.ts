import { standing } from '../core/batch/blade-state'
import { bladesOf } from '../core/batch/tray'
import type { Batch, BatchGroup } from '../core/shop/batch'
import { statesCounted } from './blade-state'

/**
 * Things in a row as one says them.
 * @example listOf(['a', 'b', 'c']) // 'a, b and c'
 */
export const listOf = (items: readonly string[]): string =>
  items.length < 2 ? items.join('') : `${items.slice(0, -1).join(', ')} and ${items.at(-1)}`

/**
 * A number with its noun, singular or plural.
 * @example counted(1, 'blade') // '1 blade'
 */
export const counted = (n: number, noun: string, plural = `${noun}s`): string =>
  `${grouped(n)} ${n === 1 ? noun : plural}`

/**
 * A whole number, its thousands set apart from ten thousand on.
 * @example grouped(101509) // '101,509'
 */
export const grouped = (n: number): string => (n < 10_000 ? String(n) : String(n).replace(/\B(?=(\d{3})+$)/g, ','))

/**
 * Marks in as few words as can be: three or more in a row of a letter are drawn together.
 * @example marksOf(['A1', 'A2', 'A4', 'A5', 'A6', 'B']) // 'A1, A2, A4 to A6 and B'
 */
export function marksOf(marks: readonly string[]): string {
  const runs: { stem: string; from: number; to: number; marks: string[] }[] = []
  for (const mark of marks) {
    const match = /^(.*?)(\d+)$/.exec(mark)
    const number = match ? Number(match[2]) : Number.NaN
    const stem = match?.[1] ?? mark
    const last = runs.at(-1)
    if (last && last.stem === stem && number === last.to + 1) {
      last.to = number
      last.marks.push(mark)
    } else runs.push({ stem, from: number, to: number, marks: [mark] })
  }
  return listOf(runs.flatMap(run => (run.marks.length < 3 ? run.marks : [`${run.marks[0]} to ${run.marks.at(-1)}`])))
}

/** Marks of some blades of a batch, by their ids; one that is no longer on the tray keeps its serial. */
export function marksOfBlades(batch: Pick<Batch, 'lines' | 'blades' | 'groups'>, ids: readonly string[]): string {
  const known = new Map(bladesOf(batch).map(blade => [blade.id, blade.mark]))
  const serials = new Map(batch.blades.map(blade => [blade.id, blade.serial]))
  return marksOf(ids.map(id => known.get(id) ?? serials.get(id) ?? '?'))
}

/** '8 × X65Cr13 (1 cracked)': the blades of a steel that stand, and what became of others. */
export function bladesOfSteelWords(
  batch: Pick<Batch, 'lines' | 'blades' | 'groups'>,
  { id, gradeName }: Pick<BatchGroup, 'id' | 'gradeName'>,
): string {
  const blades = bladesOf(batch, id)
  const other = statesCounted(blades)
  return `${standing(blades).length} × ${gradeName}${other === '' ? '' : ` (${other})`}`
}

/** '9 × X65Cr13, 2 × X105CrMo17' */
export const bladesBySteel = (batch: Pick<Batch, 'lines' | 'blades' | 'groups'>): string =>
  batch.groups.map(group => bladesOfSteelWords(batch, group)).join(', ')
