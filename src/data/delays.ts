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

/**
 * Longest delay from quench to cold that a route starts with, min: retained austenite stabilises while it stands. The route's own
 * figure, which the maker may change, is the limit of plan, run and warnings alike. Common practice, no published source.
 */
export const COLD_WITHIN_MIN = 120
/** Delay from which a caution says how much less the cold does, min. Common practice, no published source. */
export const LATE_COLD_MIN = 240
/** Delay counted for a cold that comes after a temper, min: a day. Common practice, no published source. */
export const COLD_AFTER_TEMPER_MIN = 1440
/** Delay counted for a cold after a snap temper of an hour and the way back to room temperature, min. Common practice, no published source. */
export const COLD_AFTER_SNAP_MIN = 120

/** A snap temper before the cold, °C: low enough to relieve, too low to soften. Common practice, no published source. */
export const SNAP_TEMPER_C = 150
