export interface FoilType {
  readonly name: string
  /** Hottest step the foil stands, °C. */
  readonly maxC: number
}

/** Stainless tool wrap, coolest first. Source: common practice, no published source. */
export const FOIL_TYPES: readonly FoilType[] = [
  { name: '321', maxC: 1093.3 },
  { name: '309', maxC: 1226.7 },
]

/** Kept between the hottest step and the foil's limit: an oven overshoots. Common practice, no published source. */
export const FOIL_MARGIN_C = 10

export const FOIL = {
  thicknessMm: 0.05,
  /** Common practice, no published source: folds 8 to 10 mm, rolled twice, 25 mm free at each end. */
  envelope: { folds: 2, foldMm: 9, endMm: 25, edgeMm: 10 },
  /** Chromium-nickel steel foil; textbook, from memory. */
  densityKgPerM3: 7900,
} as const

/** Share of the roll that ends up in packets: what the cut plans of the demo's fifteen batches use together (one by one 0.58 to 0.99). */
export const ROLL_USE = 0.87

/** How an envelope is made from its sheet. */
export const FOLD_WAYS = ['spine', 'two-sheets', 'tip'] as const
export type FoldWay = (typeof FOLD_WAYS)[number]
