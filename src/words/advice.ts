import type { AdviceOption } from '../core/advice/advise'
import type { Toughness } from '../core/advice/option-cost'
import type { CauseName } from '../data/causes'
import { hrcText, type Speaker } from './speaker'
import { stageName } from './stages'

export const TOUGHNESS_WORDS: Readonly<Record<Toughness, string>> = {
  tougher: 'tougher',
  'softer-hardly-tougher': 'softer but hardly tougher',
  'less-tough': 'less tough',
  'as-tough': 'toughness unchanged',
}

const range = ({ min, max }: { min: number; max: number }) => `${hrcText(min)} to ${hrcText(max)}`

/** Why an option is offered: what it rests on, and what it does. */
export function whyWords({ kind, why, temper }: Pick<AdviceOption, 'kind' | 'why' | 'temper'>, say: Speaker): string {
  const { measured, wanted, changeHrc } = why
  const rests = `${measured.by === 'files' ? 'File tests and prediction give' : 'Measured'} ${hrcText(measured.mean)} ± ${hrcText(measured.u95)} HRC ${stageName(measured.stage)}`
  switch (kind) {
    case 'accept':
      return `${rests}; the target is ${range(wanted)}.`
    case 'temper':
      return `${rests}; ${say.t(temper?.atC ?? 0)} ${movesWords(changeHrc, wanted)}${why.robsChromium ? ', but it costs corrosion resistance' : ''}.${
        why.leavesRange
          ? ` This grade is usually tempered at ${say.t(why.leavesRange.minC)} to ${say.t(why.leavesRange.maxC)}: outside it this is an estimate: not measured here yet.`
          : ''
      }`
    case 'cold':
      return `${rests}; cold ${why.lateCold ? 'after a temper turns only part of the retained austenite' : 'turns retained austenite to martensite'}, with the temper a change of ${hrcText(changeHrc)}.`
    case 'anneal-and-reharden':
      return `${rests}; everything starts again, with the risk of warp, scale and lost carbon. The best route of this steel in this shop should give ${hrcText(measured.mean + changeHrc)} HRC.`
    case 'scrap':
      return 'Only when the blade is cracked, too thin to grind clean, or not worth another two days.'
  }
}

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

/** First things to look at if an edge fails in a way its hardness does not explain. */
export const NOT_BY_HARDNESS: Readonly<Record<'chips' | 'rolls', string>> = {
  chips:
    'The edge chips although it is softer than the target, so hardness is not the cause. Look first at the edge angle and how thin it is behind the edge, at coarse grain in a broken piece, and for an edge burnt in grinding.',
  rolls:
    'The edge rolls although it is harder than the target, so hardness is not the cause. Look first at the edge angle and how thin it is behind the edge, for a skin that lost carbon, and for an edge burnt in grinding: sharpen 0.5 mm further back and try again.',
}

/** Returns the steps to take, in order, one line each. */
export function stepsOf(
  { kind, temper, cold, anneal, again }: Pick<AdviceOption, 'kind' | 'temper' | 'cold' | 'anneal' | 'again'>,
  say: Speaker,
): string[] {
  switch (kind) {
    case 'accept':
      return ['Finish the blade.']
    case 'temper':
      return [
        `Temper ${say.minutes(temper?.holdMin ?? 0)} at ${say.both(temper?.atC ?? 0)}, then cool to room temperature.`,
      ]
    case 'cold':
      return [
        `Cold at ${say.both(cold?.toC ?? 0)} for ${say.minutes(cold?.holdMin ?? 0)}.`,
        `Temper ${say.minutes(temper?.holdMin ?? 0)} at ${say.both(temper?.atC ?? 0)}, since new martensite is brittle.`,
      ]
    case 'anneal-and-reharden':
      return [
        ...(anneal
          ? [
              `Anneal wrapped: ${say.both(anneal.atC)} for ${say.minutes(anneal.holdMin)}, then ${say.perHour(anneal.coolCPerH)} down to ${say.both(anneal.downToC)}, then oven off.`,
            ]
          : []),
        'Check straightness and decarburised skin.',
        ...(again
          ? [
              `Harden again: ${say.both(again.austenitizeC)} for ${say.minutes(again.soakMin)}${again.cold ? `, cold at ${say.both(again.cold.toC)}` : ''}, tempers ${again.tempers.map(t => say.both(t.atC)).join(' and ')}.`,
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
  'wrong-steel': () => 'A spark or a magnet after the soak, the mill’s certificate, or a sample to a laboratory.',
  tester: () => 'Check the tester now on a test block near this hardness.',
}
