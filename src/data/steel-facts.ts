import type { Composition } from './grades'
import { GRADES } from './grades'

/** Steels that behave alike: the model's error is told for each family. */
export const MODEL_FAMILIES = [
  'stainless',
  'stainless-lean',
  'stainless-powder',
  'air-hardening',
  'vanadium-rich',
  'high-speed',
  'low-alloy',
] as const
export type ModelFamily = (typeof MODEL_FAMILIES)[number]

/** A figure of the model that something outside it states. */
export const FACT_FIGURES = ['hrc', 'retained', 'carbon', 'chromium', 'carbide'] as const
export type FactFigure = (typeof FACT_FIGURES)[number]

/** Stated figure of a steel after a route: HRC, shares 0..1 (retained austenite, carbide by weight), wt% in solution. */
export interface SteelFact {
  readonly steel: string
  readonly family: ModelFamily
  readonly composition: Composition
  readonly made: 'ingot' | 'powder'
  readonly austenitizeC: number
  readonly soakMin: number
  readonly coldToC: number | null
  /** Tempers of 2 h. */
  readonly tempersC: readonly number[]
  readonly figure: FactFigure
  readonly stated: number
  /** How well it is known, one standard deviation. */
  readonly sd: number
  readonly source: string
  /** Whether it is a point of a chart that a shipped grade is read from. */
  readonly onChart: boolean
  /** 'fit': the constants were moved toward it; 'frozen': no fit ever sees it. */
  readonly use: 'fit' | 'frozen'
}

const PRACTICE = 'common practice, no published source'
const ISO = 'ISO 4957 (the least a test piece must reach), from memory'
const ASM = 'ASM handbook, from memory'
const MILL = 'mill practice for the standard grade, from memory'
const TEXT = 'textbook metallurgy, from memory'
const STATED = 'stated for steel of this composition, from memory'

interface Named {
  readonly family: ModelFamily
  readonly composition: Composition
  readonly made?: 'powder'
}

