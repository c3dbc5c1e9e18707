import { setCount } from '../batch/tray-edit'
import { batchCost } from '../cost/batch-cost'
import type { Batch } from '../shop/batch'
import type { Workshop } from '../shop/workshop'
import type { ShopDay } from './day-batch'
import type { WhyNot } from './limits'
import { planShopDay, type ShopDayAnswer } from './shop-day'

/** Some more blades of a line. */
export interface AddedBlades {
  readonly batchId: string
  readonly lineId: string
  readonly count: number
}

export interface AddedToDay {
  /** When all is done with them, min; null: then it cannot be. */
  readonly finishMin: number | null
  /** How much later that is, min; null where there is no end without them, or none with them. */
  readonly laterMin: number | null
  /** Cost in the shop's currency. */
  readonly cost: number
  readonly why: WhyNot | null
  /** With the blades there are: those only thought of have no mark yet. */
  readonly groups: ShopDayAnswer['groups']
}

const isOn = (batch: Batch, lineId: string) => batch.blades.filter(b => b.lineId === lineId && b.removedAt === null)

function withMore(batch: Batch, { lineId, count }: AddedBlades): Batch {
  let next = 0
  // Names of blades that are only thought of: they leave this question with its answer alone.
  const newId = () => `added-${next++}`
  return setCount(batch, lineId, isOn(batch, lineId).length + count, newId, '')
}

/** A day with some more blades on a line that is not in the oven yet, planned with as much work as the day without them. */
export function addedToDay(day: ShopDay, added: AddedBlades, visits: number): AddedToDay {
  const before = planShopDay(day, visits)
  const batches = day.batches.map(one =>
    one.batch.id === added.batchId ? { ...one, batch: withMore(one.batch, added) } : one,
  )
  const { plan, why, groups } = planShopDay({ ...day, batches }, visits)
  const finishMin = why === null ? (plan?.finishMin ?? null) : null
  const known = new Set(day.batches.flatMap(({ batch }) => batch.blades.map(blade => blade.id)))
  const beforeMin = before.why === null ? (before.plan?.finishMin ?? null) : null
  return {
    finishMin,
    laterMin: finishMin === null || beforeMin === null ? null : finishMin - beforeMin,
    cost:
      batches.reduce((sum, { batch }) => sum + costOf(batch, day.shop), 0) -
      day.batches.reduce((sum, { batch }) => sum + costOf(batch, day.shop), 0),
    why,
    groups: groups.map(group => ({ ...group, bladeIds: group.bladeIds.filter(id => known.has(id)) })),
  }
}

const costOf = (batch: Batch, shop: Workshop): number => batchCost({ batch, shop, attendedMin: null }).total
