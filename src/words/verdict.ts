import type { AdviceOption, OptionKind } from '../core/advice/option'
import type { Decision } from '../core/shop/batch'
import { holdText, hrcText, percentText, type Speaker } from './speaker'
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

/** Option with what is keyed for it: 'Temper again, 205 °C for 2 h'. */
export const optionText = (option: Pick<AdviceOption, 'kind' | 'missHrc' | 'temper'>, say: Speaker): string =>
  `${optionName(option)}${option.temper ? `, ${say.t(option.temper.atC)} for ${holdText(option.temper.holdMin)}` : ''}`

type Compared = Pick<AdviceOption, 'kind' | 'missHrc' | 'temper'>

/** The last readings with what came first before them and what comes first now. */
export interface VerdictChanged {
  readonly marks: readonly string[]
  readonly hrcs: readonly number[]
  /** Hardness as it was measured before them, HRC. */
  readonly wasHrc: number
  readonly before: Compared
  readonly now: Compared
}

/** Says what the last readings changed; null where the same comes first as before. */
export function verdictChangeWords({ marks, hrcs, wasHrc, before, now }: VerdictChanged, say: Speaker): string | null {
  const [was, is] = [optionText(before, say), optionText(now, say)]
  if (was === is) return null
  return `The readings of ${marks.join(', ')} (${hrcs.map(hrcText).join(', ')}) changed this. Before them it was ${hrcText(wasHrc)} HRC and “${was}” came first.`
}

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
