import { COST_KINDS, type CostKind, WORK_TASKS, type WorkTask } from '../../data/task-times'
import type { Batch } from '../shop/batch'
import type { Workshop } from '../shop/workshop'
import { type BatchCost, batchCost } from './batch-cost'

/** Cost of a year's batches. */
export interface YearCost {
  /** In the order they came in. */
  readonly batches: readonly ({
    readonly batchId: string
    readonly name: string
    readonly at: string
  } & Pick<BatchCost, 'total' | 'perGood' | 'begun' | 'good'>)[]
  readonly costs: Readonly<Record<CostKind, number>>
  readonly hours: Readonly<Record<WorkTask, number>>
  readonly total: number
  readonly begun: number
  readonly good: number
  /** Money per good blade, with its share of what was lost. */
  readonly perGood: number
}

/** Costs of batches added up. `attendedMin`: minutes of hands that the runs of each took; none where it was not run. */
export function yearCost(
  batches: readonly Batch[],
  shop: Workshop,
  attendedMin: Readonly<Record<string, number>>,
): YearCost {
  const each = batches
    .filter(batch => batch.lines.length > 0)
    .map(batch => ({
      batch,
      cost: batchCost({ batch, shop, attendedMin: attendedMin[batch.id] ?? null }),
    }))
  const sum = (of: (cost: BatchCost) => number) => each.reduce((total, { cost }) => total + of(cost), 0)
  const sums = <K extends string>(keys: readonly K[], of: (cost: BatchCost) => Readonly<Record<K, number>>) =>
    Object.fromEntries(keys.map(key => [key, sum(cost => of(cost)[key])])) as Record<K, number>
  const [total, good] = [sum(cost => cost.total), sum(cost => cost.good)]
  return {
    batches: each.map(({ batch, cost: { total, perGood, begun, good } }) => ({
      batchId: batch.id,
      name: batch.name,
      at: batch.createdAt,
      total,
      perGood,
      begun,
      good,
    })),
    costs: sums(COST_KINDS, cost => cost.costs),
    hours: sums(WORK_TASKS, cost => cost.hours),
    total,
    begun: sum(cost => cost.begun),
    good,
    perGood: good > 0 ? total / good : 0,
  }
}
