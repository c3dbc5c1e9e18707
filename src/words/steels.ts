import type { RankReason, Refusal } from '../core/advice/rank-steels'
import type { OutsideModel } from '../core/codes/caution'
import type { ChartText, SkippedLine } from '../core/files/own-grade/chart-text'
import type { CompositionText } from '../core/files/own-grade/composition-text'
import type { Difference, RouteChange } from '../core/steel/compare-routes'
import type { Knob, Seen, TaleFigureName } from '../core/steel/folklore'
import type { MisfitDoubt } from '../core/steel/misfit'
import type { CompositionDoubt } from '../core/steel/nearest-grades'
import { fFromC } from '../core/units/temperature'
import { type CorrosionClass, ELEMENTS, type Element, type Grade } from '../data/grades'
import type { Merit } from '../data/uses'
import { listOf } from './lists'
import { hrcText, type Speaker } from './speaker'

/** Says which elements were read of a pasted composition, and what was not understood. */
export function compositionReadWords({ nominal, least, most, unread }: CompositionText): string {
  const known = ELEMENTS.filter(element => nominal[element] ?? least[element] ?? most[element])
  const found = known.length > 0 ? `Read: ${listOf(known)}.` : 'No element was found in it.'
  return unread.length > 0 ? `${found} Not read: ${unread.slice(0, 6).join(', ')}.` : found
}

/** Says a composition in one line: 'C 1.05, Cr 14'. */
export const compositionWords = (shares: Readonly<Partial<Record<Element, string>>>): string =>
  ELEMENTS.flatMap(element => (shares[element] ? [`${element} ${shares[element]}`] : [])).join(', ')

/** Says the windows of a grade in one line. */
export const windowsWords = ({ austenitize, temper, usualTarget }: Grade, say: Speaker): string =>
  `harden ${say.bare(austenitize.minC)} to ${say.t(austenitize.maxC)}, temper ${say.bare(temper.minC)} to ${say.t(temper.maxC)}, ${usualTarget.minHrc} to ${usualTarget.maxHrc} HRC`

/** Says what was read of a tempering chart, in the sheet's own scale. */
export function chartReadWords({ rows, scale }: Pick<ChartText, 'rows' | 'scale'>): string {
  const row = ({ temperC, hrc }: ChartText['rows'][number]) =>
    `${Math.round(scale === 'F' ? fFromC(temperC) : temperC)} °${scale} → ${hrc} HRC`
  const [first, last] = [rows[0], rows.at(-1)]
  if (!first || !last) return 'No row of the chart could be read.'
  return rows.length === 1 ? `Read: ${row(first)}.` : `Read: ${row(first)} to ${row(last)}, ${rows.length} rows.`
}

const RUST_WORDS: Readonly<Record<CorrosionClass, string>> = {
  sea: 'stands salt water',
  kitchen: 'stands a wet kitchen',
  careful: 'spots if left wet',
  rusts: 'rusts unless oiled',
}
const EDGE_WORDS: Readonly<Record<RankReason['edge'], string>> = {
  'long-and-coarse': 'wears long, but its large carbides break out of so thin an edge',
  long: 'wears long',
  'very-fine': 'takes a very fine edge',
  fine: 'takes a fine edge and keeps it a fair while',
}
const STRENGTH_WORDS: Readonly<Record<RankReason['strength'], string>> = {
  tough: ' and is tough',
  brittle: ' and chips if twisted',
  usual: '',
}

/** Name of each merit of a steel. */
export const MERIT_WORDS: Readonly<Record<Merit, string>> = {
  edge: 'Holds a fine edge',
  corrosion: 'Corrosion resistance',
  wear: 'Wear resistance',
  toughness: 'Toughness',
}

/** Says the reasons for and against a grade in a use, in one sentence. */
export function rankWords(why: RankReason): string {
  const { target } = why
  const hrc = hrcText(why.hrc)
  const reach =
    why.reaches === 'within'
      ? `reaches ${hrc} HRC`
      : `comes to ${hrc} HRC, ${why.reaches === 'short' ? 'short of' : 'above'} ${target.min} to ${target.max}`
  const rust = RUST_WORDS[why.corrosionClass]
  return `It ${reach}, ${EDGE_WORDS[why.edge]}${STRENGTH_WORDS[why.strength]}; ${why.rustsTooSoon ? `but it ${rust}, less than this use asks` : `it ${rust}`}.`
}

