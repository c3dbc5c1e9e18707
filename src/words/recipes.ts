import type { VersionOutcome } from '../core/logbook/recipe-versions'
import { counted } from './lists'
import { hrcText } from './speaker'
import { edgesGainWords, outcomeWords } from './trial'

/** Result of a version in a cell of a table: '60.3 HRC, 10 of 12 within target'. */
export const versionShort = ({ meanHrc, inTarget }: VersionOutcome): string =>
  meanHrc === null ? 'not yet' : `${hrcText(meanHrc)} HRC, ${inTarget.count} of ${inTarget.of} within target`

/** Says the outcome of a version, and whether it did what it was for. */
export function versionWords({ blades, batches, meanHrc, inTarget, edges, against }: VersionOutcome): string {
  if (meanHrc === null) return 'No blade was read yet that went by it.'
  const proved = edges.of > 0 ? `, ${edges.count} of ${counted(edges.of, 'edge')} held` : ''
  const came = `${counted(blades, 'blade')} of ${counted(batches, 'batch', 'batches')}: ${hrcText(meanHrc)} HRC on the mean, ${inTarget.count} of ${inTarget.of} within target${proved}.`
  if (!against) return came
  const edge = against.edges ? ` ${edgesGainWords(against.edges)}` : ''
  return `${came} Against version ${against.number}: ${outcomeWords(against.hardness, 'version')}${edge}`
}
