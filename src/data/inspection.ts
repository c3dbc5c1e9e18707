/** Inspection when the foil comes off. Common practice, no published source, unless said. */
export const INSPECTION = {
  /** Bow a blade may keep, mm over each 100 mm of its length, and never asked finer than a thin gauge. */
  bowMmPer100: 0.1,
  leastBowMm: 0.1,
  /** Grinding can take out this share of the thickness from each side. */
  grindableShare: 0.1,
  /** Martensite a blade may hold and still be set by hand, 0..1: beyond it, it cracks. */
  workableMartensite: 0.35,
  /** Too hot above this to be set straight by hand without new bows, °C. */
  workableFromC: 400,
  /** A reading this far under the least predicted (95 %) is not scatter, HRC. */
  softByHrc: 1,
} as const

export const BENT_AT = ['tip', 'middle', 'tang', 'twist'] as const
export const COLOURS = ['bright', 'tinted', 'grey', 'flaking'] as const
export const COLOUR_WORDS: Readonly<Record<(typeof COLOURS)[number], string>> = {
  bright: 'bright, as it went in',
  tinted: 'tinted straw to blue',
  grey: 'even dull grey',
  flaking: 'dark scale that flakes',
}
