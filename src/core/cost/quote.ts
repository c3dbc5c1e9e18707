import { type CostKind, QUOTE_WORK_SHARE } from '../../data/task-times'
import { stateOf } from '../batch/blade-state'
import type { BatchBlade } from '../batch/tray'
import { rateOf } from '../numeric/rate'
import type { BatchCost } from './batch-cost'

/** Money for an order. */
export interface Quote {
  readonly blades: number
  /** Blades to begin with, so that enough come out good. */
  readonly begin: number
  readonly perBlade: number
  readonly from: number
  readonly to: number
}

/** Of what a batch costs, what is paid once a run however many blades are in it. */
const FIXED: readonly CostKind[] = ['power', 'coolant']

/**
 * An order of n blades like those of a batch, with as many more as the shop loses; the band is what the loss and the hours may come
 * to. `lost` of `tried`: blades of the log that came to nothing.
 */
export function quoteOf(
  cost: BatchCost,
  n: number,
  { lost, tried }: { readonly lost: number; readonly tried: number },
): Quote {
  const rate = rateOf(lost, tried)
  const fixed = FIXED.reduce((sum, kind) => sum + cost.costs[kind], 0)
  const each = cost.begun > 0 ? (cost.total - fixed) / cost.begun : 0
  const eachWork = cost.begun > 0 ? cost.costs.work / cost.begun : 0
  const priced = (lossRate: number, workShare: number) => {
    const begin = Math.ceil(n / Math.max(0.1, 1 - lossRate) - 1e-9)
    const heats = Math.max(1, Math.ceil(begin / Math.max(1, cost.begun)))
    return { begin, perBlade: (fixed * heats + begin * (each + workShare * eachWork)) / Math.max(1, n) }
  }
  const usual = priced(tried > 0 ? rate.share : 0, 0)
  return {
    blades: n,
    begin: usual.begin,
    perBlade: usual.perBlade,
    from: priced(tried > 0 ? rate.from : 0, -QUOTE_WORK_SHARE).perBlade,
    to: priced(tried > 0 ? rate.to : 0, QUOTE_WORK_SHARE).perBlade,
  }
}

/** How many of some blades came to nothing: cracked, scrapped, lost or sent back. */
export function lossOf(blades: readonly BatchBlade[]): { readonly lost: number; readonly tried: number } {
  const nothing = ['cracked', 'scrapped', 'lost', 'sent-back']
  return { lost: blades.filter(blade => nothing.includes(stateOf(blade.record))).length, tried: blades.length }
}