const STEELS = {
  '13Cr-0.67C': { family: 'stainless', composition: { C: 0.67, Cr: 13, Si: 0.4, Mn: 0.6 } },
  '14Cr-4Mo-1.05C': { family: 'stainless', composition: { C: 1.05, Cr: 14, Mo: 4, Si: 0.3, Mn: 0.5 } },
  '440A': { family: 'stainless', composition: { C: 0.68, Cr: 17, Mo: 0.5, Si: 0.4, Mn: 0.4 } },
  '440B': { family: 'stainless', composition: { C: 0.85, Cr: 17, Mo: 0.5, Si: 0.4, Mn: 0.4 } },
  '440C': { family: 'stainless', composition: { C: 1.05, Cr: 17, Mo: 0.5, Si: 0.4, Mn: 0.4 } },
  X46Cr13: { family: 'stainless-lean', composition: { C: 0.46, Cr: 13.3, Si: 0.4, Mn: 0.5 } },
  X40Cr14: { family: 'stainless-lean', composition: { C: 0.4, Cr: 13.5, Si: 0.5, Mn: 0.5 } },
  X50CrMoV15: { family: 'stainless', composition: { C: 0.5, Cr: 14.5, Mo: 0.65, V: 0.15, Si: 0.4, Mn: 0.5 } },
  '18Cr-1Mo-3V-1.7C': { family: 'stainless-powder', composition: { C: 1.7, Cr: 18, Mo: 1, V: 3, Si: 0.5, Mn: 0.4 } },
  A2: { family: 'air-hardening', composition: { C: 1, Cr: 5.1, Mo: 1.05, V: 0.25, Si: 0.3, Mn: 0.6 } },
  D2: { family: 'air-hardening', composition: { C: 1.55, Cr: 11.8, Mo: 0.8, V: 0.8, Si: 0.35, Mn: 0.4 } },
  D3: { family: 'air-hardening', composition: { C: 2.1, Cr: 12, Si: 0.3, Mn: 0.4 } },
  S7: { family: 'air-hardening', composition: { C: 0.5, Cr: 3.25, Mo: 1.4, V: 0.2, Si: 0.4, Mn: 0.6 } },
  '8Cr-1Mo-1.6V-1C': { family: 'air-hardening', composition: { C: 1, Cr: 8, Mo: 1.1, V: 1.6, Si: 0.9, Mn: 0.35 } },
  M2: { family: 'high-speed', composition: { C: 0.9, Cr: 4.1, Mo: 5, W: 6.3, V: 1.85, Si: 0.3, Mn: 0.3 } },
  M4: { family: 'high-speed', composition: { C: 1.35, Cr: 4.2, Mo: 4.5, W: 5.7, V: 4, Si: 0.3, Mn: 0.3 }, made: 'powder' },
  'HS6-5-3': { family: 'high-speed', composition: { C: 1.2, Cr: 4.1, Mo: 5, W: 6.4, V: 3, Si: 0.3, Mn: 0.3 } },
  O1: { family: 'low-alloy', composition: { C: 0.95, Cr: 0.5, W: 0.5, V: 0.1, Si: 0.3, Mn: 1.15 } },
  '52100': { family: 'low-alloy', composition: { C: 1, Cr: 1.45, Si: 0.25, Mn: 0.35 } },
  '1075': { family: 'low-alloy', composition: { C: 0.76, Si: 0.25, Mn: 0.7 } },
  '90MnCrV8': { family: 'low-alloy', composition: { C: 0.9, Cr: 0.35, V: 0.1, Si: 0.25, Mn: 2 } },
  '80CrV2': { family: 'low-alloy', composition: { C: 0.8, Cr: 0.55, V: 0.2, Si: 0.3, Mn: 0.4 } },
  '0.38C-13.6Cr-0.3V': { family: 'stainless-lean', composition: { C: 0.38, Cr: 13.6, V: 0.3, Si: 0.9, Mn: 0.5 } },
  '0.60C-13.5Cr': { family: 'stainless', composition: { C: 0.6, Cr: 13.5, Mn: 0.4, Si: 0.4 } },
  X90CrMoV18: { family: 'stainless', composition: { C: 0.9, Cr: 17.8, Mo: 1.1, V: 0.1, Si: 0.4, Mn: 0.5 } },
  '1.07C-17Cr-1Mo-1.5Co': { family: 'stainless', composition: { C: 1.07, Cr: 17, Mo: 1.1, V: 0.1, Co: 1.5, Si: 0.4, Mn: 0.4 } },
  '1.15C-14.5Cr-4Mo-1.2V': { family: 'stainless', composition: { C: 1.15, Cr: 14.5, Mo: 4, V: 1.2, Si: 0.3, Mn: 0.5 } },
  '1.05C-14Cr-4Mo powder': { family: 'stainless-powder', composition: { C: 1.05, Cr: 14, Mo: 4, Si: 0.5, Mn: 0.5 }, made: 'powder' },
  '1.45C-14Cr-2Mo-4V powder': { family: 'stainless-powder', composition: { C: 1.45, Cr: 14, Mo: 2, V: 4, Si: 0.5, Mn: 0.5 }, made: 'powder' },
  '1.7C-18Cr-1Mo-3V powder': { family: 'stainless-powder', composition: { C: 1.7, Cr: 18, Mo: 1, V: 3, Si: 0.8, Mn: 0.3 }, made: 'powder' },
  '2.15C-17Cr-5.5V powder': { family: 'stainless-powder', composition: { C: 2.15, Cr: 17, Mo: 0.4, V: 5.5, Si: 0.4, Mn: 0.4 }, made: 'powder' },
  '0.30C-0.42N-15Cr-1Mo': { family: 'stainless-lean', composition: { C: 0.3, N: 0.42, Cr: 15.2, Mo: 1, Si: 0.6, Mn: 0.4 } },
  '0.40C-0.2N-16Cr-1.7Mo': { family: 'stainless-lean', composition: { C: 0.4, N: 0.2, Cr: 15.7, Mo: 1.7, V: 0.3, Si: 0.4, Mn: 0.5 } },
  '2.2C-12Cr-1Mo': { family: 'air-hardening', composition: { C: 2.2, Cr: 12, Mo: 1, Si: 0.3, Mn: 0.4 } },
  '0.7C-5Cr-2.3Mo-0.5V': { family: 'air-hardening', composition: { C: 0.7, Cr: 5, Mo: 2.3, V: 0.5, Si: 0.2, Mn: 0.5 } },
  '0.9C-7.8Cr-2.5Mo-0.5V': { family: 'air-hardening', composition: { C: 0.9, Cr: 7.8, Mo: 2.5, V: 0.5, Si: 0.9, Mn: 0.5 } },
  '0.8C-7.5Cr-1.3Mo-2.75V powder': { family: 'vanadium-rich', composition: { C: 0.8, Cr: 7.5, Mo: 1.3, V: 2.75, Si: 0.9, Mn: 0.4 }, made: 'powder' },
  '1.4C-4.7Cr-3.5Mo-3.7V powder': { family: 'vanadium-rich', composition: { C: 1.4, Cr: 4.7, Mo: 3.5, V: 3.7, Si: 0.4, Mn: 0.4 }, made: 'powder' },
  '2.45C-5.25Cr-1.3Mo-9.75V powder': { family: 'vanadium-rich', composition: { C: 2.45, Cr: 5.25, Mo: 1.3, V: 9.75, Si: 0.9, Mn: 0.5 }, made: 'powder' },
  '60WCrV8': { family: 'low-alloy', composition: { C: 0.6, Cr: 1.05, W: 2, V: 0.15, Si: 0.7, Mn: 0.3 } },
  L6: { family: 'low-alloy', composition: { C: 0.72, Mn: 0.6, Cr: 0.8, Ni: 1.5, Mo: 0.3, Si: 0.25 } },
  '1084': { family: 'low-alloy', composition: { C: 0.84, Mn: 0.75, Si: 0.25 } },
  '5160': { family: 'low-alloy', composition: { C: 0.6, Mn: 0.85, Cr: 0.8, Si: 0.25 } },
  '115CrV3': { family: 'low-alloy', composition: { C: 1.18, Cr: 0.7, V: 0.1, Mn: 0.3, Si: 0.25 } },
  M7: { family: 'high-speed', composition: { C: 1.0, Cr: 3.8, Mo: 8.7, W: 1.75, V: 2, Si: 0.3, Mn: 0.3 } },
  'HS3-3-2': { family: 'high-speed', composition: { C: 1.0, Cr: 4.1, Mo: 2.7, W: 2.9, V: 2.4, Si: 0.3, Mn: 0.3 } },
  M35: { family: 'high-speed', composition: { C: 0.92, Cr: 4.1, Mo: 5, W: 6.4, V: 1.9, Co: 4.8, Si: 0.3, Mn: 0.3 } },
  'HS6-5-3 powder': { family: 'high-speed', composition: { C: 1.28, Cr: 4.1, Mo: 5, W: 6.4, V: 3.1, Si: 0.5, Mn: 0.3 }, made: 'powder' },
  M50: { family: 'high-speed', composition: { C: 0.84, Cr: 4.1, Mo: 4.25, V: 1, Si: 0.2, Mn: 0.25 } },
  '1.1C-7.5Cr-1.6Mo-1.15W-2.4V powder': { family: 'vanadium-rich', composition: { C: 1.1, Cr: 7.5, Mo: 1.6, W: 1.15, V: 2.4, Si: 0.9, Mn: 0.4 }, made: 'powder' },
  '2.9C-8Cr-1.5Mo-9.8V powder': { family: 'vanadium-rich', composition: { C: 2.9, Cr: 8, Mo: 1.5, V: 9.8, Si: 0.5, Mn: 0.5 }, made: 'powder' },
  '2.47C-4.2Cr-3.8Mo-9V-1W-2Co powder': { family: 'vanadium-rich', composition: { C: 2.47, Cr: 4.2, Mo: 3.8, V: 9, W: 1, Co: 2, Si: 0.55, Mn: 0.4 }, made: 'powder' },
  '2.1C-6.8Cr-1.5Mo-5.4V powder': { family: 'vanadium-rich', composition: { C: 2.1, Cr: 6.8, Mo: 1.5, V: 5.4, Si: 1, Mn: 0.4 }, made: 'powder' },
  'HS18-0-1': { family: 'high-speed', composition: { C: 0.78, Cr: 4.1, W: 18, V: 1.1, Si: 0.3, Mn: 0.3 } },
  'HS10-4-3-10': { family: 'high-speed', composition: { C: 1.27, Cr: 4.1, Mo: 3.6, W: 9.5, V: 3.3, Co: 10, Si: 0.3, Mn: 0.3 } },
  X20Cr13: { family: 'stainless-lean', composition: { C: 0.2, Cr: 13, Si: 0.5, Mn: 0.8 } },
  'X39CrMo17-1': { family: 'stainless-lean', composition: { C: 0.38, Cr: 16.5, Mo: 1.1, Ni: 0.4, Si: 0.5, Mn: 0.8 } },
} as const satisfies Record<string, Named>

