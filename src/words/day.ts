import type { HeatBeforeKind } from '../core/batch/heat-marks'
import type { WhyNot, WhyNotCode } from '../core/day/limits'
import type { Urgent } from '../core/day/must-not-wait'
import type { TaskKind } from '../core/day/task-kinds'
import type { InspectTime, PullTime, WentAct } from '../core/day/went'
import type { Help } from '../core/day/what-if'
import { counted, listOf } from './lists'
import { type Speaker, signedText } from './speaker'

const packets = (n: number): string => counted(n, 'packet')

/** Which limit makes a day impossible, and what would mend it. */
const WHY_NOT: Readonly<Record<WhyNotCode, (amount: number, who: string, say: Speaker, fits: number) => string>> = {
  'no-hours': () => 'There are no working hours. Set when you work.',
  'no-groups': () => 'There is nothing to plan.',
  'windows-apart': (_, who) => `${who} need different temperatures and cannot share a load. Plan them apart.`,
  'oven-too-small': (n, who) =>
    `${who}: the oven holds ${packets(n)}. Split the blades into two batches, or use a larger oven.`,
  'soak-too-long': (n, who, say) =>
    `${who}: the last blade would soak ${say.minutes(n)} past what its steel should. Fewer blades in a load, a helper or a second set of plates mends it.`,
  'too-hot': (c, who, say) => `${who}: this oven does not reach ${say.t(c)}.`,
  'no-plan-for-load': (_, who) => `${who} cannot be planned as they stand. Their own benches say why.`,
  'temper-oven-too-small': (n, who) =>
    `${who}: the tempering oven holds ${packets(n)}. Split the blades into two batches.`,
  'no-cold-box': (_, who) => `${who} go into the cold, but the workshop has none.`,
  'cold-box-too-small': (n, who) => `${who}: the cold box holds ${packets(n)}. Split the blades into two batches.`,
  'temper-too-hot': (c, who, say) => `${who}: the tempering oven does not reach ${say.t(c)}.`,
  'cold-delay': (n, who, say) =>
    `${who} would come into the cold later than the ${say.minutes(n)} they may wait. Longer hours, or an earlier start, mend it.`,
  'cold-hold': (n, who, say) =>
    `${who} would stay in the cold longer than ${say.minutes(n)}. Working hours closer together mend it.`,
  'to-temper': (n, who, say) =>
    `${who} would stand longer than the ${say.minutes(n)} their steel may before its first temper. A tempering oven, or longer hours, mend it.`,
  overrun: (n, who, say) =>
    `${who} would stay in a temper more than ${say.minutes(n)} too long. Working hours closer together mend it.`,
  'start-set': (_, who) => `${who} cannot start at the time set. Let the start go, or move what is before it.`,
  deadline: (_, who) => `${who} cannot be done by the time set. Set a later one, or plan less before it.`,
  'hours-too-short': (_, who, _say, fits) =>
    `The working hours do not suffice for ${who}.${fits > 0 ? ` They do for ${fits}.` : ''} Add hours, or plan less.`,
  'none-found': (_, who, _say, fits) =>
    `No plan was found for ${who}.${fits > 0 ? ` One was found for ${fits}.` : ''} Plan less at once, or add hours.`,
}

/** Why a day cannot be. `nameOf`: what a group is called. */
export const whyNotWords = (
  { code, groups, amount, fits = 0 }: WhyNot,
  say: Speaker,
  nameOf = (id: string): string => id,
): string => WHY_NOT[code](amount, fewOf([...new Set(groups.map(nameOf))]), say, fits)

const MOST_NAMED = 6
/** Lists names, or the first of them and how many more there are. */
const fewOf = (names: readonly string[]): string =>
  names.length <= MOST_NAMED + 1
    ? listOf(names)
    : listOf([...names.slice(0, MOST_NAMED), `${names.length - MOST_NAMED} more`])

/** Name of each operator task. */
const TASKS: Readonly<Record<TaskKind, (who: string) => string>> = {
  'anneal-in': who => `${who} into the oven, to be annealed`,
  'anneal-out': who => `${who} out of the anneal`,
  'relieve-in': who => `${who} into the oven, to be stress relieved`,
  'relieve-out': who => `${who} out of the stress relief: dull red, so gloves and tongs, then flat in still air`,
  load: who => `Load ${who}`,
  pull: who => `Pull and quench ${who}`,
  inspect: who => `Look at ${who}`,
  'cold-in': who => `${who} into the cold`,
  'cold-out': who => `${who} out of the cold`,
  'temper-in': who => `${who} into the tempering oven`,
  'temper-out': who => `${who} out of the tempering oven`,
  straighten: who => `Straighten ${who} while warm`,
}

