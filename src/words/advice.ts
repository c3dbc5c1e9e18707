import type { AdviceOption } from '../core/advice/option'
import type { Toughness } from '../core/advice/option-cost'
import type { FirstReason } from '../core/advice/order'
import type { Leak } from '../core/load/packets'
import type { CauseName } from '../data/causes'
import { leakWords } from './packets'
import { hrcText, percentText, type Speaker } from './speaker'
import { stageName } from './stages'
import { OPTION_NAMES, optionName } from './verdict'

export const TOUGHNESS_WORDS: Readonly<Record<Toughness, string>> = {
  tougher: 'tougher',
  'softer-hardly-tougher': 'softer but hardly tougher',
  'less-tough': 'less tough',
  'as-tough': 'toughness unchanged',
}

/** How far an expected hardness misses the target; empty within it. */
const missWords = (missHrc: number) =>
  Math.abs(missHrc) < HARDLY_HRC
    ? ''
    : ` It misses the target by ${hrcText(Math.abs(missHrc))} HRC: too ${missHrc < 0 ? 'soft' : 'hard'}.`

const range = ({ min, max }: { min: number; max: number }) => `${hrcText(min)} to ${hrcText(max)}`

/** Why an option is offered: what it rests on, and what it does. */
export function whyWords(
  { kind, why, temper, missHrc }: Pick<AdviceOption, 'kind' | 'why' | 'temper' | 'missHrc'>,
  say: Speaker,
): string {
  const { measured, wanted, changeHrc } = why
  const rests = `${measured.by === 'files' ? 'File tests and prediction give' : 'Measured'} ${hrcText(measured.mean)} ± ${hrcText(measured.u95)} HRC ${stageName(measured.stage)}`
  switch (kind) {
    case 'accept':
      return `${rests}; the target is ${range(wanted)}.${missWords(missHrc)}`
    case 'temper':
      return `${rests}; ${say.t(temper?.atC ?? 0)} ${movesWords(changeHrc, wanted)}${why.robsChromium ? `, but it is over the secondary peak and takes ${why.lostCorrosion.toFixed(1)} off the corrosion index` : ''}.${missWords(missHrc)}${
        why.leavesRange
          ? ` This grade is usually tempered at ${say.t(why.leavesRange.minC)} to ${say.t(why.leavesRange.maxC)}: outside it this is an estimate: not measured here yet.`
          : ''
      }`
    case 'cold':
      return `${rests}; cold ${why.lateCold ? 'after a temper turns only part of the retained austenite' : 'turns retained austenite to martensite'}, with the temper a change of ${hrcText(changeHrc)} HRC.${missWords(missHrc)}`
    case 'anneal-and-reharden':
      return `${rests}; everything starts again, with the risk of warp, scale and lost carbon. The best route of this steel in this shop should give ${hrcText(measured.mean + changeHrc)} HRC.${missWords(missHrc)}`
    case 'scrap':
      return 'Only when the blade is cracked, too thin to grind clean, or not worth another two days.'
  }
}

const OIL_WORDS = { 'medium-oil': 'oil', 'fast-oil': 'fast oil' } as const

/** Less of a change than this is none to speak of, HRC. */
const HARDLY_HRC = 0.15

const movesWords = (changeHrc: number, wanted: { min: number; max: number }) =>
  Math.abs(changeHrc) < HARDLY_HRC
    ? 'leaves the hardness as it is, and tempers what is still brittle'
    : `should move it ${changeHrc < 0 ? 'down' : 'up'} by ${hrcText(Math.abs(changeHrc))} toward ${range(wanted)}`

/** Chances under this are none to speak of. */
const HARDLY_A_CHANCE = 0.05

/** Said above the options where none of them helps; null where one does. */
export const nothingHelps = (options: readonly Pick<AdviceOption, 'inTargetProbability'>[]): string | null =>
  options.every(option => option.inTargetProbability < HARDLY_A_CHANCE)
    ? 'Nothing here brings it within the target: the best way has a chance of less than 5 %. Change the target, or make the blade anew of a steel that reaches it.'
    : null

const FIRST_BY: Readonly<Record<FirstReason['by'], (reason: FirstReason) => string>> = {
  only: () => 'nothing else can be done with it',
  chance: ({ chance, otherChance }) =>
    `its chance of the target is ${percentText(chance)} against ${percentText(otherChance)}`,
  nearer: () => 'it comes nearer to the target',
  effort: () => 'it does as well for less work and risk',
  corrosion: () => 'it keeps the corrosion resistance',
}

/** Says why the first option is first, and which reading would put another in its place. */
export function firstWords(first: Pick<AdviceOption, 'kind' | 'missHrc'>, reason: FirstReason): string {
  const { by, against, turns } = reason
  const over = against ? ` rather than “${OPTION_NAMES[against]}”` : ''
  return `“${optionName(first)}”${over}: ${FIRST_BY[by](reason)}. ${
    turns
      ? `At a reading of about ${hrcText(turns.readingHrc)} HRC it would be “${OPTION_NAMES[turns.to]}”.`
      : 'No reading within 3 HRC of this one would change that.'
  }`
}

/** First things to look at if an edge fails in a way its hardness does not explain. */
export const NOT_BY_HARDNESS: Readonly<Record<'chips' | 'rolls', string>> = {
  chips:
    'The edge chips although it is softer than the target, so hardness is not the cause. Look first at the edge angle and how thin it is behind the edge, at coarse grain in a broken piece, and for an edge burnt in grinding.',
  rolls:
    'The edge rolls although it is harder than the target, so hardness is not the cause. Look first at the edge angle and how thin it is behind the edge, for a skin that lost carbon, and for an edge burnt in grinding: sharpen 0.5 mm further back and try again.',
}

