import type { WhyNot, WhyNotCode } from '../core/day/limits'
import { counted, listOf } from './lists'
import type { Speaker } from './speaker'

const packets = (n: number): string => counted(n, 'packet')

/** Which limit makes a day impossible, and what would mend it. */
const WHY_NOT: Readonly<Record<WhyNotCode, (amount: number, who: string, say: Speaker) => string>> = {
  'no-hours': () => 'There are no working hours. Set when you work.',
  'no-groups': () => 'There is nothing to plan.',
  'windows-apart': (_, who) => `${who} need different temperatures and cannot share a load. Plan them apart.`,
  'oven-too-small': (n, who) =>
    `${who}: the oven holds ${packets(n)}. Split the blades into two batches, or use a larger oven.`,
  'soak-too-long': (n, who, say) =>
    `${who}: the last blade would soak ${say.minutes(n)} past what its steel should. Fewer blades in a load, a helper or a second set of plates mends it.`,
  'too-hot': (c, who, say) => `${who}: this oven does not reach ${say.t(c)}.`,
  'no-plan-for-load': (_, who) => `${who} cannot be planned as they stand. Their own benches say why.`,
  'temper-oven-too-small': (n, who) =>
    `${who}: the tempering oven holds ${packets(n)}. Split the blades into two batches.`,
  'no-cold-box': (_, who) => `${who} go into the cold, but the workshop has none.`,
  'cold-box-too-small': (n, who) => `${who}: the cold box holds ${packets(n)}. Split the blades into two batches.`,
  'temper-too-hot': (c, who, say) => `${who}: the tempering oven does not reach ${say.t(c)}.`,
  'cold-delay': (n, who, say) =>
    `${who} would come into the cold later than the ${say.minutes(n)} they may wait. Longer hours, or an earlier start, mend it.`,
  'cold-hold': (n, who, say) =>
    `${who} would stay in the cold longer than ${say.minutes(n)}. Working hours closer together mend it.`,
  'to-temper': (n, who, say) =>
    `${who} would stand longer than the ${say.minutes(n)} their steel may before its first temper. A tempering oven, or longer hours, mend it.`,
  overrun: (n, who, say) =>
    `${who} would stay in a temper more than ${say.minutes(n)} too long. Working hours closer together mend it.`,
  'start-set': (_, who) => `${who} cannot start at the time set. Let the start go, or move what is before it.`,
  deadline: (_, who) => `${who} cannot be done by the time set. Set a later one, or plan less before it.`,
  'hours-too-short': (_, who) => `The working hours do not suffice for ${who}. Add hours, or plan less.`,
  'none-found': (_, who) => `No plan was found for ${who}. Plan less at once, or add hours.`,
}

/** Why a day cannot be. `nameOf`: what a group is called. */
export const whyNotWords = (
  { code, groups, amount }: WhyNot,
  say: Speaker,
  nameOf = (id: string): string => id,
): string => WHY_NOT[code](amount, listOf([...new Set(groups.map(nameOf))]), say)
