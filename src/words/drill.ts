import type { DrillReport, Habit, Happening } from '../core/run/drill'
import type { Helper } from '../core/run/practice-helper'
import type { Batch } from '../core/shop/batch'
import type { Incident } from '../data/incidents'
import { clockText } from './clock-text'
import { INCIDENT_WORDS } from './incidents'
import { counted, marksOfBlades } from './lists'

/** Signs of an incident to be seen or heard in the shop: its name is for the trainee to find. */
const SEEN: Readonly<Record<Incident, (mark: string) => string>> = {
  leaked: mark => `You see dark scale along the seam of ${mark}’s packet.`,
  torn: mark => `The foil of ${mark} caught on the rack: a strip of it hangs loose.`,
  stuck: mark => `${mark} did not slide out of its foil. It is between the plates now, later than it should be.`,
  'vice-late': mark => `The handle of the vice slipped. ${mark} stood in air before it was shut.`,
  bent: mark => `Light shows under the tip of ${mark}.`,
  cracked: mark => `A fine dark line runs from the edge of ${mark}.`,
  dropped: mark => `${mark} lies glowing on the floor.`,
  missing: mark => `You count the blades on the rack. There is none with the mark ${mark}.`,
  'set-aside': mark => `${mark} is to be left out.`,
  'plates-hot': () => 'A drop of water on the plates hisses and is gone.',
  'door-open': () => 'You turn round: the door of the oven stands a hand’s width open.',
  'power-cut': () => 'The light goes out, and the fan winds down.',
  'controller-error': () => 'The display of the controller blinks and shows letters. You hear no relay.',
  'coolant-out': () => 'You lift the lid of the cold box. No dry ice is left.',
  'helper-gone': () => 'The telephone rings. Your helper has to go.',
}

/** Says what the trainee sees of a surprise. */
export const seenWords = (
  { surprise: { incident, bladeId } }: Pick<Happening, 'surprise'>,
  batch: Pick<Batch, 'lines' | 'blades' | 'groups'>,
): string => SEEN[incident](bladeId === null ? '' : marksOfBlades(batch, [bladeId]))

/** How a surprise was met. */
export function metWords(
  { surprise, atS, answer }: Happening,
  batch: Pick<Batch, 'lines' | 'blades' | 'groups'>,
): string {
  const which = surprise.bladeId === null ? '' : `: ${marksOfBlades(batch, [surprise.bladeId])}`
  const name = `${INCIDENT_WORDS[surprise.incident].name}${which}`
  return answer === null ? `${name}. Not called.` : `${name}. Called after ${clockText(answer.atS - atS)}.`
}

const HABITS: Readonly<Record<Habit, string>> = {
  see: 'Train to call what you see: press Something happened for each surprise, even while a pull is due.',
  quicker: 'Train to call it at once: half a minute is what a bent or late blade gives you.',
  'in-time': 'Train to pull in time: stand ready at the ten seconds, gloves on and vice open.',
  'not-early': 'Train to wait: a blade pulled before its soak is over is soft, and no later temper mends it.',
  plates: 'Train to let the plates cool: a pull that follows too soon finds them hot, and a thin blade bends.',
  none: 'Nothing to train at this level. Take the next one.',
}
export const habitWords = (habit: Habit): string => HABITS[habit]

/** Says what the helper of a practice does with the blade handed over last. */
export function helperWords(
  { bladeId, shutS, lateS }: Helper,
  batch: Pick<Batch, 'lines' | 'blades' | 'groups'>,
  nowS: number,
): string {
  const mark = marksOfBlades(batch, [bladeId])
  if (nowS < shutS) return `Your helper has ${mark}, the vice is open.`
  return lateS > 0 ? `The vice is shut on ${mark}, ${clockText(lateS)} late.` : `The vice is shut on ${mark}.`
}

/** A practice in one line: what was met, and how far from the best possible. */
export function drillWords({ happenings, imagined, pulls }: DrillReport): string {
  const met = happenings.filter(one => one.answer !== null).length
  const worst = Math.max(0, ...pulls.map(pull => Math.abs(pull.offS)))
  const soonest = Math.max(0, ...pulls.map(pull => pull.tooSoonS))
  return [
    ...(happenings.length === 0 ? [] : [`${met} of ${counted(happenings.length, 'surprise')} called`]),
    ...(imagined > 0 ? [`${imagined} called that had not happened`] : []),
    `The soak furthest from the best possible is ${clockText(worst)} off`,
    ...(soonest > 0 ? [`The plates had ${clockText(soonest)} less than they needed at the worst pull`] : []),
  ].join('. ')
}

export const LEVEL_WORDS = {
  1: 'two surprises: packets, bends, hot plates',
  2: 'four: late vice, foil that sticks, an open door, a count that is short',
  3: 'six: power, controller, cracks, coolant, a helper who leaves',
} as const
