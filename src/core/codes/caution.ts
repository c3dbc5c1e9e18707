import type { Nothing, Said } from './said'

/** Cautions about a result, with their parameters. Lengths in mm, temperatures in °C. */
export interface CautionCodes {
  // A route for a steel.
  'above-window': { readonly atC: number; readonly minC: number; readonly maxC: number }
  'below-window': { readonly atC: number; readonly minC: number; readonly maxC: number }
  'long-soak': { readonly soakMin: number; readonly usualMin: number }
  'coarse-grain': { readonly atC: number }
  'lean-matrix': Nothing
  'much-austenite': { readonly share: number }
  'low-ms': Nothing
  'slow-quench': { readonly seconds: number; readonly softShare: number }
  'late-cold': { readonly delayMin: number }
  'short-cold': { readonly holdMin: number; readonly toC: number; readonly reachedC: number }
  'robbed-chromium': Nothing
  'second-temper': Nothing
  'temper-above-soak': Nothing
  untempered: Nothing
  'far-from-chart': { readonly shiftHrc: number }
  'outside-model': { readonly elements: readonly OutsideModel[] }
  // Foil.
  'tight-end': { readonly endMm: number; readonly usualMm: number }
  'thick-corner': { readonly layers: number; readonly mm: number }
  'one-fold': Nothing
  shared: Nothing
  'thick-seam': { readonly layers: number }
  // Before the heat.
  'thin-edge': { readonly mark: string; readonly edgeMm: number; readonly skinMm: number }
  warp: { readonly mark: string; readonly leastMm: number }
  // Oven.
  'not-reached': { readonly step: number; readonly longestMin: number }
  'not-loaded': Nothing
  'not-soaked': { readonly withinK: number }
  'rate-limited': Nothing
  'log-not-followed': Nothing
  'no-cooling-leg': Nothing
  'no-climb': Nothing
  // Rack: what stands wrong, by blade.
  outside: { readonly widthMm: number; readonly depthMm: number }
  element: { readonly withinMm: number }
  overlap: Nothing
  close: { readonly withinMm: number }
  blocked: Nothing
  // Plates.
  'thin-plates': { readonly plateMm: number; readonly bladeMm: number }
  'small-plates': Nothing
  melting: { readonly atC: number }
  'plates-hot': { readonly blade: number; readonly leavesC: number }
  // Cold.
  'air-refused': AirRefused
  'air-limit': {
    readonly gas: 'co2' | 'oxygen'
    readonly level: number
    readonly limit: number
    readonly name: AirLimitName
  }
  'nitrogen-spill': { readonly litres: number; readonly oxygenPercent: number }
  solvent: { readonly fluid: string; readonly flashC: number }
  // A place to read at.
  'beside-blade': Nothing
  bevel: Nothing
  edge: { readonly mm: number; readonly leastMm: number }
  near: { readonly mm: number; readonly leastMm: number }
  slope: { readonly degrees: number; readonly withinDegrees: number }
  thin: { readonly mm: number; readonly leastMm: number }
}

export interface OutsideModel {
  readonly element: string
  readonly value: number
  readonly least: number
  readonly most: number
}

/** Limits of the air at a workplace, by what they are a mean over. */
export type AirLimitName = 'eight-hours' | 'fifteen-minutes' | 'instant-co2' | 'instant-oxygen'

/** A chill that this room does not allow. */
export type AirRefused = {
  readonly gas: 'co2' | 'nitrogen'
  /** CO2 at its peak, ppm; oxygen at its least, %. */
  readonly level: number
  /** Air changes an hour that would do; null: none would. */
  readonly neededAirChangesPerH: number | null
}

export type CautionCode = keyof CautionCodes
export type Caution = Said<CautionCodes>

/** One caution of a known code. */
export const caution = <C extends CautionCode>(code: C, params: CautionCodes[C]): Caution =>
  ({ code, params }) as Caution
