/** Properties of the blade, its foil, plates and air. Textbook values, from memory, unless said. SI but °C. */
export const STEEL_THERMAL = {
  densityKgPerM3: 7700,
  /** Heating: 450 + 0.25·min(T, 700) J/kgK, with a transformation peak of 70 kJ/kg centred at 760 °C, σ 30 K; k = 24 + 0.003 T W/mK. */
  heating: { cp0: 450, cpPerC: 0.25, cpToC: 700, peakJPerKg: 70_000, peakC: 760, peakSigmaC: 30, k0: 24, kPerC: 0.003 },
  /** Cooling as austenite: 500 + 0.12 T J/kgK; martensite gives back about 60 kJ/kg (50 to 85). */
  cooling: { cp0: 500, cpPerC: 0.12, martensiteJPerKg: 60_000 },
  source: 'textbook values, from memory',
} as const

export const FOIL_THERMAL = {
  emissivityOutside: 0.7,
  emissivityInside: 0.35,
  emissivityBlade: 0.4,
  gapMm: 0.5,
  heatCapacityJPerM2K: 217,
  source: 'textbook values, from memory',
} as const

/** Metals of plates. Handbook values, from memory. */
export const PLATE_METALS = {
  'aluminium-6061': { label: 'aluminium 6061', conductivity: 167, densityKgPerM3: 2700, cp: 896 },
  'aluminium-1050': { label: 'pure aluminium 1050', conductivity: 229, densityKgPerM3: 2705, cp: 900 },
  copper: { label: 'copper', conductivity: 390, densityKgPerM3: 8960, cp: 385 },
  steel: { label: 'plain steel', conductivity: 50, densityKgPerM3: 7850, cp: 470 },
} as const
export type PlateMetal = keyof typeof PLATE_METALS

/** Contact through clamped foil, W/m²K, and plates to air. Common practice, no published source. */
export const CONTACT = { clampedFoil: 800, clampedLow: 300, clampedHigh: 1200, stillAir: 8, fan: 35, airBlast: 80, iceWater: 400 } as const

/** The same from plates to air, by how they are cooled. */
export const PLATE_AIR = { still: CONTACT.stillAir, fan: CONTACT.fan, 'air-blast': CONTACT.airBlast } as const

/** A tempering oven's air to a bare blade, W/m²K, and the emissivity of ground steel in the glow of its walls: within textbook values, from memory; calibrated on the reference for 3 mm at h 10. */
export const TEMPER_AIR = { still: 10, fan: 25, emissivity: 0.3 } as const

export const STEFAN_BOLTZMANN = 5.670374419e-8
