import type { Cue, Role } from '../core/run/cues'
import type { RunStep } from '../core/shop/run'
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
  { mark, previous }: { readonly mark: string; readonly previous: string | null },
): Readonly<Record<Role, string>> {
  if (step.kind === 'pull') {
    return {
      oven: `Pull ${mark}, door shut`,
      plates: `${previous === null ? '' : `${previous} out. `}${step.names.oil ? `Take ${mark} under the oil` : `Clamp ${mark}, air on`}`,
    }
  }
  return { oven: action, plates: action }
}

export const NOTHING_NOW = 'Nothing now'

/** Says what comes next for the one at the plates: the title of their next step; null where there is none. */
export const helperNextWords = (title: string | null): string =>
  title === null ? 'Nothing more at the plates' : `Next for you: ${title}`
