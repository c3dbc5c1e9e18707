import { type Problem, problem } from '../codes/problem'
import type { Batch } from '../shop/batch'
import { MOST } from '../shop/bounds'
import { bladesOf, sharedMarks } from './tray'

/**
 * Returns the problems that a schema cannot find: marks borne by two blades, and too many lines or blades. Paths are
 * dotted into the batch.
 */
export function batchProblems(batch: Pick<Batch, 'lines' | 'blades' | 'groups'>): Problem[] {
  const blades = bladesOf(batch)
  const shared = new Set(sharedMarks(batch))
  return [
    ...batch.lines.flatMap((line, i) => {
      const mark = blades.find(blade => blade.line.id === line.id && shared.has(blade.mark))?.mark
      return mark === undefined ? [] : [problem('mark-taken', { mark }, `lines.${i}.mark`)]
    }),
    ...(batch.lines.length > MOST.lines ? [problem('too-many-lines', { most: MOST.lines }, 'lines')] : []),
    ...(blades.length > MOST.bladesInBatch ? [problem('too-many-blades', { most: MOST.bladesInBatch }, 'blades')] : []),
  ]
}
