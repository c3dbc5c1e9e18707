import type { Batch } from '../../core/shop/batch'
import type { RunStep } from '../../core/shop/run'
import { marksOfBlades } from '../../words/lists'

/** Returns the blades that a pull is about, by their marks: the one pulled, and the one that leaves the plates for it. */
export const pullWords = (batch: Batch, { bladeIds, names }: RunStep) => ({
  mark: marksOfBlades(batch, bladeIds),
  previous: names.afterBladeId === undefined ? null : marksOfBlades(batch, [names.afterBladeId]),
})
