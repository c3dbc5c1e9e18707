/** Composition in wt%; what is not named is 0 (iron is the rest). */
export interface Composition {
  readonly C: number
  readonly N?: number
  readonly Si?: number
  readonly Mn?: number
  readonly Cr?: number
  readonly Mo?: number
  readonly W?: number
  readonly V?: number
  readonly Nb?: number
  readonly Ni?: number
  readonly Co?: number
  readonly Cu?: number
}

/** The route a tempering chart was measured on. */
export interface ReferenceRoute {
  readonly austenitizeC: number
  readonly soakMin: number
  readonly quenchedToC: number
  readonly coldToC: number | null
  readonly temperHoldMin: number
  readonly temperCount: number
}

export interface TemperingChart {
  readonly reference: ReferenceRoute
  /** [temper °C, HRC], rising in temperature. */
  readonly points: readonly (readonly [temperC: number, hrc: number])[]
  readonly source: string
}

/** One heating step held until the load is even, before the soak. */
export interface Equalise {
  readonly atC: number
  readonly holdMin: number
}

export interface Grade {
  /** First name: EN/ISO designation; the address in files and over HTTP. */
  readonly name: string
  /** Other standard designations (AISI, UNS, EN number). */
  readonly alsoNamed: readonly string[]
  readonly family: 'stainless' | 'high-alloy'
  readonly nominal: Composition
  readonly compositionSource: string
  readonly austenitize: {
    readonly minC: number
    readonly maxC: number
    readonly defaultC: number
    readonly source: string
  }
  readonly soak: { readonly minMin: number; readonly maxMin: number; readonly source: string }
  readonly equalise: readonly Equalise[]
  /** Highest temper that keeps corrosion resistance or toughness, and the lowest worth doing. */
  readonly temper: { readonly minC: number; readonly maxC: number; readonly source: string }
  /** What the blade needs from the quench to harden fully: seconds from 800 to 500 °C at the most. */
  readonly quench: { readonly slowest800to500S: number; readonly source: string }
  readonly chart: TemperingChart | null
  readonly usualTarget: { readonly minHrc: number; readonly maxHrc: number }
  readonly note: string
}

const MEMORY = 'from memory'

