import { ROCKWELL } from '../../data/rockwell'
import type { Reading } from '../record/schemas'
import { meanOf } from './mean'

export interface Apart {
  readonly piece: string
  readonly mean: number
}

function medianOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  const half = sorted.length / 2
  return sorted.length % 2 === 1
    ? (sorted[Math.floor(half)] as number)
    : ((sorted[half - 1] as number) + (sorted[half] as number)) / 2
}

/**
 * Parts the readings of one stage into those of blades that belong together and the blades that stand apart (a
 * leaking packet, a cold corner): one odd blade must not decide for the rest. With fewer than three blades none does.
 */
export function partApart(readings: readonly Reading[]): { readonly together: Reading[]; readonly apart: Apart[] } {
  const pieces = [...new Set(readings.map(r => r.piece))]
  const means = pieces.map(piece => ({ piece, mean: meanOf(readings.filter(r => r.piece === piece).map(r => r.hrc)) }))
  const middle = medianOf(means.map(m => m.mean))
  const apart = pieces.length < 3 ? [] : means.filter(m => Math.abs(m.mean - middle) > ROCKWELL.bladeApartHrc)
  const marks = new Set(apart.map(a => a.piece))
  return { together: readings.filter(r => !marks.has(r.piece)), apart }
}
