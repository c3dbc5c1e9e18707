import type { Answer } from '../core/contract/questions'
import type { Rate } from '../core/numeric/rate'
import type { EdgeTest } from '../core/shop/blade'
import type { Corrosion } from '../core/steel/corrosion'
import { EDGE_TEST_UNITS, type EdgeTestKind } from '../data/edge-tests'
import { counted } from './lists'
import { hrcText, percentText, type Speaker } from './speaker'

export const TEST_NAMES: Readonly<Record<EdgeTestKind, string>> = {
  'rope-cuts': 'Strokes through rope',
  'card-cuts': 'Strokes through card',
  'soft-wire': 'Soft wire, chopped',
  bone: 'Bone, chopped',
  hardwood: 'Hardwood, carved and chopped',
  'brass-rod': 'Flex over a brass rod',
  drop: 'Dropped on a hard floor',
  'paper-after': 'Paper, after cutting',
  'salt-water': 'Salt water',
  own: 'A test of your own',
}

export const RESULT_NAMES: Readonly<Record<EdgeTest['result'], string>> = {
  holds: 'holds',
  rolls: 'rolls',
  chips: 'chips',
  clean: 'stays clean',
  stains: 'stains',
  pits: 'pits',
}

export const EDGE_PLACE_NAMES = {
  tip: 'at the tip',
  belly: 'in the belly',
  middle: 'in the middle',
  heel: 'at the heel',
} as const

export const UNIT_NAMES = { strokes: 'strokes', blows: 'blows', flexes: 'flexes', hours: 'hours' } as const

/** Returns the name of a test: of one's own test, its own name. */
export const testName = ({ kind, name }: Pick<EdgeTest, 'kind' | 'name'>): string => name ?? TEST_NAMES[kind]

/** A test in a few words: how much, and what the edge did. */
export function testWords(test: EdgeTest, say: Speaker): string {
  const amount = test.amount === undefined ? '' : `, ${test.amount} ${UNIT_NAMES[EDGE_TEST_UNITS[test.kind]]}`
  const depth = test.depthMm === undefined ? '' : `, ${say.thin(test.depthMm)} deep`
  const where = test.where === undefined ? '' : ` ${EDGE_PLACE_NAMES[test.where]}`
  const ground = [
    ...(test.behindMm === undefined ? [] : [`${say.thin(test.behindMm)} behind the edge`]),
    ...(test.grit === undefined ? [] : [`grit ${test.grit}`]),
  ]
  const how = ground.length > 0 ? ` (${ground.join(', ')})` : ''
  return `${testName(test)}${amount} at ${test.edgeDeg}° a side${how}: ${RESULT_NAMES[test.result]}${where}${depth}`
}

type Belief = Answer<'edge-belief'>

/** Which hardness an edge of an angle holds at in this shop, and how sure that is. */
export function bestWords({ best, tests, priorSdHrc }: Belief, edgeDeg: number): string {
  if (tests === 0)
    return `No edge of this steel was tested yet. Until then ${hrcText(best.hrc)} HRC is only what was aimed at.`
  const range = `${hrcText(best.fromHrc)} to ${hrcText(best.toHrc)} HRC at 90 %`
  const open =
    best.toHrc - best.fromHrc > 2 * priorSdHrc
      ? ' That is still wide: test more edges before you change a recipe for it.'
      : ''
  return `From ${counted(tests, 'result')}: at ${edgeDeg}° a side an edge of this steel holds best near ${hrcText(best.hrc)} HRC (${range}).${open}`
}

/** Says the hardness to aim the next batch at, and why. */
export function nextWords({ next, best }: Belief): string {
  const { holds, rolls, chips } = next.chances
  const off = next.hrc - best.hrc
  const why =
    Math.abs(off) < 0.15
      ? 'That is the best estimate so far.'
      : `Its results tell more than those at ${hrcText(best.hrc)} would: whether edges ${off > 0 ? 'chip' : 'roll'} there already.`
  const gain =
    next.gain < 0.005
      ? 'More tests will hardly change it.'
      : `Four tested edges there should raise the share that holds by about ${percentText(next.gain)}.`
  return `Aim the next batch at ${hrcText(next.hrc)} HRC. Expected of its edges: ${percentText(holds)} hold, ${percentText(rolls)} roll, ${percentText(chips)} chip. ${why} ${gain}`
}

/** Says what salt water did to blades of one route, beside the model's figure for that route. */
export function saltWords(
  results: readonly EdgeTest['result'][],
  { index, chromiumInSolution, stainless, temperPenalty, slowCoolingPenalty }: Corrosion,
): string {
  const clean = results.filter(result => result === 'clean').length
  const lost = 1 - (1 - temperPenalty) * (1 - slowCoolingPenalty)
  const film = stainless
    ? 'enough for a film that protects it'
    : 'too little for a film that protects it: it rusts, whatever else is in it'
  const taken = lost > 0.005 ? ` Tempers and slow cooling take about ${percentText(lost)} of it.` : ''
  return `Salt water: ${clean} of ${counted(results.length, 'blade')} stayed clean. By the model this route leaves ${chromiumInSolution.toFixed(1)} % chromium in solution, ${film}; corrosion index ${index.toFixed(1)}.${taken} The index ranks routes and steels, it gives no hours.`
}

interface Rates {
  readonly holds: Rate
  readonly rolls: Rate
  readonly chips: Rate
}

/** How many edges held, rolled and chipped, each with its interval of 95 %. */
export function rateWords({ holds, rolls, chips }: Rates, of: number): string {
  const part = (name: string, { share, from, to }: Rate) =>
    `${percentText(share)} ${name} (${percentText(from)} to ${percentText(to)})`
  return `Of ${counted(of, 'edge')}: ${part('held', holds)}, ${part('rolled', rolls)}, ${part('chipped', chips)}. In brackets is what ${of < 10 ? 'so few' : 'these'} tell with 95 % confidence.`
}