/** Says why a shop cannot process a grade. */
export function refusalWords(why: Refusal, say: Speaker): string {
  switch (why.code) {
    case 'needs-oil':
      return `It must pass from ${say.bare(800)} to ${say.t(500)} in ${why.slowest800to500S} s or less: plates and foil are too slow, it needs ${why.fast ? 'a fast oil' : 'an oil bath'}.`
    case 'oven-too-cold':
      return `It needs ${say.t(why.needsC)} at the least; hottest this oven goes at ${say.t(why.ovenMaxC)}.`
    case 'no-foil':
      return `No foil stands its ${say.t(why.needsC)}.`
  }
}

/** One thing that sets two routes apart, by their names. */
export function differenceWords(of: Difference, first: string, second: string): string {
  const named = (which: 'first' | 'second') => (which === 'first' ? first : second)
  switch (of.code) {
    case 'same-hardness':
      return `${first} and ${second} read the same on the tester, but they are different knives.`
    case 'hardness':
      return `${second} is ${hrcText(Math.abs(of.harderByHrc))} HRC ${of.harderByHrc > 0 ? 'harder' : 'softer'} than ${first}.`
    case 'robbed':
      return `${named(of.worse)} rusts sooner: its hot temper grew carbides that took chromium out of the steel around them.`
    case 'chromium':
      return `${named(of.better)} keeps more chromium in solution, since its soak dissolved more carbide: it resists rust better.`
    case 'same-rust':
      return 'Both keep the same chromium in solution, so they rust alike.'
    case 'not-stainless':
      return 'Neither is stainless: less than about 10.5 % chromium is in solution, so both rust unless oiled.'
    case 'austenite':
      return `${named(of.more)} holds ${Math.round(of.share * 100)} % more retained austenite, which gives way at a thin edge.`
    case 'tougher':
      return `${named(of.better)} should be tougher (less carbide, less hard, or finer grain).`
    case 'forgives-grinding':
      return `${named(of.better)} may get hotter in grinding, up to its own temper.`
  }
}

/** Says the changes from one route to another, in a few words; '' if there is none. */
export const routeChangeWords = (changes: readonly RouteChange[], say: Speaker): string =>
  changes.map(change => oneChange(change, say)).join(', ')

function oneChange(change: RouteChange, say: Speaker): string {
  const cold = (toC: number | null) => (toC === null ? 'none' : say.t(toC))
  switch (change.what) {
    case 'soak-temperature':
      return `soak ${say.t(change.from)} to ${say.t(change.to)}`
    case 'soak-time':
      return `soak ${say.minutes(Math.round(change.from))} to ${say.minutes(Math.round(change.to))}`
    case 'cold':
      return `cold ${cold(change.from)} to ${cold(change.to)}`
    case 'cold-hold':
      return `cold hold ${say.minutes(change.from)} to ${say.minutes(change.to)}`
    case 'temper-count':
      return `${change.from} to ${change.to} tempers`
    case 'temper-temperature':
      return `temper ${change.round} ${say.t(change.from)} to ${say.t(change.to)}`
    case 'temper-hold':
      return `temper ${change.round} ${say.minutes(change.from)} to ${say.minutes(change.to)}`
  }
}

export const KNOB_WORDS: Readonly<Record<Knob['moves'], string>> = {
  'temper-twice': 'Temper, twice',
  temper: 'Temper',
  cold: 'Cold',
  soak: 'Soak',
}

/** Figures of a tale: what they are called, and how they are written. */
export const TALE_FIGURES: Readonly<
  Record<
    TaleFigureName,
    {
      readonly label: string
      readonly unit: string
      readonly shown: (value: number) => string
      /** Least span it is drawn over, so that noise stays small. */
      readonly least: number
    }
  >
> = {
  hardness: { label: 'Hardness', unit: 'HRC', shown: hrcText, least: 1 },
  chromium: { label: 'Chromium at work against rust', unit: '%', shown: value => value.toFixed(1), least: 1 },
  retained: { label: 'Retained austenite', unit: '%', shown: value => (100 * value).toFixed(0), least: 0.04 },
  fresh: {
    label: 'Austenite turned by the first temper',
    unit: '%',
    shown: value => (100 * value).toFixed(0),
    least: 0.04,
  },
  grain: { label: 'Grain held by carbide', unit: '×', shown: value => value.toFixed(1), least: 1 },
}

