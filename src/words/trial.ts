import type { Trial } from '../core/batch/trial'
import type { MeanDifference } from '../core/numeric/two-means'
import type { RouteChange } from '../core/steel/compare-routes'
import { counted } from './lists'
import { hrcText, percentText, type Speaker, signedText } from './speaker'
import { routeChangeWords } from './steels'

/** Says what a trial changes, in a line. */
export const trialWords = ({ changes, control }: Trial, say: Speaker): string =>
  changes.length === 0
    ? `Both halves of ${control.gradeName} have the same route: change one thing of one of them.`
    : `Tried beside the usual ${control.gradeName}: ${routeChangeWords(changes, say)}.`

/** Why two things are not changed at once. */
export const twoThingsWords = (changes: readonly RouteChange[], say: Speaker): string =>
  `This changes more than one thing: ${routeChangeWords(changes, say)}. If the halves then differ, nobody can tell which of them did it. Change one; the other is the next trial.`

/** How blades are put into the halves. */
export const lotWords = (halves: number): string =>
  `Half of each line of the tray, ${counted(halves, 'blade')} in all, is chosen at random and gets the change. One of each two neighbours: size, bar and place in the oven are then alike in both halves. The drawn ones get a mark with an X: scribe it before you wrap them.`

/** Says the minimum detectable difference of so few blades, and how many would show the expected one. */
export function powerWords({
  each,
  shownHrc,
  expectedHrc,
  needed,
}: {
  readonly each: number
  readonly shownHrc: number
  readonly expectedHrc: number
  readonly needed: number
}): string {
  const can = Number.isFinite(shownHrc)
    ? `${counted(each, 'blade')} in each half show a difference of ${hrcText(shownHrc)} HRC or more, four times in five.`
    : 'One blade in a half shows nothing: put more on the tray.'
  const expects = `The model expects ${signedText(expectedHrc)} HRC.`
  return needed > each
    ? `${can} ${expects} ${needed > 200 ? 'So small a difference is not worth the blades.' : `That takes ${needed} in each half.`}`
    : `${can} ${expects} That is enough.`
}

/** Says the outcome of the halves of a trial, or of two versions of a recipe. */
export function outcomeWords(found: MeanDifference | null, of: 'half' | 'version' = 'half'): string {
  if (!found) return `Read at least two blades of each ${of} at the same stage first.`
  const { difference, from, to } = found
  const band = `${signedText(from)} to ${signedText(to)} HRC at 95 %`
  return from > 0 || to < 0
    ? `The change makes ${signedText(difference)} HRC (${band}).`
    : `Not shown yet: ${signedText(difference)} HRC, but anything in ${band} would fit. More blades would tell.`
}

const signedPercent = (share: number): string => `${share < 0 ? '−' : '+'}${percentText(Math.abs(share))}`

/** Says the edge results of the halves. */
export function edgesWords(
  first: { readonly count: number; readonly of: number },
  second: { readonly count: number; readonly of: number },
  gain: Omit<MeanDifference, 'p'>,
): string {
  return `Edges that held: ${first.count} of ${first.of} as usual, ${second.count} of ${second.of} with the change. ${edgesGainWords(gain)}`
}

/** How many more edges hold than before. */
export function edgesGainWords({ difference, from, to }: Omit<MeanDifference, 'p'>): string {
  const sure = from > 0 || to < 0 ? '' : ' Not shown yet: it may be chance.'
  return `Of the edges ${signedPercent(difference)} hold (${signedPercent(from)} to ${signedPercent(to)} at 95 %).${sure}`
}
