import type { Incident } from './incidents'

/** How much goes wrong in a practice, and what: each level has more of it, and harder to see. */
export const DRILL_LEVELS = [1, 2, 3] as const
export type DrillLevel = (typeof DRILL_LEVELS)[number]

interface Drill {
  readonly surprises: number
  readonly kinds: readonly Incident[]
}

const EASY: readonly Incident[] = ['leaked', 'plates-hot', 'bent']
const MIDDLE: readonly Incident[] = [...EASY, 'vice-late', 'stuck', 'dropped', 'door-open', 'missing']

export const DRILLS: Readonly<Record<DrillLevel, Drill>> = {
  1: { surprises: 2, kinds: EASY },
  2: { surprises: 4, kinds: MIDDLE },
  3: { surprises: 6, kinds: [...MIDDLE, 'power-cut', 'controller-error', 'cracked', 'helper-gone', 'coolant-out'] },
}

/**
 * An answer within this is a good one, s; a pull within this of its time is in time, s. Common practice, no published source: a
 * bent blade can be set in the first half minute.
 */
export const DRILL_GOOD = { answeredS: 30, lateS: 20, earlyS: 10 } as const

/** From the oven's door into a shut vice, s, with a helper who stands ready. Common practice, no published source. */
export const HELPER_S = { least: 2, most: 5 } as const
