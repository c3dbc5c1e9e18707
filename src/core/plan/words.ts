import type { Batch } from '../record/schemas'
import { bladesOf, countOf } from './tray'

/**
 * Marks in as few words as can be: runs of a letter are drawn together.
 * @example foilMarkLine(['A1', 'A2', 'A3', 'B1']) // 'A1 to A3, B1'
 */
export function foilMarkLine(marks: readonly string[]): string {
  const parts: { stem: string; from: number; to: number; text: string }[] = []
  for (const mark of marks) {
    const match = /^(.*?)(\d+)$/.exec(mark)
    const stem = match?.[1] ?? mark
    const number = match ? Number(match[2]) : Number.NaN
    const last = parts[parts.length - 1]
    if (last && last.stem === stem && number === last.to + 1) last.to = number
    else parts.push({ stem, from: number, to: number, text: mark })
  }
  return parts
    .map(p => (Number.isNaN(p.from) || p.from === p.to ? p.text : `${p.stem}${p.from} to ${p.stem}${p.to}`))
    .join(', ')
}

/** '9 × X65Cr13, 2 × X105CrMo17' */
export const bladesSay = (batch: Pick<Batch, 'blades' | 'groups'>): string =>
  batch.groups.map(g => `${countOf(bladesOf(batch, g.id))} × ${g.gradeName}`).join(', ')
