import type { Nothing, Said } from './said'

/** Where a length of foil is known from: noted as cut, laid by hand, the computed plan, or the area of envelopes no plan could lay. */
export type FoilSource = 'cut' | 'by-hand' | 'plan' | 'area'

/**
 * Lines of the working behind figures. What they are called, by which equation and after whom is said in `src/words`; the line
 * carries its value, its unit and what its words need.
 */
export interface WorkingCodes {
  // Steel, from composition to hardness.
  'solubility-product': Nothing
  'dissolved-by-soak': Nothing
  'carbon-in-austenite': Nothing
  'chromium-in-austenite': Nothing
  'martensite-start': Nothing
  'martensite-start-other': Nothing
  'retained-quenched': Nothing
  'retained-cold': Nothing
  'soft-products': Nothing
  'untempered-model': Nothing
  'tempering-parameter': Nothing
  'tempering-chart': { readonly source: string }
  'chart-and-model': { readonly sdHrc: number }
  'own-readings': { readonly readings: number }
  'band-one-sigma': { readonly parts: readonly BandPart[] }
  'band-narrowed': { readonly by: NarrowedBy }
  // Rockwell.
  'readings-mean': { readonly n: number }
  'scatter-of-mean': { readonly sdHrc: number; readonly degreesOfFreedom: number; readonly beforeHrc: number }
  'dial-resolution': Nothing
  'test-block': { readonly by: 'block' | 'unchecked' | 'tester-outside' | 'block-far' }
  'coverage-factor': Nothing
  // Cold.
  'steel-heat-dry-ice': Nothing
  'bath-heat': { readonly source: string }
  'vessel-heat': Nothing
  'leak-heat': Nothing
  'sublimation-heat': { readonly source: string }
  'co2-in-room': Nothing
  'steel-heat-nitrogen': Nothing
  'vaporisation-heat': { readonly source: string }
  'oxygen-in-room': Nothing
  'oxygen-after-spill': Nothing
  // Plates.
  'contact-through-foil': { readonly plates: boolean }
  'steel-on-cooling': Nothing
  'rate-800-500': { readonly plates: boolean }
  // Preparing and protecting.
  'skin-bare': Nothing
  'skin-share': Nothing
  'tang-taper': Nothing
  'protection-material': Nothing
  'protection-work': { readonly blades: number; readonly hourPrice: number }
  // On the benches.
  'tray-weight': Nothing
  'hottest-step': { readonly marginK: number }
  'foil-bound': { readonly proven: boolean }
  'foil-over-bound': Nothing
  'foil-left-over': Nothing
  'foil-used': Nothing
  'foil-price': Nothing
  'climb-rate': { readonly preheated: boolean }
  'lag-alone': Nothing
  'lag-crowded': Nothing
  'to-full-heat': { readonly afterLoad: boolean }
  'heat-energy': Nothing
  'heat-cost': Nothing
  'blade-between-plates': { readonly blade: number; readonly plateC: number }
  'third-martensite': Nothing
  'warm-seconds': Nothing
  'temper-lag': { readonly fan: boolean | null }
  'coolest-temper': Nothing
  'chance-in-target': { readonly min: number; readonly max: number }
  'foil-cost': { readonly from: FoilSource; readonly factor: number }
  'foil-cost-per-blade': { readonly blades: number }
  // Oven.
  'batch-cost': { readonly good: number }
  'full-power-climb': { readonly logName: string | null }
  'mains-current': Nothing
  'correction-by': { readonly kind: 'sensor' | 'survey' | 'hardness'; readonly count: number; readonly sdK: number }
}

/** Source of a prediction's uncertainty, HRC; `element` for the scatter of one element between lots. */
export interface BandPart {
  readonly part: 'model' | 'lot' | 'readings' | 'batch' | 'soak-temperature' | 'soak-time' | 'temper-temperature'
  readonly element?: string | undefined
  readonly sd: number
}

/** Measurement that narrows a prediction; checked: on a tester checked on a block that day. */
export type NarrowedBy = 'one-reading' | 'three-readings' | 'three-readings-checked'

/** Units a line's value can have; '' for a plain number. */
export type WorkingUnit =
  | ''
  | 'HRC'
  | 'C'
  | 'K'
  | 'wt%'
  | 'wt%²'
  | '%'
  | 'ppm'
  | 'kJ'
  | 'kJ/kg'
  | 'W/m²K'
  | 'K/s'
  | 'K/h'
  | 'mm'
  | 'm'
  | 'kg'
  | 's'
  | 'min'
  | 'h'
  | 'A'
  | 'kWh'
  | 'money'
  | 'share'

export type WorkingCode = keyof WorkingCodes

/** One line of the working behind a computed figure; without a value where the line only says what was used. */
export type WorkingLine = Said<WorkingCodes> & { readonly value: number | null; readonly unit: WorkingUnit }

/** One line of a known code. */
export const worked = <C extends WorkingCode>(
  code: C,
  value: number | null,
  unit: WorkingUnit,
  params: WorkingCodes[C],
): WorkingLine => ({ code, value, unit, params }) as WorkingLine
