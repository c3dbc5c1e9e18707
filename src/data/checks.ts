import type { Composition } from './grades'

/** A stated hardness the model is held against. Nothing here was adjusted to what the model gives. */
export interface HardnessCheck {
  readonly name: string
  readonly steel: { readonly composition: Composition } | { readonly grade: string }
  readonly austenitizeC: number
  readonly soakMin: number
  readonly coldToC: number | null
  /** Tempers of 2 h. */
  readonly tempersC: readonly number[]
  readonly statedHrc: number
  readonly withinHrc: number
  readonly source: string
}

const PRACTICE = 'common practice, no published source'
const ISO = 'ISO 4957, hardness after tempering at 180 °C, from memory'
const ASM = 'ASM handbook tempering table, from memory'

const CR13: Composition = { C: 0.67, Cr: 13, Si: 0.4, Mn: 0.6 }
const CR14_MO4: Composition = { C: 1.05, Cr: 14, Mo: 4, Si: 0.3, Mn: 0.5 }
const D2: Composition = { C: 1.55, Cr: 11.8, Mo: 0.8, V: 0.8, Si: 0.35, Mn: 0.4 }
const D3: Composition = { C: 2.1, Cr: 12, Si: 0.3, Mn: 0.4 }
const A2: Composition = { C: 1, Cr: 5.1, Mo: 1.05, V: 0.25, Si: 0.3, Mn: 0.6 }
const C440: Composition = { C: 1.05, Cr: 17, Mo: 0.5, Si: 0.4, Mn: 0.4 }
const M2: Composition = { C: 0.9, Cr: 4.1, Mo: 5, W: 6.3, V: 1.85, Si: 0.3, Mn: 0.3 }

type Row = readonly [
  name: string, steel: Composition | string, austenitizeC: number, soakMin: number, coldToC: number | null,
  tempersC: readonly number[], statedHrc: number, source: string,
]

const ROWS: readonly Row[] = [
  ['14Cr-4Mo-1.05C as quenched', CR14_MO4, 1065, 30, null, [], 61.75, PRACTICE],
  ['14Cr-4Mo-1.05C after dry ice', CR14_MO4, 1065, 30, -75, [], 63.5, PRACTICE],
  ['13Cr-0.65C, dry ice, twice at 197 °C', CR13, 1066, 15, -75, [197, 197], 60.5, PRACTICE],
  ['13Cr-0.65C at its best, no cold', CR13, 1085, 15, null, [], 62, PRACTICE],
  ['13Cr-0.65C at its best, liquid nitrogen', CR13, 1095, 15, -196, [], 64, PRACTICE],
  ['X153CrMoV12', D2, 1020, 30, null, [180], 61, ISO],
  ['X210Cr12', D3, 970, 30, null, [180], 62, ISO],
  ['X100CrMoV5', A2, 970, 30, null, [180], 60, ISO],
  ['HS6-5-2C, twice at 560 °C', M2, 1210, 4, null, [560, 560], 64, 'ISO 4957, from memory'],
  ['440C', C440, 1040, 30, null, [205], 59, ASM],
  ['440C', C440, 1040, 30, null, [315], 56, ASM],
  ['D2', D2, 1010, 30, null, [205], 61, ASM],
  ['D2', D2, 1010, 30, null, [425], 57.5, ASM],
  ['D2', D2, 1010, 30, null, [540], 55.5, ASM],
  ['A2', A2, 960, 30, null, [205], 60, ASM],
  ['A2', A2, 960, 30, null, [540], 55, ASM],
  ['M2, twice', M2, 1210, 4, null, [540, 540], 65.5, ASM],
  ['M2, twice', M2, 1210, 4, null, [620, 620], 59, ASM],
  ['X105CrMo17 with its chart', 'X105CrMo17', 1040, 30, null, [205], 59, ASM],
  ['X153CrMoV12 with its chart, ISO', 'X153CrMoV12', 1020, 30, null, [180], 61, ISO],
  ['X153CrMoV12 with its chart', 'X153CrMoV12', 1010, 30, null, [540], 55.5, ASM],
  ['X100CrMoV5 with its chart, ISO', 'X100CrMoV5', 970, 30, null, [180], 60, ISO],
  ['X100CrMoV5 with its chart', 'X100CrMoV5', 960, 30, null, [425], 56.5, ASM],
  ['HS6-5-2C with its chart, ISO', 'HS6-5-2C', 1210, 4, null, [560, 560], 64, 'ISO 4957, from memory'],
]

/** Composition-only checks within 1.5 HRC, grades with a chart within 1.0. */
export const HARDNESS_CHECKS: readonly HardnessCheck[] = ROWS.map(
  ([name, steel, austenitizeC, soakMin, coldToC, tempersC, statedHrc, source]) => ({
    name,
    steel: typeof steel === 'string' ? { grade: steel } : { composition: steel },
    austenitizeC,
    soakMin,
    coldToC,
    tempersC,
    statedHrc,
    withinHrc: typeof steel === 'string' ? 1 : 1.5,
    source,
  }),
)
