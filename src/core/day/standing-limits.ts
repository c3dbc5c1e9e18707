import { COLD_WITHIN_MIN, TEMPER_WITHIN_MIN } from '../../data/delays'
import type { BatchBlade } from '../batch/tray'
import { gradeOf } from '../steel/grades'

/** How long a quenched blade may stand before its first temper, min; of a steel that is gone, as of the most sensitive. */
export const temperWithinMin = ({ group }: Pick<BatchBlade, 'group'>): number =>
  TEMPER_WITHIN_MIN[gradeOf(group)?.family ?? 'low-alloy']

/** How long it may wait for its cold, min: what its route asks for, where that is longer than usual. */
export const coldWithinMin = ({ delayMin }: { readonly delayMin: number }): number =>
  Math.max(COLD_WITHIN_MIN, delayMin)
