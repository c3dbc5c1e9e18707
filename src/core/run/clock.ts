import type { RunClock } from '../shop/run'

/** Seconds on a run's own clock at a real instant, ms: the newest leg counts, and before it began the run stands at its start. */
export function runSecondsAt(clock: RunClock, realMs: number): number {
  const leg = clock.at(-1)
  return leg ? leg.runS + Math.max(0, (realMs - leg.realMs) / 1000) * leg.speed : 0
}

/** The real instant at which a run's clock stood at so many seconds, ms: by the leg it falls into. Practice goes faster than life. */
export function realMsAt(clock: RunClock, runS: number): number {
  const leg = clock.findLast(candidate => candidate.runS <= runS) ?? clock[0]
  return leg ? leg.realMs + (leg.speed > 0 ? ((runS - leg.runS) / leg.speed) * 1000 : 0) : 0
}

/** A clock that goes on from an instant as if the run stood at so many seconds then. */
export const withLeg = (clock: RunClock, realMs: number, runS: number, speed = clock.at(-1)?.speed ?? 1): RunClock => [
  ...clock,
  { realMs, runS: Math.max(0, runS), speed },
]

/** Readings of two clocks at one tick of the page, ms: the computer's, which can be set, and a monotonic one. */
export interface Tick {
  readonly wallMs: number
  readonly steadyMs: number
}

/**
 * Change of the computer's clock between two ticks. 'set-back': it was, by so much. 'ahead': it is further on than the steady
 * clock, which either stood still while the computer slept or was right while the other was set: only a person can say.
 */
export type ClockJump = { readonly kind: 'even' } | { readonly kind: 'set-back' | 'ahead'; readonly byS: number }

/** Clocks that part by less are only late, ms: a busy page ticks late on both. */
const EVEN_WITHIN_MS = 1500
/** Further on than this is asked about, ms: less is a page that was slow. */
const ASKED_FROM_MS = 20_000

/** Returns the change between two ticks, s; a difference under 1.5 s, or being ahead by less than 20 s, is a busy page. */
export function jumpBetween(before: Tick, now: Tick): ClockJump {
  const apartMs = now.wallMs - before.wallMs - (now.steadyMs - before.steadyMs)
  if (apartMs < -EVEN_WITHIN_MS) return { kind: 'set-back', byS: -apartMs / 1000 }
  return apartMs > ASKED_FROM_MS ? { kind: 'ahead', byS: apartMs / 1000 } : { kind: 'even' }
}

/** The clock of a run after a jump, so that no more time has passed on it than really did. `sleptS`: of an 'ahead', what was real. */
export function mendedClock(clock: RunClock, before: Tick, now: Tick, sleptS = 0): RunClock {
  const speed = clock.at(-1)?.speed ?? 1
  const steadyS = Math.max(0, now.steadyMs - before.steadyMs) / 1000
  return withLeg(clock, now.wallMs, runSecondsAt(clock, before.wallMs) + (steadyS + sleptS) * speed)
}

/** Returns the second a run stands at by the steady clock alone, counted from a moment at which its clock was right. */
export function steadySecondsAt(clock: RunClock, before: Tick, now: Tick): number {
  const speed = clock.at(-1)?.speed ?? 1
  return runSecondsAt(clock, before.wallMs) + (Math.max(0, now.steadyMs - before.steadyMs) / 1000) * speed
}