type Name = keyof typeof STEELS

type Row = readonly [
  steel: Name, austenitizeC: number, soakMin: number, coldToC: number | null, tempersC: readonly number[],
  figure: FactFigure, stated: number, sd: number, source: string,
]

const FIT: readonly Row[] = [
  ['D2', 1080, 30, null, [520, 520], 'hrc', 60.5, 0.5, TEXT],
  ['14Cr-4Mo-1.05C', 1065, 30, -75, [460, 460], 'hrc', 63.25, 0.75, PRACTICE],
  ['14Cr-4Mo-1.05C', 1065, 30, null, [], 'hrc', 61.75, 0.4, PRACTICE],
  ['14Cr-4Mo-1.05C', 1065, 30, -75, [], 'hrc', 63.5, 0.4, PRACTICE],
  ['13Cr-0.67C', 1066, 15, -75, [197, 197], 'hrc', 60.5, 0.4, PRACTICE],
  ['13Cr-0.67C', 1085, 15, null, [], 'hrc', 62, 0.4, PRACTICE],
  ['13Cr-0.67C', 1095, 15, -196, [], 'hrc', 64, 0.4, PRACTICE],
  ['13Cr-0.67C', 1066, 15, null, [], 'retained', 0.2, 0.06, TEXT],
  ['440C', 1040, 30, null, [], 'retained', 0.15, 0.06, TEXT],
  ['18Cr-1Mo-3V-1.7C', 1080, 20, null, [], 'chromium', 11.5, 0.15, PRACTICE],
  ['D2', 1010, 30, null, [], 'chromium', 7.7, 0.15, PRACTICE],
  ['D2', 1010, 30, null, [], 'retained', 0.13, 0.05, TEXT],
  ['D2', 1080, 30, null, [], 'retained', 0.38, 0.08, TEXT],
  ['D3', 955, 30, null, [205], 'hrc', 62, 0.8, ASM],
  ['D3', 955, 30, null, [315], 'hrc', 58.5, 0.8, ASM],
  ['D3', 955, 30, null, [425], 'hrc', 56.5, 0.8, ASM],
  ['A2', 980, 30, null, [], 'retained', 0.175, 0.02, TEXT],
  ['A2', 970, 30, null, [], 'carbide', 0.06, 0.015, TEXT],
  ['A2', 1025, 30, null, [], 'carbide', 0.035, 0.012, TEXT],
  ['S7', 940, 20, null, [205], 'hrc', 58, 0.8, ASM],
  ['S7', 940, 20, null, [315], 'hrc', 55, 0.8, ASM],
  ['S7', 940, 20, null, [540], 'hrc', 51, 0.8, ASM],
  ['X46Cr13', 1030, 15, null, [], 'hrc', 56, 1, MILL],
  ['8Cr-1Mo-1.6V-1C', 1040, 30, null, [200, 200], 'hrc', 61.5, 1, MILL],
  ['8Cr-1Mo-1.6V-1C', 1060, 30, null, [520, 520], 'hrc', 62.5, 1, MILL],
  ['M2', 1210, 4, null, [], 'retained', 0.22, 0.05, TEXT],
  ['M2', 1210, 4, null, [], 'carbon', 0.52, 0.06, TEXT],
  ['M4', 1205, 5, null, [540, 540], 'hrc', 65.5, 0.8, ASM],
  ['M4', 1150, 10, null, [550, 550], 'hrc', 63.5, 0.8, ASM],
  ['1075', 815, 3, null, [], 'hrc', 64, 0.5, PRACTICE],
  ['52100', 845, 20, null, [], 'retained', 0.09, 0.03, TEXT],
  ['52100', 845, 20, null, [], 'carbon', 0.62, 0.06, TEXT],
  ['O1', 800, 20, null, [], 'retained', 0.09, 0.03, TEXT],
  ['D2', 1020, 30, null, [180], 'hrc', 61, 0.7, ISO],
  ['A2', 970, 30, null, [180], 'hrc', 60, 0.7, ISO],
  ['M2', 1210, 4, null, [560, 560], 'hrc', 64, 0.7, ISO],
  ['0.38C-13.6Cr-0.3V', 1030, 30, null, [], 'hrc', 56, 0.8, STATED],
  ['0.38C-13.6Cr-0.3V', 1025, 30, null, [250, 250], 'hrc', 52, 0.7, STATED],
  ['0.38C-13.6Cr-0.3V', 1025, 30, null, [500, 500], 'hrc', 53.5, 1.0, STATED],
  ['0.38C-13.6Cr-0.3V', 1025, 30, null, [600, 600], 'hrc', 37, 1.5, STATED],
  ['0.60C-13.5Cr', 1080, 10, -75, [175, 175], 'hrc', 60, 0.7, STATED],
  ['0.60C-13.5Cr', 1080, 10, null, [225], 'hrc', 57, 0.8, STATED],
  ['0.60C-13.5Cr', 1080, 10, null, [350], 'hrc', 55, 1.0, STATED],
  ['X90CrMoV18', 1050, 20, null, [], 'hrc', 59, 1.0, STATED],
  ['X90CrMoV18', 1050, 20, null, [200], 'hrc', 57, 1.0, STATED],
  ['X90CrMoV18', 1050, 20, null, [300], 'hrc', 55, 1.0, STATED],
  ['1.15C-14.5Cr-4Mo-1.2V', 1121, 25, -75, [524, 524], 'hrc', 62, 0.8, STATED],
  ['1.15C-14.5Cr-4Mo-1.2V', 1121, 25, -75, [177, 177], 'hrc', 62.5, 1.0, STATED],
  ['1.05C-14Cr-4Mo powder', 1065, 30, -75, [204, 204], 'hrc', 61, 0.7, STATED],
  ['1.05C-14Cr-4Mo powder', 1065, 30, -75, [427, 427], 'hrc', 61, 1.0, STATED],
  ['1.45C-14Cr-2Mo-4V powder', 1066, 20, -196, [204, 204], 'hrc', 61.2, 0.7, STATED],
  ['1.45C-14Cr-2Mo-4V powder', 1066, 20, null, [204, 204], 'hrc', 60, 0.7, STATED],
  ['1.45C-14Cr-2Mo-4V powder', 1038, 20, -196, [204, 204], 'hrc', 60, 0.8, STATED],
  ['1.7C-18Cr-1Mo-3V powder', 1080, 25, null, [200, 200], 'hrc', 59, 0.8, STATED],
  ['1.7C-18Cr-1Mo-3V powder', 1080, 25, -75, [200, 200], 'hrc', 60.5, 0.8, STATED],
  ['1.7C-18Cr-1Mo-3V powder', 1080, 25, -75, [500, 500], 'hrc', 60, 1.0, STATED],
  ['1.7C-18Cr-1Mo-3V powder', 1050, 25, null, [200, 200], 'hrc', 57.8, 1.0, STATED],
  ['0.30C-0.42N-15Cr-1Mo', 1030, 20, -80, [150, 150], 'hrc', 59.5, 0.8, STATED],
  ['0.30C-0.42N-15Cr-1Mo', 1030, 20, null, [], 'hrc', 56, 1.5, STATED],
  ['0.30C-0.42N-15Cr-1Mo', 1030, 20, -80, [475, 475], 'hrc', 58.5, 1.2, STATED],
  ['0.40C-0.2N-16Cr-1.7Mo', 1050, 20, -75, [180, 180], 'hrc', 57.5, 1.0, STATED],
  ['0.7C-5Cr-2.3Mo-0.5V', 1020, 30, null, [525, 525], 'hrc', 60.5, 0.8, STATED],
  ['0.7C-5Cr-2.3Mo-0.5V', 1000, 30, null, [540, 540], 'hrc', 59, 1.0, STATED],
  ['0.8C-7.5Cr-1.3Mo-2.75V powder', 1066, 30, null, [540, 540, 540], 'hrc', 59.5, 0.7, STATED],
  ['0.8C-7.5Cr-1.3Mo-2.75V powder', 1024, 30, null, [540, 540, 540], 'hrc', 58, 0.8, STATED],
  ['0.8C-7.5Cr-1.3Mo-2.75V powder', 1066, 30, -196, [204, 204], 'hrc', 60.7, 0.8, STATED],
  ['1.4C-4.7Cr-3.5Mo-3.7V powder', 1020, 30, null, [525, 525, 525], 'hrc', 60, 0.8, STATED],
  ['1.4C-4.7Cr-3.5Mo-3.7V powder', 1060, 30, null, [525, 525, 525], 'hrc', 62, 0.8, STATED],
  ['1.4C-4.7Cr-3.5Mo-3.7V powder', 1100, 20, null, [525, 525, 525], 'hrc', 63.3, 0.8, STATED],
  ['1.4C-4.7Cr-3.5Mo-3.7V powder', 1150, 10, null, [525, 525, 525], 'hrc', 64.5, 0.8, STATED],
  ['1.4C-4.7Cr-3.5Mo-3.7V powder', 1020, 30, null, [200, 200], 'hrc', 61.5, 1.0, STATED],
  ['2.45C-5.25Cr-1.3Mo-9.75V powder', 1121, 20, null, [540, 540], 'hrc', 62.3, 0.8, STATED],
  ['2.45C-5.25Cr-1.3Mo-9.75V powder', 1177, 8, null, [540, 540], 'hrc', 63.7, 0.8, STATED],
  ['2.45C-5.25Cr-1.3Mo-9.75V powder', 1024, 30, null, [540, 540], 'hrc', 57.5, 1.2, STATED],
  ['60WCrV8', 910, 20, null, [180], 'hrc', 59.5, 1.0, STATED],
  ['5160', 845, 15, null, [], 'hrc', 62, 0.8, STATED],
  ['5160', 845, 15, null, [205], 'hrc', 58.5, 0.8, STATED],
  ['5160', 845, 15, null, [315], 'hrc', 54.5, 1.0, STATED],
  ['5160', 845, 15, null, [425], 'hrc', 48, 1.5, STATED],
  ['115CrV3', 800, 10, null, [180], 'hrc', 63, 0.9, STATED],
  ['M7', 1200, 4, null, [550, 550], 'hrc', 65.5, 0.8, STATED],
  ['HS3-3-2', 1190, 5, null, [550, 550], 'hrc', 63.7, 0.9, STATED],
  ['HS6-5-3 powder', 1050, 20, null, [560, 560, 560], 'hrc', 59.5, 1.0, STATED],
  ['HS6-5-3 powder', 1150, 8, null, [560, 560, 560], 'hrc', 64.3, 0.7, STATED],
  ['HS6-5-3 powder', 1180, 5, null, [560, 560, 560], 'hrc', 65.5, 0.7, STATED],
  ['1.1C-7.5Cr-1.6Mo-1.15W-2.4V powder', 1066, 30, null, [540, 540, 540], 'hrc', 62, 0.8, STATED],
  ['1.1C-7.5Cr-1.6Mo-1.15W-2.4V powder', 1066, 30, -196, [204, 204], 'hrc', 62.8, 0.8, STATED],
  ['1.1C-7.5Cr-1.6Mo-1.15W-2.4V powder', 1010, 30, -196, [204, 204], 'hrc', 61.3, 0.8, STATED],
  ['M2', 1100, 15, null, [560, 560], 'hrc', 61, 0.9, STATED],
  ['M2', 1150, 8, null, [560, 560], 'hrc', 63, 0.8, STATED],
  ['M2', 1150, 8, null, [], 'hrc', 65, 1.0, STATED],
  ['2.9C-8Cr-1.5Mo-9.8V powder', 1020, 30, null, [525, 525], 'hrc', 60, 1.0, STATED],
  ['2.9C-8Cr-1.5Mo-9.8V powder', 1060, 30, null, [525, 525], 'hrc', 62, 1.0, STATED],
  ['2.9C-8Cr-1.5Mo-9.8V powder', 1100, 20, null, [525, 525], 'hrc', 63.3, 1.0, STATED],
  ['HS18-0-1', 1260, 3, null, [560, 560], 'hrc', 64.3, 0.8, STATED],
  ['X20Cr13', 1000, 20, null, [], 'hrc', 47, 1.2, STATED],
  ['X20Cr13', 1000, 20, null, [600], 'hrc', 27, 2.0, STATED],
  ['X39CrMo17-1', 1030, 20, null, [200], 'hrc', 50, 1.3, STATED],
  ['X39CrMo17-1', 1030, 20, null, [500], 'hrc', 50, 1.6, STATED],
  ['X39CrMo17-1', 1030, 20, null, [600], 'hrc', 36, 2.0, STATED],
  ['X46Cr13', 1040, 20, null, [600], 'hrc', 37, 2.0, STATED],
  ['440C', 1040, 30, null, [600], 'hrc', 43, 1.6, STATED],
  ['X90CrMoV18', 1050, 20, null, [500], 'hrc', 54.5, 1.6, STATED],
  ['X90CrMoV18', 1050, 20, null, [600], 'hrc', 43, 2.0, STATED],
]

