import type { Composition } from './grades'
import { GRADES } from './grades'

/** Steels that behave alike: the model's error is told for each family. */
export const MODEL_FAMILIES = ['stainless', 'air-hardening', 'high-speed', 'low-alloy'] as const
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
  X46Cr13: { family: 'stainless', composition: { C: 0.46, Cr: 13.3, Si: 0.4, Mn: 0.5 } },
  X40Cr14: { family: 'stainless', composition: { C: 0.4, Cr: 13.5, Si: 0.5, Mn: 0.5 } },
  X50CrMoV15: { family: 'stainless', composition: { C: 0.5, Cr: 14.5, Mo: 0.65, V: 0.15, Si: 0.4, Mn: 0.5 } },
  '18Cr-1Mo-3V-1.7C': { family: 'stainless', composition: { C: 1.7, Cr: 18, Mo: 1, V: 3, Si: 0.5, Mn: 0.4 } },
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
  ['A2', 980, 30, null, [], 'retained', 0.175, 0.03, TEXT],
  ['A2', 970, 30, null, [], 'carbide', 0.06, 0.02, TEXT],
  ['A2', 1025, 30, null, [], 'carbide', 0.035, 0.015, TEXT],
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