export const taskWords = (kind: TaskKind, who: string): string => TASKS[kind](who)

/** The same in a word or two, for a drawing. */
const SHORT_TASKS: Readonly<Record<TaskKind, string>> = {
  'anneal-in': 'anneal in',
  'anneal-out': 'anneal out',
  'relieve-in': 'relief in',
  'relieve-out': 'relief out',
  load: 'load',
  pull: 'pull, quench',
  inspect: 'inspect',
  'cold-in': 'into the cold',
  'cold-out': 'out of the cold',
  'temper-in': 'temper in',
  'temper-out': 'temper out',
  straighten: 'straighten',
}
export const shortTask = (kind: TaskKind): string => SHORT_TASKS[kind]

const ORDINALS = ['First', 'Second', 'Third', 'Fourth', 'Fifth', 'Sixth'] as const

/** The rounds a closing holds: 'First temper', 'First and second temper'. */
export const roundWords = (rounds: readonly number[]): string => {
  const names = [...new Set(rounds)].sort((a, b) => a - b).map(round => ORDINALS[round - 1] ?? `${round}.`)
  return `${listOf(names.map((name, i) => (i === 0 ? name : name.toLowerCase())))} temper`
}

/** Says what blades are in an oven for; nothing if they are hardened. */
export const stayWords = ({
  rounds,
  before,
}: {
  readonly rounds: Readonly<Record<string, number>> | null
  readonly before: HeatBeforeKind | null
}): string => (before ? HEATS[before] : rounds ? roundWords(Object.values(rounds)) : '')

/** A heat before the hardening. */
export const HEATS: Readonly<Record<HeatBeforeKind, string>> = { anneal: 'Anneal', relieve: 'Stress relief' }

/** Text of the button when one of its two tasks is done. */
export const heatDoneWords = (isIn: boolean): string => (isIn ? 'They are in' : 'They are out')

/** How far such a heat is, by what is known of each blade. */
export function heatStandWords(heats: readonly ({ readonly outAt: string | null } | null)[]): string {
  const out = heats.filter(heat => heat?.outAt).length
  const isIn = heats.filter(heat => heat?.outAt === null).length
  if (out === heats.length) return 'Done.'
  const parts = [...(isIn > 0 ? [`${isIn} in the oven`] : []), ...(out > 0 ? [`${out} done`] : [])]
  return parts.length > 0
    ? `Of ${counted(heats.length, 'blade')} ${listOf(parts)}.`
    : 'Still to be done: Today plans it before the load.'
}

const URGENT: Readonly<Record<Urgent['code'], (who: string, by: string) => string>> = {
  'in-oven': (who, by) => `${who} in the hot oven, to be pulled at ${by}: past its soak the grain coarsens`,
  'to-cold': (who, by) => `${who} into the cold by ${by}: austenite that stands keeps more of itself`,
  'in-cold': (who, by) => `${who} in the cold, long enough from ${by} on`,
  'to-temper': (who, by) => `${who} into the first temper by ${by}: what is hard and untempered may crack`,
  'in-temper': (who, by) => `${who} in the temper, done at ${by}`,
  'next-temper': (who, by) => `${who} cool enough for the next temper from ${by} on`,
}

/** Says what must not wait, and why. */
export const urgentWords = (code: Urgent['code'], who: string, by: string): string => URGENT[code](who, by)

/** Says a change that would help, and its effect on a steel if it has one. */
export function helpWords(help: Help, names: { readonly who: string; readonly until: string }, say: Speaker): string {
  switch (help.code) {
    case 'helper':
      return 'A helper beside you, at the plates too'
    case 'second-set':
      return 'A second set of plates'
    case 'temper-oven':
      return 'A tempering oven of its own'
    case 'longer-hours':
      return `Work until ${names.until}`
    case 'heats-alone':
      return 'The oven heats up before you come'
    case 'share-soak':
      return `${listOf(help.soak?.changes.map(change => change.gradeName) ?? [])} in one soak at ${say.t(help.soak?.atC ?? 0)}`
    case 'leave-out':
      return `${names.who} on another day`
  }
}

/** Says the cost of a change, if it is not only time. */
export const helpCost = (help: Help): string => {
  switch (help.code) {
    case 'share-soak':
      return listOf(
        help.soak?.changes
          .filter(change => Math.abs(change.hrc) >= 0.05)
          .map(change => `${change.gradeName} ${signedText(change.hrc)} HRC`) ?? [],
      )
    case 'heats-alone':
      return 'only where your local rules let it'
    default:
      return ''
  }
}