/** Returns the steps to take, in order, one line each. */
export function stepsOf(
  {
    kind,
    temper,
    cold,
    anneal,
    again,
    oil,
    missHrc,
  }: Pick<AdviceOption, 'kind' | 'temper' | 'cold' | 'anneal' | 'again' | 'oil' | 'missHrc'>,
  say: Speaker,
): string[] {
  switch (kind) {
    case 'accept':
      return [
        Math.abs(missHrc) < HARDLY_HRC
          ? 'Finish the blade.'
          : `Keep it as it is, ${hrcText(Math.abs(missHrc))} HRC too ${missHrc < 0 ? 'soft' : 'hard'}, if that does for its use.`,
      ]
    case 'temper':
      return [
        `Temper ${say.minutes(temper?.holdMin ?? 0)} at ${say.keyed(temper?.atC ?? 0)}, then cool to room temperature.`,
      ]
    case 'cold':
      return [
        `Cold at ${say.keyed(cold?.toC ?? 0)} for ${say.minutes(cold?.holdMin ?? 0)}.`,
        `Temper ${say.minutes(temper?.holdMin ?? 0)} at ${say.keyed(temper?.atC ?? 0)}, since new martensite is brittle.`,
      ]
    case 'anneal-and-reharden':
      return [
        ...(anneal
          ? [
              `Anneal wrapped: ${say.keyed(anneal.atC)} for ${say.minutes(anneal.holdMin)}, then ${say.perHour(anneal.coolCPerH)} down to ${say.keyed(anneal.downToC)}, then oven off.`,
            ]
          : []),
        'Check straightness and decarburised skin.',
        ...(again
          ? [
              `Harden again: ${say.keyed(again.austenitizeC)} for ${say.minutes(again.soakMin)}${oil ? `, quenched in ${OIL_WORDS[oil]} (hot oil: mind the caution at the step)` : ''}${again.cold ? `, cold at ${say.keyed(again.cold.toC)}` : ''}, tempers ${again.tempers.map(t => say.keyed(t.atC)).join(' and ')}.`,
            ]
          : []),
      ]
    case 'scrap':
      return ['Mark it, keep it as a test piece.']
  }
}

/** Stock ground off a blade whose packet leaked before it is read again, mm. Common practice, no published source. */
export const LEAKED_SKIN_MM = 0.1

export const CAUSE_WORDS: Readonly<Record<CauseName, string>> = {
  scatter: 'the usual scatter',
  'under-soaked': 'soaked too short: the blade was at temperature later than the clock began',
  'oven-cold': 'an oven colder than it shows',
  'oven-hot': 'an oven hotter than it shows: too much retained austenite',
  leak: 'a leaking packet: the skin lost carbon',
  'slow-quench': 'a slow quench',
  'under-tempered': 'tempered cooler than the oven shows, or in a cold corner of it',
  'wrong-steel': 'another steel than was thought',
  tester: 'the tester',
}

/** Tests that would tell a cause from the others. */
export const CAUSE_TESTS: Readonly<Record<CauseName, (say: Speaker) => string>> = {
  scatter: () => 'Take two more readings, three indent diameters away.',
  'under-soaked': () => 'Harden a scrap with twice the soak: it comes out harder.',
  'oven-cold': say => `A second thermocouple beside the blades, or a scrap ${say.d(20)} hotter: it comes out harder.`,
  'oven-hot': say =>
    `Chill a scrap at ${say.t(-75)} or colder: it gains several points. A scrap ${say.d(20)} cooler comes out harder.`,
  leak: say => `Grind ${say.length(LEAKED_SKIN_MM)} off a spot and read there: it is harder below the skin.`,
  'slow-quench': () => 'Quench a scrap bare in fast air or oil from the same soak: it comes out harder.',
  'under-tempered': say =>
    `A second thermometer in the tempering oven; temper one blade again, ${say.d(10)} hotter: it comes down to the others.`,
  'wrong-steel': () => 'A spark or a magnet after the soak, the mill’s certificate, or a sample to a laboratory.',
  tester: () => 'Check the tester now on a test block near this hardness.',
}

/** Says of a blade that stands apart from the others what to look at first: of a hard one the reading, of a soft one its packet. */
export function apartWords({
  mark,
  hrc,
  othersHrc,
  leak,
}: {
  readonly mark: string
  readonly hrc: number
  readonly othersHrc: number
  readonly leak: Leak | null
}): string {
  const reads = `${mark} has ${hrcText(hrc)} HRC, far from the other blades, and is left out here.`
  if (hrc > othersHrc)
    return `${reads} A blade cannot gain by a fault: measure it again first, away from an edge and on a clean flat. If it stays, ask whether the others lost carbon at the skin, whether it was tempered in a cold corner, or is of another bar.`
  return leak
    ? `${reads} Its packet leaked (${leakWords(leak)}): its skin has lost carbon. Grind a little deeper, measure again, and judge it alone.`
    : `${reads} Look at its packet for a leak, and judge it alone.`
}

/** Names the causes that are hardly ever it, with their chances. */
export const lessLikelyWords = (
  causes: readonly { readonly cause: CauseName; readonly probability: number }[],
): string =>
  causes.length === 0
    ? ''
    : `Less likely: ${causes.map(({ cause, probability }) => `${CAUSE_WORDS[cause].split(':')[0]} ${percentText(probability)}`).join(', ')}.`
