import { annealHours } from '../core/batch/re-harden'
import type { Workshop } from '../core/shop/workshop'
import type { AnnealCycle } from '../data/grades'
import { VERDICT_COSTS } from '../data/verdict-costs'
import { listOf } from './lists'
import { hrcText, type Speaker } from './speaker'

/** An anneal as it is keyed and done, what it takes of the oven, and what the whole re-hardening costs. */
export function annealWords(anneal: AnnealCycle, { prices }: Pick<Workshop, 'prices'>, say: Speaker): string {
  const { attendedH, kWh } = VERDICT_COSTS['anneal-and-reharden']
  const cost = prices
    ? ` With the hardening after it about ${say.roundMoney(attendedH * prices.hour + kWh * (prices.kWh ?? 0))} of time and power.`
    : ''
  return `In foil, climb at most ${say.perHour(300)} to ${say.keyed(anneal.atC)}, hold ${say.minutes(anneal.holdMin)}, then ${say.perHour(anneal.coolCPerH)} down to ${say.keyed(anneal.downToC)}, then oven off with its door shut. The oven is taken for ${Math.round(annealHours(anneal))} h and the climb.${cost}`
}

/** Why blades should not be hardened a third time. */
export const hardenedAgainWords = (marks: readonly string[]): string =>
  `${listOf(marks)}: this would be the third hardening or more. Each heat takes carbon from another skin and lets the grain grow; a new blade is usually cheaper and better.`

/** Question before blades are sent back. */
export const sendBackWords = (count: number): string =>
  count === 0
    ? 'Tick the blades that are to be hardened again.'
    : 'They leave this batch as sent back, and stand in a batch of their own with the best route that can still be reached. What was read here stays here.'

/** Says what was read of one blade, beside its mark. */
export const measuredWords = (hrc: number | undefined): string =>
  hrc === undefined ? 'not read' : `${hrcText(hrc)} HRC`