/** By when coolant is needed, until when that much lasts, and what a longer wait takes. */
export const coolantWords = (
  { medium, lostPerHour }: { readonly medium: 'dry-ice' | 'liquid-nitrogen'; readonly lostPerHour: number },
  { by, until }: { readonly by: string; readonly until: string },
  say: Speaker,
): string => {
  const lost = medium === 'dry-ice' ? say.mass(lostPerHour) : say.litres(lostPerHour)
  return `in the box by ${by}, gone by ${until}; ${lost} more for each hour it has to wait`
}

/** Electricity of a day's plan, and how much of it is bought in the cheap hours where there are some. */
export const powerWords = (
  { kWh, cheapKWh }: { readonly kWh: number; readonly cheapKWh: number },
  hasCheap: boolean,
): string => `about ${kWh.toFixed(1)} kWh${hasCheap ? `, ${cheapKWh.toFixed(1)} of them in the cheap hours` : ''}`

/** Says how much coolant the box must still hold for blades to come, while it is in use. */
export const coolantLeftWords = (
  coolant: { readonly medium: 'dry-ice' | 'liquid-nitrogen'; readonly amount: number; readonly lostPerHour: number },
  by: string,
  say: Speaker,
): string => {
  const isIce = coolant.medium === 'dry-ice'
  const text = isIce ? say.mass : say.litres
  const name = isIce ? 'dry ice' : 'liquid nitrogen'
  return `${text(coolant.amount)} of ${name} must be in the box by ${by} for what is still to come; it loses ${text(coolant.lostPerHour)} per hour`
}

/** An oven whose blades are at another temperature than is thought. */
export const ovenAstrayWords = (name: string, byK: number, isHand: boolean, say: Speaker): string => {
  const off = `${say.d(Math.abs(byK))} ${byK > 0 ? 'hotter' : 'cooler'}`
  return isHand
    ? `${name}: by what was measured its blades are ${off} than asked for, with the correction set by hand`
    : `${name} has drifted: the newest measurement finds the blades ${off} than those before it`
}

/** Says the cost of more blades to a day. */
export function addedWords(
  added: { readonly laterMin: number | null; readonly cost: number; readonly done: string },
  say: Speaker,
): string {
  const { laterMin, cost, done } = added
  const time =
    laterMin === null || laterMin === 0
      ? `All is done at ${done}`
      : `All is done ${say.minutes(Math.abs(laterMin))} ${laterMin > 0 ? 'later' : 'sooner'}, at ${done}`
  return `${time}${laterMin === 0 ? ', as without them' : ''}; they cost ${say.money(cost)}.`
}

/** How far an act was from its time. */
export const apartWords = (byMin: number, say: Speaker): string => {
  const minutes = Math.round(byMin)
  if (Math.abs(minutes) < 5) return 'as planned'
  return `${say.minutes(Math.abs(minutes))} ${minutes > 0 ? 'later' : 'sooner'} than planned`
}

/** A day against its first plan, in a sentence. */
export function wentWords(acts: readonly WentAct[], say: Speaker): string {
  const done = acts.filter(act => act.doneMin !== null)
  const last = done.reduce<WentAct | undefined>(
    (latest, act) => ((act.doneMin ?? 0) > (latest?.doneMin ?? Number.NEGATIVE_INFINITY) ? act : latest),
    undefined,
  )
  const count = `${done.length} of ${counted(acts.length, 'planned act')} ${done.length === 1 ? 'was' : 'were'} done`
  return last ? `${count}, the last ${apartWords((last.doneMin ?? 0) - last.startMin, say)}.` : `${count}.`
}

/** Says what runs taught about inspecting a load. */
export const inspectWords = ({ minutes, runs }: InspectTime, plannedMin: number, say: Speaker): string =>
  `From the last quench into the cold took ${say.minutes(minutes)} (the middle of ${counted(runs, 'run')}); plans reckon with ${say.minutes(plannedMin)}.`

/** Says what runs taught about the operator at the plates. */
export const pullsWords = ({ moreS, pulls }: PullTime, say: Speaker): string => {
  const middle = `the middle of ${counted(pulls, 'pull')} that waited for your hands alone`
  return moreS === 0
    ? `Pulls follow one another as planned (${middle}).`
    : `Each pull came ${say.seconds(Math.abs(moreS))} ${moreS > 0 ? 'later' : 'sooner'} than it could have (${middle}).`
}

/** How a plan stands against the day's first: later or sooner by some minutes. */
export const movedWords = (byMin: number, say: Speaker): string =>
  `${say.minutes(Math.abs(byMin))} ${byMin > 0 ? 'later' : 'sooner'} than the day’s first plan`
