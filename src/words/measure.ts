import type { Hardness } from '../core/job/hardness'
import { hrcText, type Speaker } from './speaker'

/** What a hardness rests on, after its figure: “HRC ± 0.8, mean of 3”. */
export const restsOnWords = ({ u95, by, n }: Pick<Hardness, 'u95' | 'by' | 'n'>): string =>
  `HRC ± ${hrcText(u95)}, ${by === 'files' ? 'by files' : n === 1 ? 'one reading' : `mean of ${n}`}`

interface Warning {
  readonly code: 'outlier' | 'thin' | 'unchecked' | 'block'
  readonly message: string
}

/** What is doubtful about the readings of a blade so thick, each with what to do. */
export function measureWarnings(
  { summary, unchecked }: Pick<Hardness, 'summary' | 'unchecked'>,
  thicknessMm: number,
  say: Speaker,
): Warning[] {
  if (!summary) return []
  const { outliers, rules, verification } = summary
  const found: (Warning | false)[] = [
    outliers.length > 0 && {
      code: 'outlier',
      message: `${outliers.map(hrcText).join(', ')} is far from the other readings (Grubbs test, 5 %). Look for dirt, a bad seat or a sloping face, and read again.`,
    },
    thicknessMm < rules.minimumThicknessMm && {
      code: 'thin',
      message: `Too thin here for Rockwell C. It needs at least ${say.thin(rules.minimumThicknessMm)}.`,
    },
    unchecked && {
      code: 'unchecked',
      message:
        'Taken without a test block check on that day. The readings are kept and marked. Check the tester in the Workshop.',
    },
    verification !== null &&
      !verification.ok && {
        code: 'block',
        message: `The tester fails its block check (off by ${verification.bias.toFixed(1)}, spread ${verification.repeatability.toFixed(1)}): the readings are kept, but do not trust them.`,
      },
  ]
  return found.filter(one => one !== false)
}
