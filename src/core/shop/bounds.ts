import * as z from 'zod/mini'

// Zod's compiled validators use eval, which the content security policy refuses.
z.config({ jitless: true })

/** A number within limits, both included. */
export const between = (min: number, max: number) => z.number().check(z.minimum(min), z.maximum(max))
/** A whole number within limits, both included. */
export const wholeBetween = (min: number, max: number) => z.int().check(z.minimum(min), z.maximum(max))

/**
 * Bounds of what the shop can mean; a value outside is a slip of the keys. The one table of them: records, fields, files and HTTP
 * all read it. The unit is in the name.
 */
export const BOUNDS = {
  // Route
  austenitizeC: { min: 700, max: 1300 },
  temperC: { min: 50, max: 750 },
  coldC: { min: -200, max: 10 },
  snapTemperC: { min: 80, max: 300 },
  quenchedToC: { min: -30, max: 200 },
  soakMin: { min: 0.5, max: 600 },
  holdMin: { min: 1, max: 6000 },
  delayMin: { min: 0, max: 100_000 },
  seconds800to500: { min: 0.1, max: 10_000 },
  chillTauMin: { min: 0.01, max: 1_000 },
  edgeDeg: { min: 8, max: 35 },
  // Hardness
  hrc: { min: 20, max: 70 },
  readingHrc: { min: 5, max: 70 },
  fileHrc: { min: 20, max: 70 },
  certifiedSdHrc: { min: 0, max: 3 },
  blockIndents: { min: 1, max: 5000 },
  faceDiameterMm: { min: 6, max: 500 },
  placeAlongMm: { min: 0, max: 1000 },
  placeAcrossMm: { min: 0, max: 200 },
  // Blades
  bladeLengthMm: { min: 30, max: 900 },
  bladeWidthMm: { min: 5, max: 150 },
  bladeThicknessMm: { min: 0.5, max: 12 },
  bladeCount: { min: 1, max: 60 },
  countedOut: { min: 0, max: 3600 },
  edgeMm: { min: 0.1, max: 12 },
  tangThicknessMm: { min: 0.3, max: 12 },
  tangLengthMm: { min: 5, max: 630 },
  tangWidthMm: { min: 2, max: 150 },
  bowMm: { min: 0, max: 50 },
  rackMm: { min: -50, max: 2000 },
  // Finishing
  holeMm: { min: 1, max: 30 },
  edgeLeftMm: { min: 0.02, max: 5 },
  groundOffMm: { min: 0, max: 3 },
  // Edge tests
  behindEdgeMm: { min: 0.05, max: 3 },
  grit: { min: 40, max: 60_000 },
  testAmount: { min: 1, max: 100_000 },
  chipDepthMm: { min: 0.01, max: 10 },
  // Envelopes and foil
  folds: { min: 1, max: 4 },
  foldMm: { min: 3, max: 30 },
  foilEndMm: { min: 1, max: 150 },
  foilEdgeMm: { min: 1, max: 60 },
  bladesBeside: { min: 1, max: 12 },
  bladesEndToEnd: { min: 1, max: 6 },
  foilGapMm: { min: 0, max: 30 },
  rollWidthMm: { min: 100, max: 1300 },
  longestSectionMm: { min: 50, max: 2000 },
  foilPricePerM: { min: 0, max: 1000 },
  foilLeftMm: { min: 0, max: 200_000 },
  offcutWidthMm: { min: 20, max: 2000 },
  offcutLengthMm: { min: 20, max: 20_000 },
  // Plates
  plateThicknessMm: { min: 5, max: 80 },
  plateWidthMm: { min: 40, max: 300 },
  plateLengthMm: { min: 100, max: 1200 },
  plateStartC: { min: -20, max: 150 },
  contactWPerM2K: { min: 10, max: 10_000 },
  plateAirWPerM2K: { min: 1, max: 1500 },
  plateReadAfterS: { min: 2, max: 7200 },
  plateReadAfterMin: { min: 1, max: 120 },
  plateReadC: { min: -20, max: 700 },
  // Cold
  bathLitres: { min: 0, max: 60 },
  vesselKg: { min: 0, max: 40 },
  lossWPerK: { min: 0.05, max: 5 },
  roomC: { min: -10, max: 45 },
  inspectMin: { min: 2, max: 120 },
  handsMoreS: { min: -5, max: 120 },
  roomM3: { min: 4, max: 5000 },
  airChangesPerH: { min: 0, max: 60 },
  boxLengthMm: { min: 50, max: 3000 },
  boxWidthMm: { min: 50, max: 2000 },
  boxDepthMm: { min: 50, max: 2000 },
  coolantPrice: { min: 0, max: 1000 },
  // Money
  coatPricePerM2: { min: 0, max: 1000 },
  argonPricePerPacket: { min: 0, max: 100 },
  argonPricePerM3: { min: 0, max: 1000 },
  vacuumPricePerBlade: { min: 0, max: 1000 },
  abrasivesPricePerBlade: { min: 0, max: 100 },
  hourPrice: { min: 0, max: 500 },
  kWhPrice: { min: 0, max: 10 },
  steelPricePerKg: { min: 0, max: 2000 },
  beltsPricePerBlade: { min: 0, max: 100 },
  taskMin: { min: 0, max: 2000 },
  // Ovens
  chamberSideMm: { min: 60, max: 1500 },
  powerW: { min: 300, max: 30_000 },
  volts: { min: 90, max: 480 },
  ovenMaxC: { min: 200, max: 1300 },
  controllerSteps: { min: 1, max: 99 },
  longestHoldMin: { min: 10, max: 6000 },
  correctionK: { min: -60, max: 60 },
  ovenSetC: { min: 50, max: 1300 },
  displayC: { min: 20, max: 1350 },
  thermometerSdK: { min: 0.2, max: 20 },
  surveyMm: { min: 0, max: 1500 },
  logMin: { min: 0, max: 100_000 },
} as const satisfies Record<string, { readonly min: number; readonly max: number }>

export type BoundName = keyof typeof BOUNDS

/** A number within the limits of its name. */
export const bounded = (name: BoundName) => between(BOUNDS[name].min, BOUNDS[name].max)
/** A whole number within the limits of its name. */
export const wholeBounded = (name: BoundName) => wholeBetween(BOUNDS[name].min, BOUNDS[name].max)

/** The longest texts that are kept, in characters; fields, files and HTTP read them here. */
export const LONGEST = {
  mark: 12,
  serial: 24,
  serialPattern: 24,
  gradeName: 40,
  lot: 40,
  ovenName: 40,
  blockName: 40,
  batchName: 80,
  recipeName: 80,
  shopName: 80,
  fileName: 120,
  testName: 40,
  leak: 200,
  buyer: 200,
  source: 300,
  why: 1000,
  remark: 1000,
  note: 4000,
  fullPower: 8,
} as const satisfies Record<string, number>

/** A text of at most the length of its name. */
export const textUpTo = (name: keyof typeof LONGEST) => z.string().check(z.maxLength(LONGEST[name]))

/** Lines of blades, steels and blades that one batch may have. */
export const MOST = { lines: 60, groups: 6, bladesInBatch: 240, storedBlades: 3600, tempers: 8 } as const

export const id = z.string().check(z.minLength(1), z.maxLength(120))
export const instant = z.iso.datetime()
