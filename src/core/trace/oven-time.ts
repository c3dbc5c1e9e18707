import type { Phase, Stretch } from './timeline'

/** Phases that take place in an oven. */
export const OVEN_PHASES: ReadonlySet<Phase> = new Set(['ramp', 'equalise', 'soak', 'temper-ramp', 'temper'])

/** How long an oven is taken by a plan: its climb, the soak and every temper, h. What cools outside takes none. */
export const ovenHoursOf = (stretches: readonly Stretch[]): number =>
  stretches.reduce((sum, s) => sum + (OVEN_PHASES.has(s.phase) ? s.endMin - s.startMin : 0), 0) / 60
