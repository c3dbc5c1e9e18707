import { ok, type Result } from '../codes/result'
import type { Batch } from '../shop/batch'
import type { Workshop } from '../shop/workshop'
import { heatPathOf } from './load-heat'
import { type Load, loadsOf } from './loads'
import { pullPlanOf } from './pull-plan'

/** A load that its oven never brings to its soak is taken to be there after a day: Heat says so. */
const NEVER_MIN = 24 * 60

/** One load in its place on a hot run, min from oven on. */
export interface HotTimes {
  readonly load: Load
  readonly loadedMin: number
  readonly reachedMin: number
  /** When each blade leaves the oven, and when it leaves its plates. */
  readonly pulls: readonly { readonly bladeId: string; readonly pullMin: number; readonly outMin: number }[]
}

/** The loads of a batch one after another through its oven; those without a blade are left out. Errors: as pullPlanOf. */
export function hotTimesOf(
  batch: Batch,
  shop: Pick<Workshop, 'ovens' | 'plates' | 'oil' | 'roomC' | 'units'>,
): Result<HotTimes[]> {
  const loads = loadsOf(batch, shop.units)
  const times: HotTimes[] = []
  let offMin = 0
  for (const [i, load] of loads.entries()) {
    const plan = pullPlanOf(load, shop, batch)
    if (!plan.ok) return plan
    if (load.blades.length === 0) continue
    const path = heatPathOf({ batch, shop }, loads, i)
    const reachedMin = path?.reachedMin ?? offMin + NEVER_MIN
    const pulls = (plan.value?.pulls ?? []).map(({ bladeId, pullAtS, outAtS }) => ({
      bladeId,
      pullMin: reachedMin + pullAtS / 60,
      outMin: reachedMin + outAtS / 60,
    }))
    times.push({ load, loadedMin: path?.loadedMin ?? offMin, reachedMin, pulls })
    offMin = Math.max(reachedMin, ...pulls.map(pull => pull.pullMin))
  }
  return ok(times)
}
