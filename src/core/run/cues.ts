import type { RunStep } from '../shop/run'
import type { RunState } from './run-state'

/** Sound cue at a moment of a run. */
export type Cue =
  /** So many seconds before the act. */
  | { readonly kind: 'ahead'; readonly s: number }
  | { readonly kind: 'act' }
  /** The act is so many seconds late. */
  | { readonly kind: 'late'; readonly s: number }

/** Said ahead at these, s, and again for every so long it is late. */
const AHEAD_S = [60, 30, 10] as const
const LATE_EVERY_S = 60

/** The cues that fall between two looks at the clock, s; on a clock that leaps only the last of them is worth hearing. */
export function cueBetween(dueS: number, beforeS: number, nowS: number): Cue | null {
  const crossed = (atS: number) => beforeS < atS && nowS >= atS
  const lateS = Math.floor((nowS - dueS) / LATE_EVERY_S) * LATE_EVERY_S
  if (lateS > 0 && crossed(dueS + lateS)) return { kind: 'late', s: lateS }
  if (crossed(dueS)) return { kind: 'act' }
  const s = [...AHEAD_S].reverse().find(ahead => crossed(dueS - ahead))
  return s === undefined ? null : { kind: 'ahead', s }
}

/** Whose hands a step is for, where there are two pairs of them. */
export type Role = 'oven' | 'plates'

/** Who does what in a step: one pair of hands at the oven, one at plates and bench; a pull is for both. */
export function rolesOf({ kind }: Pick<RunStep, 'kind'>): readonly Role[] {
  if (kind === 'pull') return ['oven', 'plates']
  return kind === 'unclamp' || kind === 'inspect' || kind === 'cold-in' || kind === 'cold-out' || kind === 'measure'
    ? ['plates']
    : ['oven']
}

/** The present and the next step that is one person’s. */
export interface Part {
  /** The present step, where it is for this person; null while it is another’s. */
  readonly now: RunStep | null
  readonly next: RunStep | null
  /** Whether nobody else has a hand in the present step. */
  readonly isAlone: boolean
}

/** Returns what one of two people has to do now and next. */
export function partOf(role: Role, { step, steps, stepIndex }: Pick<RunState, 'step' | 'steps' | 'stepIndex'>): Part {
  const isTheirs = (one: RunStep) => rolesOf(one).includes(role)
  const now = step && isTheirs(step) ? step : null
  return {
    now,
    next: steps.slice(stepIndex + 1).find(isTheirs) ?? null,
    isAlone: now !== null && rolesOf(now).length === 1,
  }
}
