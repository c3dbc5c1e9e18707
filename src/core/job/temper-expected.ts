import type { Grade } from '../../data/grades'
import { predict, type ShopExperience } from '../steel/predict'
import type { TemperLoad } from './loads'
import { routeOfBlade } from './tray'

/** What the blades of one steel, on one route, should read after a temper load. */
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

/** What a temper load should read afterwards, HRC, once for each route in it: a blade may have had tempers of its own. */
export function expectedAfter(load: TemperLoad, known: readonly KnownGroup[]): Expectation[] {
  const found = new Map<string, Expectation>()
  for (const blade of load.blades) {
    const own = known.find(k => k.groupId === blade.group.id)
    if (!own) continue
    const route = routeOfBlade(blade)
    const key = `${own.groupId} ${JSON.stringify(route.tempers.slice(0, load.round))}`
    const after = found.has(key) ? null : predict(own.grade, route, own.experience).hrc.afterTempers[load.round - 1]
    if (after) found.set(key, { groupId: own.groupId, hrc: after.mean })
  }
  return [...found.values()]
}
