/** Oven sizes: what the plate of one says. How it heats and cools is its wall model's (OVEN_BUILDS). */
export interface OvenPreset {
  readonly name: 'small' | 'medium' | 'large'
  readonly label: string
  readonly powerW: number
  readonly chamberMm: { readonly width: number; readonly height: number; readonly depth: number }
  readonly maxC: number
}

export const OVEN_PRESETS: readonly OvenPreset[] = [
  { name: 'small', label: 'Small, 1.8 kW', powerW: 1800, chamberMm: { width: 150, height: 110, depth: 350 }, maxC: 1200 },
  { name: 'medium', label: 'Medium, 2.2 kW', powerW: 2200, chamberMm: { width: 150, height: 110, depth: 450 }, maxC: 1200 },
  { name: 'large', label: 'Large, 3.6 kW', powerW: 3600, chamberMm: { width: 200, height: 150, depth: 600 }, maxC: 1280 },
]

/** A layer of the wall: its conductivity is k0 + kPerC·°C + kPerK3·K³, W/mK. Textbook values, from memory. */
export const WALL_MATERIALS = {
  brick: { k0: 0.15, kPerC: 1.5e-4, kPerK3: 0, densityKgPerM3: 520, cp: 1050 },
  fibre: { k0: 0.035, kPerC: 0, kPerK3: 1.2e-10, densityKgPerM3: 128, cp: 1080 },
  board: { k0: 0.055, kPerC: 1.1e-4, kPerK3: 0, densityKgPerM3: 280, cp: 1080 },
} as const
export type WallMaterial = keyof typeof WALL_MATERIALS

/** An oven in detail: what the wall model needs beside the preset's chamber and power. */
export interface OvenBuild {
  readonly layers: readonly { readonly material: WallMaterial; readonly mm: number }[]
  /** Leak past the door and through the ports, W/K from the hot face. */
  readonly leakWPerK: number
  readonly element: { readonly areaM2: number; readonly capacityJPerK: number }
  /** Rack and hearth plate, J/K. */
  readonly furnitureJPerK: number
  /** Factors on the wall's conductivity and heat capacity that a log of this oven taught; absent: the materials' own. */
  readonly wall?: { readonly k: number; readonly c: number }
}

/** Walls of the presets, tuned so that the top end is as slow as makers find it: calibrated, not predicted. */
export const OVEN_BUILDS: Readonly<Record<OvenPreset['name'], OvenBuild>> = {
  small: { layers: [{ material: 'brick', mm: 65 }, { material: 'fibre', mm: 6 }], leakWPerK: 0.4, element: { areaM2: 0.08, capacityJPerK: 220 }, furnitureJPerK: 600 },
  medium: { layers: [{ material: 'brick', mm: 75 }, { material: 'fibre', mm: 12 }], leakWPerK: 0.5, element: { areaM2: 0.1, capacityJPerK: 300 }, furnitureJPerK: 600 },
  large: { layers: [{ material: 'board', mm: 25 }, { material: 'fibre', mm: 75 }], leakWPerK: 0.3, element: { areaM2: 0.15, capacityJPerK: 450 }, furnitureJPerK: 1200 },
}

/** Convection inside, emissivities, thermocouple lag and the door. Textbook values, from memory. */
export const OVEN_PHYSICS = {
  hInsideWPerM2K: 8,
  emissivityWall: 0.8,
  emissivityElement: 0.8,
  shellEmissivity: 0.8,
  /** Shell convection 1.31·ΔT^(1/3). */
  shellConvection: 1.31,
  doorDischarge: 0.6,
  thermocoupleTauS: 40,
  /** First cell of the wall, mm, and its growth. */
  firstCellMm: 0.5,
  growth: 1.25,
  cells: 19,
} as const

/** How packets come to heat. */
export const ENTRY_SCHOOLS = ['from-cold', 'on-the-way-up', 'equalised', 'straight-in'] as const
export type EntrySchool = (typeof ENTRY_SCHOOLS)[number]

/** Where blades go in on the way up, °C, and the preheats that stand in where a grade asks for none. Common practice, no published source. */
export const WAY_UP_C = 800
export const STAND_IN_PREHEATS: readonly { readonly atC: number; readonly holdMin: number }[] = [
  { atC: 600, holdMin: 10 },
  { atC: 800, holdMin: 10 },
]

/** How controllers ask for a ramp, which couples they take, and where elements glow. */
export const RAMP_KINDS = ['per-hour', 'per-minute', 'minutes-to-target'] as const
export type RampKind = (typeof RAMP_KINDS)[number]
export const THERMOCOUPLES = ['K', 'N', 'S', 'R'] as const
export const ELEMENT_SIDES = ['sides', 'sides-and-back', 'back', 'top'] as const
export type ElementSides = (typeof ELEMENT_SIDES)[number]
