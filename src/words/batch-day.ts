import type { SharedTempers, TemperChange } from '../core/bench/shared-tempers'
import type { PlacedTemper, Standing } from '../core/run-plan/batch-day'
import { hoursText } from './clock-text'
import { hrcText, percentText, type Speaker } from './speaker'

const whole = (minutes: number, say: Speaker) => say.minutes(Math.round(minutes))

/** A short first temper that keeps a blade from cracking while it waits. Common practice, no published source. */
const SNAP_TEMPER = { atC: 150, holdMin: 60 }

/**
 * Says how long the blades of a steel stand before their first temper, and what to do where that is too long. `ownOven`: whether the shop
 * tempers in another oven than it hardens in.
 */
export function standingWords(
  { standsMin, limitMin }: Standing,
  gradeName: string,
  say: Speaker,
  ownOven: boolean,
): string {
  const stands = `${gradeName} stands ${whole(standsMin, say)} between the quench and its first temper; ${whole(limitMin, say)} is the most`
  return standsMin <= limitMin
    ? `${stands}.`
    : `${stands}. It may crack meanwhile. Give it a snap temper first (${say.t(SNAP_TEMPER.atC)} for ${say.minutes(SNAP_TEMPER.holdMin)}), ${ownOven ? '' : 'temper it in an oven of its own, '}or harden fewer loads in one day.`
}

export const standsTooLong = ({ standsMin, limitMin }: Standing): boolean => standsMin > limitMin

/** Says what a temper load waits for before it goes in. */
export function temperWaitWords(
  { coolingMin, fallingMin }: Pick<PlacedTemper, 'coolingMin' | 'fallingMin'>,
  say: Speaker,
): string {
  if (Math.round(fallingMin) > 0 && fallingMin >= coolingMin)
    return `after ${whole(fallingMin, say)}: the oven cools down`
  if (Math.round(coolingMin) > 0) return `after ${whole(coolingMin, say)}: the blades cool`
  return 'straight away'
}

/** Names a plan of tempers: how far it may move them. */
export const withinWords = ({ withinK, changes }: SharedTempers, say: Speaker): string =>
  changes.length === 0 ? 'As planned' : withinK === 0 ? 'No temperature changed' : `Changed by up to ${say.d(withinK)}`

/** Says what a shared temper does to a steel: '238 to 243 °C, 58.9 to 58.6 HRC, chance in target 71 to 66 %'. */
export function temperChangeWords(
  { gradeName, fromC, toC, holdMin, fromHrc, hrc, fromChance, chance }: TemperChange,
  say: Speaker,
): string {
  const to = fromC === toC ? `${say.t(toC)}, held ${say.minutes(holdMin)}` : `${say.bare(fromC)} to ${say.t(toC)}`
  const chances =
    fromChance === null || chance === null
      ? ''
      : `, chance in target ${percentText(fromChance)} to ${percentText(chance)}`
  return `${gradeName}: ${to}, ${hrcText(fromHrc)} to ${hrcText(hrc)} HRC${chances}`
}

/** Says what the shortest of some plans would save; null where none is shorter. */
export function savingWords(plans: readonly SharedTempers[], say: Speaker): string | null {
  const [planned, shortest] = [plans[0], plans.at(-1)]
  if (!planned || !shortest || shortest === planned) return null
  const moved = shortest.withinK === 0 ? '' : `, tempers changed by up to ${say.d(shortest.withinK)}`
  const chances = shortest.changes.flatMap(({ chance }) => chance ?? [])
  const least = chances.length > 0 ? `; chance in target at least ${percentText(Math.min(...chances))}` : ''
  return `${hoursText(planned.totalMin - shortest.totalMin)} h sooner in ${shortest.loads} loads${moved}${least}`
}

/** Says that nothing is to be won by sharing; `withinK`: how far a temper would have been moved. */
export const nothingSharedWords = (withinK: number, say: Speaker): string =>
  `No plan is shorter: no steels of this batch that are tempered apart would share a load within ${say.d(withinK)}.`
