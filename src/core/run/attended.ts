import type { Run } from '../shop/run'
import { runStateAt } from './run-state'

/** Presses no further apart than this had the same hands at it in between, s; a press by itself takes so long. Common practice, no published source. */
const AT_IT_S = 600
const ONE_PRESS_S = 120

/** Minutes of hands that a run took: from press to press where they followed one another, and a while for each that stood alone. */
export function attendedMin(run: Run): number {
  const { confirmed } = runStateAt(run, 0)
  const seconds = confirmed.reduce((sum, { atS }, i) => {
    const before = confirmed[i - 1]
    const apart = before ? atS - before.atS : Number.POSITIVE_INFINITY
    return sum + (apart <= AT_IT_S ? apart : ONE_PRESS_S)
  }, 0)
  return (seconds * (run.people ?? 1)) / 60
}

/** Minutes of hands by batch: a run of several batches counts for each in equal parts. */
export function attendedMinByBatch(runs: readonly Run[]): Record<string, number> {
  const minutes: Record<string, number> = {}
  for (const run of runs)
    for (const id of run.batchIds) minutes[id] = (minutes[id] ?? 0) + attendedMin(run) / run.batchIds.length
  return minutes
}
