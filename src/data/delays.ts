import type { GradeFamily } from './grades'

/**
 * How long a hardened blade may stand at room temperature before its first temper, by the kind of its steel, min: it is under stress
 * and may crack. The one table of it. Common practice, no published source.
 */
export const TEMPER_WITHIN_MIN: Readonly<Record<GradeFamily, number>> = {
  stainless: 240,
  'high-alloy': 120,
  'low-alloy': 60,
}

/** How long a quenched blade may wait for its cold where its route asks for no longer, min: its austenite stands. Common practice, no published source. */
export const COLD_WITHIN_MIN = 120