/** Says the observation at a knob's setting, in a sentence that follows it. */
export function seenWords(seen: Seen, say: Speaker): string {
  switch (seen.code) {
    case 'rust-not-hardness':
      return `The temper moves hardness by ${hrcText(seen.movesHrc)} HRC and the chromium not at all: hardness is not what keeps a blade bright.`
    case 'not-stainless':
      return `Only ${seen.chromium.toFixed(1)} % chromium is in solution here. Below about 10.5 % a steel is not stainless, whatever its temper: keep it oiled.`
    case 'cold-turns':
      return `Here it turns ${say.percent(seen.share)} of the steel from retained austenite to martensite: ${hrcText(seen.gainHrc)} HRC. Chromium stays as it was, and so does rust.`
    case 'fresh-martensite':
      return `On cooling from the first temper ${say.percent(seen.share)} of the steel turns to fresh, brittle martensite that was never tempered. The second temper is for that.`
    case 'chromium-lost':
      return `${say.percent(seen.share)} of the chromium’s work is lost here: new carbides took it. The same hardness is to be had by a low temper, without that.`
    case 'chromium-stays':
      return `Below about ${say.t(400)} chromium stays in solution: the blade keeps its resistance.`
    case 'hotter-softer':
      return `Past ${say.t(seen.hardestC)} more carbon dissolves, martensite starts lower, and retained austenite stays: hotter is softer${seen.coarse ? ', and the grain runs away' : ''}.`
    case 'hardest-near':
      return `It quenches hardest near ${say.t(seen.hardestC)}. Up to there more heat dissolves more carbon, and that hardens.`
  }
}

/** Says the likely reason that a chart does not fit its composition. */
export const misfitWords = (doubt: MisfitDoubt, say: Speaker): string =>
  doubt.code === 'whole-chart'
    ? `The chart lies ${hrcText(Math.abs(doubt.meanHrc))} HRC ${doubt.meanHrc > 0 ? 'above' : 'below'} what this composition should give all along. Check the austenitize temperature, the cold and the carbon on the sheet: the chart may be from another route or another steel.`
    : `At ${say.t(doubt.temperC)} the chart is ${hrcText(Math.abs(doubt.offHrc))} HRC away from what its neighbours and this composition suggest. Check that row.`

/** Why a line of a typed chart could not be used. */
export function skippedLineWords(line: SkippedLine, say: Speaker): string {
  switch (line.why) {
    case 'no-temper':
      return 'the temper has no number'
    case 'no-hardness':
      return 'no hardness stands beside the temper'
    case 'not-a-hardness':
      return `${line.hrc} is not a Rockwell C hardness (20 to 70)`
    case 'not-a-temper':
      return `${say.t(line.atC)} is not a temper (${say.bare(50)} to ${say.t(750)})`
  }
}

/** Toughness as a figure from 0 to 10. */
export const toughnessText = (tendency: number): string => (10 * tendency).toFixed(0)

export const NOT_A_COMPOSITION = 'Paste carbon and at least one other element, as “C 1.45 Cr 14 V 4 Mo 2”.'

const share = (value: number) => `${Number(value.toFixed(3))}`

/** Says what of a composition is outside a grade's range, or that it is one of that grade. */
export const differsWords = (differs: readonly OutsideModel[]): string =>
  differs.length === 0
    ? 'within its range'
    : differs
        .map(({ element, value, least, most }) => `${element} ${share(value)} (here ${share(least)} to ${share(most)})`)
        .join(', ')

/** Names what of a pasted text was not understood. */
export const notReadWords = (unread: readonly string[]): string => `Not read: ${unread.slice(0, 6).join(', ')}.`

/** Says what is wrong with a composition, and what was perhaps meant. */
export const compositionDoubtWords = (doubt: CompositionDoubt): string =>
  doubt.code === 'over-all'
    ? `These elements come to ${share(doubt.sum)} %: hardly any iron is left. Check the figures.`
    : `${share(doubt.value)} % ${doubt.element} is more than a steel holds. ${
        doubt.tenth === null
          ? 'Is it in ppm? 10,000 ppm are 1 %.'
          : `Is it ${share(doubt.tenth)} %? Or in ppm: 10,000 ppm are 1 %.`
      }`
