import { TEMPER_WITHIN_MIN } from '../../data/delays'
import type { BatchBlade } from '../batch/tray'
import { gradeOf } from '../steel/grades'

/** How long a quenched blade may stand before its first temper, min; of a steel that is gone, as of the most sensitive. */
export const temperWithinMin = ({ group }: Pick<BatchBlade, 'group'>): number =>
  TEMPER_WITHIN_MIN[gradeOf(group)?.family ?? 'low-alloy']
