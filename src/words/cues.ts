import { type Cue, type Role, rolesOf } from '../core/run/cues'
import type { Batch } from '../core/shop/batch'
import type { RunStep } from '../core/shop/run'
import { marksOfBlades } from './lists'
import type { StepWords } from './run'

const ROLE_NAMES: Readonly<Record<Role, string>> = { oven: 'Oven', plates: 'Plates' }
export const roleName = (role: Role): string => ROLE_NAMES[role]

/** Returns the spoken cue of a moment: short, the action last. `role`: the person it is called to, if there are two. */
export function cueWords(cue: Cue, { title, action }: Pick<StepWords, 'title' | 'action'>, role: Role | null): string {
  const to = role === null ? '' : `${ROLE_NAMES[role]}: `
  if (cue.kind === 'ahead') return `${to}${title} in ${cue.s === 60 ? 'one minute' : `${cue.s} seconds`}.`
  if (cue.kind === 'act') return `${to}Now. ${action}.`
  return `${to}${title} is ${Math.round(cue.s / 60)} min late.`
}

/** Says what each of two people does in a step, one line each. */
export function roleWords(
  step: RunStep,
  { action }: Pick<StepWords, 'action'>,
  batch: Batch,
): Readonly<Record<Role, string>> {
  if (step.kind === 'pull') {
    const mark = marksOfBlades(batch, step.bladeIds)
    const { afterBladeId } = step.names
    return {
      oven: `Pull ${mark}, door shut`,
      plates: `${afterBladeId === undefined ? '' : `${marksOfBlades(batch, [afterBladeId])} out. `}${step.names.oil ? `Take ${mark} under the oil` : `Clamp ${mark}, air on`}`,
    }
  }
  const wordsOf = (role: Role) => (rolesOf(step).includes(role) ? action : 'Nothing now')
  return { oven: wordsOf('oven'), plates: wordsOf('plates') }
}

/** Says what the one at the plates does now, as their part of the step has it: not before it is time. */
export const helperNowWords = (part: string, mayBegin: boolean): string => (mayBegin ? part : `Wait, then: ${part}`)

/** Says what comes next for the one at the plates: the title of their next step; null where there is none. */
export const helperNextWords = (title: string | null): string =>
  title === null ? 'Nothing more at the plates' : `Next for you: ${title}`