const FROZEN: readonly Row[] = [
  ['14Cr-4Mo-1.05C', 1065, 30, -75, [530, 530], 'hrc', 59.25, 0.5, PRACTICE],
  ['440A', 1040, 30, null, [315], 'hrc', 51, 1, ASM],
  ['440B', 1040, 30, null, [315], 'hrc', 55, 1, ASM],
  ['X50CrMoV15', 1040, 15, null, [200], 'hrc', 55.5, 1, MILL],
  ['D2', 1030, 30, null, [500, 500], 'hrc', 58.5, 0.7, TEXT],
  ['D3', 970, 30, null, [180], 'hrc', 62, 0.8, ISO],
  ['X40Cr14', 1010, 20, null, [180], 'hrc', 52, 0.8, ISO],
  ['M4', 1210, 4, null, [560, 560], 'hrc', 64, 0.8, ISO],
  ['HS6-5-3', 1200, 4, null, [560, 560], 'hrc', 64, 0.8, ISO],
  ['90MnCrV8', 790, 15, null, [180], 'hrc', 60, 0.8, ISO],
  ['80CrV2', 830, 8, null, [200], 'hrc', 60, 0.8, PRACTICE],
  ['440B', 1050, 20, null, [], 'hrc', 59, 0.8, STATED],
  ['440B', 1040, 20, null, [150], 'hrc', 58.5, 0.8, STATED],
  ['440B', 1040, 20, null, [425], 'hrc', 55, 1.2, STATED],
  ['1.07C-17Cr-1Mo-1.5Co', 1050, 30, null, [200, 200], 'hrc', 58.5, 0.8, STATED],
  ['1.07C-17Cr-1Mo-1.5Co', 1060, 30, -75, [200, 200], 'hrc', 60, 0.8, STATED],
  ['1.07C-17Cr-1Mo-1.5Co', 1060, 30, null, [400], 'hrc', 57.5, 1.0, STATED],
  ['2.15C-17Cr-5.5V powder', 1121, 20, null, [204, 204], 'hrc', 58, 1.2, STATED],
  ['2.2C-12Cr-1Mo', 985, 30, null, [205], 'hrc', 61.5, 1.0, STATED],
  ['0.9C-7.8Cr-2.5Mo-0.5V', 1030, 30, null, [525, 525], 'hrc', 62, 0.8, STATED],
  ['0.9C-7.8Cr-2.5Mo-0.5V', 1030, 30, null, [200, 200], 'hrc', 61, 1.0, STATED],
  ['0.9C-7.8Cr-2.5Mo-0.5V', 1080, 30, null, [540, 540], 'hrc', 62.5, 1.0, STATED],
  ['L6', 845, 15, null, [205], 'hrc', 59, 1.0, STATED],
  ['L6', 845, 15, null, [315], 'hrc', 55, 1.0, STATED],
  ['L6', 845, 15, null, [], 'hrc', 62.5, 1.0, STATED],
  ['1084', 815, 10, null, [], 'hrc', 65, 0.7, STATED],
  ['1084', 815, 10, null, [205], 'hrc', 60.5, 0.7, STATED],
  ['1084', 815, 10, null, [260], 'hrc', 58, 0.8, STATED],
  ['M35', 1210, 4, null, [560, 560], 'hrc', 65.7, 0.8, STATED],
  ['M50', 1110, 10, null, [540, 540, 540], 'hrc', 62.3, 0.8, STATED],
  ['M50', 1110, 10, null, [], 'hrc', 63.8, 0.9, STATED],
  ['2.47C-4.2Cr-3.8Mo-9V-1W-2Co powder', 1080, 25, null, [550, 550, 550], 'hrc', 61.5, 1.2, STATED],
  ['2.47C-4.2Cr-3.8Mo-9V-1W-2Co powder', 1150, 10, null, [550, 550, 550], 'hrc', 63.5, 1.0, STATED],
  ['2.1C-6.8Cr-1.5Mo-5.4V powder', 1050, 30, null, [525, 525], 'hrc', 61.5, 1.0, STATED],
  ['2.1C-6.8Cr-1.5Mo-5.4V powder', 1100, 20, null, [525, 525], 'hrc', 63, 1.0, STATED],
  ['HS10-4-3-10', 1220, 3, null, [550, 550, 550], 'hrc', 66.5, 0.8, STATED],
  ['HS10-4-3-10', 1180, 5, null, [550, 550, 550], 'hrc', 65.5, 1.0, STATED],
]

