import type { OptionKind } from '../core/advice/option'
import type { Decision } from '../core/shop/batch'
import { hrcText, percentText, type Speaker } from './speaker'
import { stageName } from './stages'

/** Name of each option after a reading, on buttons and in the log. */
export const OPTION_NAMES: Readonly<Record<OptionKind, string>> = {
  accept: 'Accept',
  temper: 'Temper again',
  cold: 'Cold again',
  'anneal-and-reharden': 'Anneal and re-harden',
  scrap: 'Scrap',
}

/** Name of an option as it stands in a list: what is kept although it misses is not accepted as good. */
export const optionName = ({ kind, missHrc }: { readonly kind: OptionKind; readonly missHrc: number }): string =>
  kind === 'accept' && missHrc !== 0 ? 'Keep it as it is' : OPTION_NAMES[kind]

/** Text of the button of an option. */
export const TAKE_WORDS: Readonly<Record<OptionKind, string>> = {
  accept: 'Accept these blades',
  temper: 'Add this temper',
  cold: 'Add this cold and temper',
  'anneal-and-reharden': 'Choose re-hardening',
  scrap: 'Choose scrap',
}

/** A decision of the log: what was decided, and what it rested on. */
export function decisionWords(decision: Decision, say: Speaker): { what: string; why: string } {
  if (decision.by === 'words') return { what: `${decision.what}.`, why: decision.why }
  const { kind, temper, cold, from, target, toHrc, inTargetProbability, note } = decision
  const steps = [
    OPTION_NAMES[kind],
    ...(cold && kind === 'cold' ? [`${say.t(cold.toC)}`] : []),
    ...(temper ? [`temper ${say.minutes(temper.holdMin)} at ${say.t(temper.atC)}`] : []),
  ]
  return {
    what: `${steps.join(', ')}.`,
    why: [
      `Measured ${hrcText(from.hrc)} ± ${hrcText(from.u95)} HRC ${stageName(from.stage)}; the target was ${hrcText(target.min)} to ${hrcText(target.max)}.`,
      kind === 'scrap'
        ? ''
        : `Expected: ${hrcText(toHrc)} HRC, chance that it is within target ${percentText(inTargetProbability)}.`,
      note,
    ]
      .filter(sentence => sentence !== '')
      .join(' '),
  }
}
