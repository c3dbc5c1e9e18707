import type { Finding, FindingCodes } from '../core/load/inspect'
import { hrcText, type Speaker } from './speaker'

type Words<C extends keyof FindingCodes> = (params: FindingCodes[C], say: Speaker) => string

const soft = (found: string, dueHrc: number) =>
  `${found} but ${hrcText(dueHrc)} HRC was expected: soft skin, too short a soak, a slow quench or another steel. Find the cause before the temper.`

/** Says a finding on a blade when its foil came off, with its consequence. */
export const FINDING_WORDS: { readonly [C in keyof FindingCodes]: Words<C> } = {
  crack: () =>
    'A crack does not heal: do not chill or temper it further for use. Mark it, keep it apart, and look at the edges and corners of the other blades.',
  flaking: () =>
    'Dark scale that flakes: its packet leaked, and the skin has lost carbon. Grind a spot clean and read the hardness there before it goes on.',
  grey: () => 'An even dull grey comes from the little air in the packet. It comes off when you finish the blade.',
  'bow-within': (p, say) => `${say.length(p.bowMm)} of bow is within ${say.length(p.limitMm)} for its length.`,
  'bow-over': (p, say) => {
    const where = p.bentAt === 'twist' ? 'twisted' : p.bentAt ? `bent at the ${p.bentAt}` : 'bent'
    const then = p.grindable
      ? `it can be ground out of ${say.length(p.thicknessMm)}, or set while warm or at the first temper.`
      : 'set it while warm, or clamped at the first temper. Cold and untempered it snaps.'
    return `${say.length(p.bowMm)}, ${where}, over ${say.length(p.limitMm)}: ${then}`
  },
  'files-disagree': p =>
    `A ${p.skates} HRC file cannot slide off where one of ${p.bites} HRC cuts. Try them again on a clean spot.`,
  'soft-reading': p => soft(`It reads ${p.hrc} HRC,`, p.dueHrc),
  'soft-file': p => soft(`A ${p.bites} HRC file cuts it,`, p.dueHrc),
  'as-due': (p, say) => `${p.hrc} HRC is what was expected, ${hrcText(p.dueHrc)} ${say.band(p.dueSd)}.`,
  'file-skates': p => `A ${p.skates} HRC file slides off: it hardened.`,
}

const spoken = <C extends keyof FindingCodes>(
  { code, params }: { readonly code: C; readonly params: FindingCodes[C] },
  say: Speaker,
): string => FINDING_WORDS[code](params, say)

export const findingWords = (finding: Finding, say: Speaker): string => spoken(finding, say)
