import { stateOf } from '../core/batch/blade-state'
import type { BatchBlade } from '../core/batch/tray'
import type { Blade } from '../core/shop/blade'
import { BLADE_STATES, type BladeState } from '../data/blade-states'

const WORDS: Readonly<Record<BladeState, string>> = {
  whole: 'whole',
  'set-aside': 'set aside',
  cracked: 'cracked',
  lost: 'lost',
  scrapped: 'scrapped',
  'sent-back': 'sent back to be re-hardened',
  finished: 'finished',
  sold: 'sold',
}
export const stateName = (state: BladeState): string => WORDS[state]

/** Says the state of a blade, with its reason and its new owner. */
export function stateWords(record: Pick<Blade, 'states' | 'inspection' | 'finished'>): string {
  const last = record.states?.at(-1)
  const name = WORDS[stateOf(record)]
  return `${name}${last?.to ? ` to ${last.to}` : ''}${last?.why ? `: ${last.why}` : ''}`
}

/** Blades that came to something other than whole, counted: '1 cracked, 2 sold'; empty where none did. */
export function statesCounted(blades: readonly Pick<BatchBlade, 'record'>[]): string {
  const states = blades.map(({ record }) => stateOf(record))
  return BLADE_STATES.filter(state => state !== 'whole' && states.includes(state))
    .map(state => `${states.filter(one => one === state).length} ${WORDS[state]}`)
    .join(', ')
}

/** The count at inspection, against what went in. */
export function countedOutWords(
  countIn: number,
  countedOut: number,
  lost: number,
): { readonly missing: number; readonly text: string } {
  const missing = countIn - lost - countedOut
  if (missing > 0)
    return {
      missing,
      text: `${missing} ${missing === 1 ? 'blade is' : 'blades are'} missing: look in the oven, between the plates and on the floor before going on. One that is not found is marked as lost below.`,
    }
  if (missing < 0)
    return { missing, text: 'More blades came out than went in. Count again, and look for a blade of another batch.' }
  return {
    missing,
    text: lost === 0 ? `All ${countIn} are out.` : `${countedOut} of ${countIn} out, ${lost} lost.`,
  }
}
