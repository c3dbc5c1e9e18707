/** Operator time, h, and electricity, kWh, of each option for a small batch. Common practice, no published source. */
export const VERDICT_COSTS = {
  accept: { attendedH: 0, kWh: 0 },
  temper: { attendedH: 0.4, kWh: 1.5 },
  cold: { attendedH: 1, kWh: 1.5 },
  'anneal-and-reharden': { attendedH: 6, kWh: 14 },
  scrap: { attendedH: 0, kWh: 0 },
} as const

/** Tempering here softens martensitic steel with hardly any gain in toughness, °C. Source: tempered martensite embrittlement, handbooks, from memory. */
export const EMBRITTLED_C = { from: 260, to: 380 } as const
/** Less than this of a change in hardness is none to speak of, HRC. */
export const TELLS_HRC = 0.4
