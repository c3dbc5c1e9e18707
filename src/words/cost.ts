import type { FoilSource } from '../core/codes/working'
import type { BatchCost } from '../core/cost/batch-cost'
import type { BladeCost } from '../core/cost/blade-cost'
import type { Quote } from '../core/cost/quote'
import type { CostKind, WorkTask } from '../data/task-times'
import { counted } from './lists'
import { percentText, type Speaker } from './speaker'

export const COST_NAMES: Readonly<Record<CostKind, string>> = {
  steel: 'Steel',
  protection: 'Foil or other protection',
  power: 'Electricity of heats and tempers',
  coolant: 'Coolant',
  belts: 'Belts',
  work: 'Your hours',
}

/** Where the length of foil is known from. */
export const FOIL_FROM_WORDS: Readonly<Record<FoilSource, string>> = {
  cut: 'Foil as it was cut.',
  'by-hand': 'Foil as you laid it at Wrap.',
  plan: 'Foil by the cut plan at Wrap.',
  area: 'No cut plan fits the roll. Foil is estimated from the area of the envelopes.',
}

/** Says the cost of a blade, and its share of lost ones. */
export const bladeCostWords = ({ own, ofLost }: BladeCost, say: Speaker): string =>
  ofLost > 0.005 ? `${say.money(own + ofLost)}, ${say.money(ofLost)} of it for what was lost` : say.money(own)

const TASK_NAMES: Readonly<Record<WorkTask, string>> = {
  prepare: 'before the heat',
  wrap: 'wrapping and cleaning',
  run: 'the hot run',
  temper: 'tempers',
  finish: 'finishing',
}

/** Where the hours go, most first. */
export function hoursWords({
  hours,
  runMeasured,
}: Pick<BatchCost, 'hours'> & Partial<Pick<BatchCost, 'runMeasured'>>): string {
  const tasks = (Object.entries(hours) as [WorkTask, number][]).filter(([, h]) => h > 0).sort((a, b) => b[1] - a[1])
  const parts = tasks.map(
    ([task, h]) => `${h.toFixed(1)} h ${TASK_NAMES[task]}${task === 'run' && runMeasured ? ', as the run took' : ''}`,
  )
  return parts.join('; ')
}

/** Says the cost of a good blade, and its share of lost ones. */
export function perGoodWords({ begun, good, lostShare }: BatchCost, say: Speaker): string {
  if (good === begun) return `Each of ${counted(good, 'blade')}; none was lost.`
  return `${good} of ${begun} came out good; ${say.money(lostShare)} of it is for those that did not.`
}

/** Blades of a year. */
export const yearGoodWords = ({ begun, good }: Pick<BatchCost, 'begun' | 'good'>): string =>
  `${good} of ${counted(begun, 'blade')} came out good or may yet`

/** An order in a sentence: what to begin with, what each comes to, and the band. */
export function quoteWords({ blades, begin, perBlade, from, to }: Quote, say: Speaker): string {
  const more = begin > blades ? ` Begin with ${begin}: some are lost.` : ''
  return `${counted(blades, 'blade')} like these: ${say.money(perBlade)} each, ${say.money(from)} to ${say.money(to)} by how many are lost and how long you take.${more}`
}

/** Blades of the log that came to nothing. */
export const lossWords = (lost: number, tried: number): string =>
  `In your log ${lost} of ${tried} blades were scrapped (${percentText(tried > 0 ? lost / tried : 0)}).`