const factOf =
  (use: SteelFact['use'], onChart: boolean) =>
  ([steel, austenitizeC, soakMin, coldToC, tempersC, figure, stated, sd, source]: Row): SteelFact => {
    const named: Named = STEELS[steel]
    return {
      steel,
      family: named.family,
      composition: named.composition,
      made: named.made ?? 'ingot',
      austenitizeC,
      soakMin,
      coldToC,
      tempersC,
      figure,
      stated,
      sd,
      source,
      onChart,
      use,
    }
  }

/** The charts of the grades, as facts of their compositions: what the chart itself never is, with the model alone. */
const CHARTED: readonly (readonly [gradeId: string, steel: Name])[] = [
  ['X105CrMo17', '440C'],
  ['X153CrMoV12', 'D2'],
  ['X100CrMoV5', 'A2'],
  ['HS6-5-2C', 'M2'],
  ['95MnWCr5', 'O1'],
  ['100Cr6', '52100'],
  ['C75S', '1075'],
]

/** The points of one chart are of one heat and move together: each counts less than a figure stated by itself, HRC. */
const CHART_POINT_SD = 1

const chartRows: readonly Row[] = CHARTED.flatMap(([gradeId, steel]) => {
  const chart = GRADES.find(grade => grade.id === gradeId)?.chart
  if (!chart) throw new RangeError(`no chart of ${gradeId}`)
  const { austenitizeC, soakMin, coldToC, temperCount } = chart.reference
  return chart.points.map(
    ([atC, hrc]): Row => [
      steel, austenitizeC, soakMin, coldToC, Array.from({ length: temperCount }, () => atC), 'hrc', hrc, CHART_POINT_SD, chart.source,
    ],
  )
})

/** Everything stated from outside that the model is fitted to or held against. Nothing here follows what the model gives. */
export const STEEL_FACTS: readonly SteelFact[] = [
  ...chartRows.map(factOf('fit', true)),
  ...FIT.map(factOf('fit', false)),
  ...FROZEN.map(factOf('frozen', false)),
]

/** The shipped grade whose chart a steel of the facts has; null where it has none. */
export const chartedGradeOf = (steel: string): string | null => CHARTED.find(([, name]) => name === steel)?.[0] ?? null
