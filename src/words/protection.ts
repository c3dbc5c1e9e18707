import type { stressReliefOf } from '../core/batch/prepare'
import type { ProtectionRow } from '../core/foil/protection'
import { PROTECTION, type ProtectionName } from '../data/protection'
import { problemWords } from './problems'
import type { Speaker } from './speaker'

interface ProtectionWords {
  readonly label: string
  readonly finish: string
  readonly risk: string
}

/** The ways to keep air from the steel: what each is called, how it finishes, and what may go wrong. */
export const PROTECTION_WORDS: Readonly<Record<ProtectionName, ProtectionWords>> = {
  foil: { label: 'Foil', finish: 'clean, a grey bloom', risk: 'a leak spoils one blade' },
  argon: { label: 'Foil, argon poured in', finish: 'bright', risk: 'gas in a closed room' },
  'argon-oven': {
    label: 'Bare, argon through the oven',
    finish: 'thin scale: a bench oven is not tight',
    risk: 'gas in the room for the whole heat; only in an oven made for it',
  },
  coat: {
    label: 'Anti-scale coat',
    finish: `grey, to be sanded; coat on a ${PROTECTION.coat.finishGrit}-grit finish, ${PROTECTION.coat.dryingH} h to dry`,
    risk: 'flakes where it was thin, and in oil',
  },
  bare: {
    label: 'Bare, ground after',
    finish: 'scale all over',
    risk: 'the skin stays soft if you grind too little; a thin edge is lost',
  },
  vacuum: {
    label: 'Sent out to vacuum',
    finish: 'bright',
    risk: `${PROTECTION.vacuum.daysAway} days away, by their route and not yours`,
  },
}

/** Why a way cannot be used for this batch. */
export const protectionRefusal = (refused: NonNullable<ProtectionRow['refused']>, say: Speaker): string =>
  refused.code === 'no-cut-plan' ? 'No cut plan stands yet.' : problemWords(refused.problem, say)

/** Stress relief, step by step. */
export const stressReliefWords = (relief: ReturnType<typeof stressReliefOf>, say: Speaker): string =>
  [
    `Up to ${say.keyed(relief.atC)}, no faster than ${say.perHour(relief.rateKPerH)}`,
    `hold ${say.minutes(relief.holdMin)} once the blades are there`,
    `cool to ${say.t(relief.toC)} in still air, laid flat; then straighten and grind on`,
  ].join('; ')
