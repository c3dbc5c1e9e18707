import type { Hardness } from '../core/hardness/hardness'
import type { ReadingSummary } from '../core/rockwell/readings'
import { ROCKWELL } from '../data/rockwell'
import { hrcText, type Speaker, signedText } from './speaker'

/** Says the basis of a hardness, after its figure: “HRC ± 0.8, mean of 3”. */
export const restsOnWords = ({ u95, by, n }: Pick<Hardness, 'u95' | 'by' | 'n'>): string =>
  `HRC ± ${hrcText(u95)}, ${by === 'files' ? 'by files' : n === 1 ? 'one reading' : `mean of ${n}`}`

/** Whether a tester’s check corrected readings, and by how much. */
export function correctionWords({ correctedBy, mean, corrected }: ReadingSummary): string {
  switch (correctedBy) {
    case 'block':
      return `Corrected by ${signedText(corrected - mean)} HRC: what the check on the block shows of the tester.`
    case 'unchecked':
      return 'No check on a test block stood at that time: nothing is corrected, and the range is wider.'
    case 'tester-outside':
      return 'The check on the block is outside the tester’s limits: nothing is corrected, and the range is wider.'
    case 'block-far':
      return 'The test block is too far from these readings: nothing is corrected, and the range is wider.'
  }
}

interface Warning {
  readonly code: 'outlier' | 'thin' | 'unchecked' | 'block'
  readonly message: string
}

/** Returns the cautions about readings of a blade this thick, each with what to do. */
export function measureWarnings(
  { summary, unchecked }: Pick<Hardness, 'summary' | 'unchecked'>,
  thicknessMm: number,
  say: Speaker,
): Warning[] {
  if (!summary) return []
  const { outliers, rules, verification, correctedBy } = summary
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
    correctedBy === 'tester-outside' &&
      verification !== null && {
        code: 'block',
        message: `The tester fails its check on the block (off by ${verification.bias.toFixed(1)}, spread ${verification.repeatability.toFixed(1)}). The readings are kept as they are, not corrected, and their range is wider. Have the tester put right.`,
      },
    correctedBy === 'block-far' && {
      code: 'block',
      message: `The test block is more than ${ROCKWELL.blockWithinHrc} HRC from these readings. It does not correct them, and their range is wider. Check the tester on a block near ${Math.round(summary.mean)} HRC.`,
    },
  ]
  return found.filter(one => one !== false)
}
