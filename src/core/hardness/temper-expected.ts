import type { Grade } from '../../data/grades'
import { type BatchBlade, routeOfBlade } from '../batch/tray'
import type { TemperLoad } from '../load/loads'
import type { Stage } from '../shop/route'
import { predict, type ShopExperience } from '../steel/predict'
import { carriedOn } from './hardness-trace'

/** Expected hardness of the blades of one steel and route after a temper load. */
export interface Expectation {
  readonly groupId: string
  readonly hrc: number
}

/** A grade in a batch with what the shop's readings add to it. */
export interface KnownGroup {
  readonly groupId: string
  readonly grade: Grade
  readonly experience: ShopExperience | null
}

/** Returns the last measured hardness of a blade, or of its steel, before a temper; null if there is none. */
export type LastMeasured = (
  blade: BatchBlade,
  beforeRound: number,
) => { readonly stage: Stage; readonly hrc: number } | null

/**
 * Returns the expected hardness after a temper load, HRC, once for each route and starting point in it: from the measured hardness as the
 * verdict promises it, else as predicted.
 */
export function expectedAfter(
  load: TemperLoad,
  known: readonly KnownGroup[],
  lastMeasured: LastMeasured = () => null,
): Expectation[] {
  const found = new Map<string, Expectation>()
  for (const blade of load.blades) {
    const own = known.find(k => k.groupId === blade.group.id)
    if (!own) continue
    const route = routeOfBlade(blade)
    const from = lastMeasured(blade, load.round)
    const key = `${own.groupId} ${JSON.stringify([route.tempers.slice(0, load.round), from])}`
    if (found.has(key)) continue
    const to: Stage = `temper-${load.round}` as Stage
    const hrc = from
      ? carriedOn(predict(own.grade, route), from, to)
      : predict(own.grade, route, own.experience).hrc.afterTempers[load.round - 1]?.mean
    if (hrc !== undefined) found.set(key, { groupId: own.groupId, hrc })
  }
  return [...found.values()]
}
