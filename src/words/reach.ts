import type { Reach, ReachLimit } from '../core/advice/reach'
import { listOf } from './lists'
import { bandText, hrcText, type Speaker } from './speaker'

/** Says what a steel comes to in this shop against a target. */
export function reachWords(
  { hrc, missHrc, target: { min, max } }: Pick<Reach, 'hrc' | 'missHrc' | 'target'>,
  name: string,
): string {
  const best = `${hrcText(hrc.mean)} ${bandText(hrc.sd)} HRC`
  if (missHrc === 0) return `${name} reaches ${hrcText(min)} to ${hrcText(max)} here: “Suggest a route” gives ${best}.`
  return `The nearest that ${name} comes in this shop is ${best}, ${hrcText(Math.abs(missHrc))} HRC too ${missHrc < 0 ? 'soft' : 'hard'}.`
}

const LIMIT_WORDS: Readonly<Record<ReachLimit['what'], (at: string) => string>> = {
  cold: at => `cold at ${at}`,
  oven: at => `an oven that reaches ${at}`,
  'secondary-peak': at => `tempers near ${at}, over the secondary peak, at a cost in corrosion resistance`,
  austenite: () => 'no austenite left after the quench',
  carbon: () => 'more carbon in solution than this steel holds',
}

/** Says what lifting one limit alone would give. */
export const reachLimitWords = ({ what, gainHrc, toC }: ReachLimit, say: Speaker): string =>
  `${hrcText(gainHrc)} HRC more by ${LIMIT_WORDS[what](toC === null ? '' : say.t(toC))}.`

/** Says all of it, a sentence each. */
export const reachSentences = (reach: Reach, name: string, say: Speaker): string[] =>
  [reachWords(reach, name), ...reach.limits.map(limit => reachLimitWords(limit, say)), othersWords(reach)].filter(
    Boolean,
  )

/** Names the steels that would reach the target here. */
export const othersWords = ({ others, missHrc }: Pick<Reach, 'others' | 'missHrc'>): string =>
  missHrc === 0
    ? ''
    : others.length === 0
      ? 'No other steel of the list reaches it in this shop either.'
      : `These would reach it here: ${listOf(others.map(({ name }) => name))}.`