/** Grades shipped with the application. Every figure names its source; 'from memory' is a recalled value. */
export const GRADES: readonly Grade[] = [
  {
    name: 'X65Cr13',
    alsoNamed: ['1.4037'],
    family: 'stainless',
    nominal: { C: 0.67, Si: 0.4, Mn: 0.6, Cr: 13 },
    compositionSource: `EN 10088-1 range 0.58-0.70 C, 12.5-14.5 Cr; nominal toward the upper carbon of strip for blades, ${MEMORY}`,
    austenitize: { minC: 1020, maxC: 1110, defaultC: 1065.6, source: 'common practice, no published source' },
    soak: { minMin: 10, maxMin: 25, source: 'common practice, no published source' },
    equalise: [{ atC: 760, holdMin: 10 }],
    temper: { minC: 150, maxC: 260, source: 'common practice, no published source' },
    quench: { slowest800to500S: 60, source: `air-hardening to several millimetres, ${MEMORY}` },
    chart: null,
    usualTarget: { minHrc: 59.5, maxHrc: 61 },
    note: 'Fine carbides, easy to sharpen, takes a thin edge. Best hardness near 1080 °C with cold.',
  },
  {
    name: 'X50CrMoV15',
    alsoNamed: ['1.4116'],
    family: 'stainless',
    nominal: { C: 0.5, Si: 0.4, Mn: 0.5, Cr: 14.5, Mo: 0.65, V: 0.15 },
    compositionSource: `EN 10088-1 range 0.45-0.55 C, 14-15 Cr, 0.5-0.8 Mo, 0.1-0.2 V, ${MEMORY}`,
    austenitize: { minC: 1000, maxC: 1080, defaultC: 1040, source: `mill practice, ${MEMORY}` },
    soak: { minMin: 10, maxMin: 25, source: 'common practice, no published source' },
    equalise: [{ atC: 760, holdMin: 10 }],
    temper: { minC: 150, maxC: 250, source: `mill practice, ${MEMORY}` },
    quench: { slowest800to500S: 80, source: `air-hardening, ${MEMORY}` },
    chart: null,
    usualTarget: { minHrc: 55, maxHrc: 57 },
    note: 'Very stainless and forgiving; does not hold a fine edge as long.',
  },
  {
    name: 'X105CrMo17',
    alsoNamed: ['1.4125', 'AISI 440C', 'UNS S44004'],
    family: 'stainless',
    nominal: { C: 1.05, Si: 0.4, Mn: 0.4, Cr: 17, Mo: 0.5 },
    compositionSource: `EN 10088-3 range 0.95-1.20 C, 16-18 Cr, 0.4-0.8 Mo, ${MEMORY}`,
    austenitize: { minC: 1010, maxC: 1080, defaultC: 1050, source: `ASM handbook, heat treating: 1010-1065 °C, ${MEMORY}` },
    soak: { minMin: 15, maxMin: 30, source: 'common practice, no published source' },
    equalise: [{ atC: 790, holdMin: 10 }],
    temper: { minC: 150, maxC: 370, source: `ASM handbook, heat treating, ${MEMORY}` },
    quench: { slowest800to500S: 90, source: `air-hardening, ${MEMORY}` },
    chart: {
      reference: { austenitizeC: 1040, soakMin: 30, quenchedToC: 25, coldToC: null, temperHoldMin: 120, temperCount: 1 },
      points: [
        [150, 60],
        [205, 59],
        [260, 57],
        [315, 56],
        [370, 56],
        [425, 56],
      ],
      source: `ASM handbook, tempering of 440C from 1040 °C, ${MEMORY}`,
    },
    usualTarget: { minHrc: 58, maxHrc: 60 },
    note: 'Large chromium carbides: wears well, wants a slightly stouter edge.',
  },
  {
    name: 'X153CrMoV12',
    alsoNamed: ['1.2379', 'AISI D2', 'UNS T30402'],
    family: 'high-alloy',
    nominal: { C: 1.55, Si: 0.35, Mn: 0.4, Cr: 11.8, Mo: 0.8, V: 0.8 },
    compositionSource: `ISO 4957 range 1.45-1.60 C, 11-13 Cr, 0.7-1.0 Mo, 0.7-1.0 V, ${MEMORY}`,
    austenitize: { minC: 980, maxC: 1070, defaultC: 1020, source: `ISO 4957: 1020 °C; upper end for secondary hardening, ${MEMORY}` },
    soak: { minMin: 20, maxMin: 40, source: `ASM handbook, heat treating, ${MEMORY}` },
    equalise: [{ atC: 790, holdMin: 15 }],
    temper: { minC: 150, maxC: 540, source: `ASM handbook, heat treating, ${MEMORY}` },
    quench: { slowest800to500S: 200, source: `deep air-hardening, ${MEMORY}` },
    chart: {
      reference: { austenitizeC: 1010, soakMin: 30, quenchedToC: 25, coldToC: null, temperHoldMin: 120, temperCount: 1 },
      points: [
        [150, 62.5],
        [205, 61],
        [260, 59.5],
        [315, 58],
        [370, 58],
        [425, 57.5],
        [480, 58],
        [510, 58],
        [540, 55.5],
        [595, 48],
      ],
      source: `ASM handbook, tempering of D2 from 1010 °C in air, ${MEMORY}`,
    },
    usualTarget: { minHrc: 59.5, maxHrc: 61.5 },
    note: 'Not quite stainless; wears very well, hard to grind after hardening.',
  },
  {
    name: 'X100CrMoV5',
    alsoNamed: ['1.2363', 'AISI A2', 'UNS T30102'],
    family: 'high-alloy',
    nominal: { C: 1.0, Si: 0.3, Mn: 0.6, Cr: 5.1, Mo: 1.05, V: 0.25 },
    compositionSource: `ISO 4957 range 0.95-1.05 C, 4.8-5.5 Cr, 0.9-1.2 Mo, 0.15-0.35 V, ${MEMORY}`,
    austenitize: { minC: 925, maxC: 985, defaultC: 960, source: `ISO 4957: 970 °C; ASM handbook 925-980 °C, ${MEMORY}` },
    soak: { minMin: 20, maxMin: 40, source: `ASM handbook, heat treating, ${MEMORY}` },
    equalise: [{ atC: 760, holdMin: 15 }],
    temper: { minC: 150, maxC: 540, source: `ASM handbook, heat treating, ${MEMORY}` },
    quench: { slowest800to500S: 120, source: `air-hardening, ${MEMORY}` },
    chart: {
      reference: { austenitizeC: 960, soakMin: 30, quenchedToC: 25, coldToC: null, temperHoldMin: 120, temperCount: 1 },
      points: [
        [150, 62],
        [205, 60],
        [260, 59],
        [315, 57],
        [370, 56.5],
        [425, 56.5],
        [480, 56],
        [540, 55],
        [595, 50],
      ],
      source: `ASM handbook, tempering of A2 from about 960 °C in air, ${MEMORY}`,
    },
    usualTarget: { minHrc: 59, maxHrc: 61 },
    note: 'Tough and even; rusts like any tool steel. Keep it oiled.',
  },
]
