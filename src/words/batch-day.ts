import type { PlacedTemper, Standing } from '../core/run-plan/batch-day'
import type { Speaker } from './speaker'

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
