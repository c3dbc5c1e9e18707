import { HELPER_S } from '../../data/drill'
import { createRandom } from '../numeric/random'
import type { Run } from '../shop/run'
import { happeningsAt } from './drill'
import { runStateAt } from './run-state'

/** The helper at the plates in a practice, and the blade that was handed over last. */
export interface Helper {
  readonly bladeId: string
  /** When the vice is shut on it, s on the run's clock; it has not been while this is to come. */
  readonly shutS: number
  /** Later than a helper should be, s; 0 in time. */
  readonly lateS: number
}

/**
 * Returns the simulated helper's progress with each blade pulled so far, by the seed: a few seconds from oven to vice, and where the practice
 * has a vice that slips, until that. Empty without a helper.
 */
export function helperOf(run: Pick<Run, 'drill' | 'steps' | 'people' | 'events'>, nowS: number): Helper[] {
  const { drill } = run
  const { confirmed, people } = runStateAt(run, nowS)
  if (!drill || people !== 2) return []
  const slips = happeningsAt(run, Number.POSITIVE_INFINITY).filter(one => one.surprise.incident === 'vice-late')
  const random = createRandom(drill.seed + 1)
  return confirmed
    .filter(({ step, atS }) => step.kind === 'pull' && atS <= nowS)
    .map(({ step, atS }) => {
      const [bladeId = ''] = step.bladeIds
      const usualS = HELPER_S.least + random.uniform() * (HELPER_S.most - HELPER_S.least)
      const slip = slips.find(one => one.surprise.bladeId === bladeId)
      const tookS = slip ? Math.max(usualS, slip.atS - atS) + slip.surprise.seconds : usualS
      return { bladeId, shutS: atS + tookS, lateS: Math.max(0, tookS - HELPER_S.most) }
    })
}
