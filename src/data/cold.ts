/** Coolants, baths and what a shop's air may hold. Sources at each value. */
export const DRY_ICE = {
  boilsAtC: -78.5,
  latentJPerKg: 571_000,
  gasM3PerKg: 0.5466,
  /** Loose pellets. Common practice, no published source. */
  bulkKgPerL: 0.85,
  source: 'sublimation of CO2 571 kJ/kg, gas at 20 °C; handbook values, from memory',
} as const

/** Baths; flash points closed cup, °C. */
export const BATHS = {
  isopropanol: { label: 'isopropanol', densityKgPerM3: 785, cp: 2350, flashC: 12, source: 'handbook value, from memory' },
  ethanol: { label: 'ethanol', densityKgPerM3: 789, cp: 2200, flashC: 13, source: 'handbook value, from memory' },
  acetone: { label: 'acetone', densityKgPerM3: 784, cp: 2160, flashC: -20, source: 'handbook value, from memory' },
  none: { label: 'no bath', densityKgPerM3: 0, cp: 0, flashC: null, source: '' },
} as const

export type BathFluid = keyof typeof BATHS

/** Heat given up by steel from 20 °C, J/kg. Source: Debye model, 432 K, from memory. */
export const STEEL_CHILL_J_PER_KG = { toDryIce: 38_900, toLiquidNitrogen: 73_700, fromC: 20, dryIceC: -75 } as const

export const VESSEL_CP = 900

/** A workshop's air, where nothing else is said, °C. */
export const USUAL_ROOM_C = 20

/** CO2 in air, ppm: 8 h (OSHA, EU), 15 min (ACGIH) and immediately dangerous (NIOSH), from memory. */
export const CO2_LIMITS_PPM = { eightHours: 5_000, fifteenMinutes: 30_000, immediatelyDangerous: 40_000 } as const

export const LIQUID_NITROGEN = {
  boilsAtC: -195.8,
  latentJPerKg: 199_200,
  densityKgPerL: 0.807,
  gasM3PerL: 0.693,
  /** Cooling the inner wall of an insulated vessel down once, where its weight is not known, J. Common practice, no published source. */
  vesselJ: 10_000,
  /** Aluminium from 20 °C to the boiling point, J/kg. Handbook value, from memory. */
  vesselJPerKg: 170_000,
  source: 'vaporisation of N2 199.2 kJ/kg, 0.807 kg/L, gas at 20 °C; handbook values, from memory',
} as const

/** Oxygen in air and the least for work without breathing gear, %. Source: OSHA 29 CFR 1910.134, from memory. */
export const OXYGEN = { normalPercent: 20.9, leastPercent: 19.5 } as const

/**
 * Steel near 0 °C, J/kgK, and what takes heat from a face, W/m²K: a freezer's air with radiation, dry ice in a liquid, loose pellets with
 * their gas between, nitrogen in film boiling. Within textbook values, from memory; the slurry's is calibrated on the reference's 54 s.
 */
export const CHILL = {
  steelCp: 450, stillWPerM2K: 8.5, fanWPerM2K: 16, slurryWPerM2K: 330, pelletsWPerM2K: 40, nitrogenWPerM2K: 150,
} as const

/** Inside of a box that was not measured yet, mm. Common practice, no published source. */
export const USUAL_BOX_MM = { length: 350, width: 250, depth: 200 } as const
