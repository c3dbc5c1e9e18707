import { STEEL_THERMAL } from '../../data/thermal'

/** A chamber as one node: full power drives it toward settlesAtC with time constant tauMin. */
export interface ChamberModel {
  readonly powerW: number
  readonly heating: { readonly settlesAtC: number; readonly tauMin: number }
  readonly cooling: { readonly tauMin: number }
}

export const AMBIENT_C = 20

/** Heat capacity of steel in the chamber, J/K, at a mean of 650 J/kgK between cold and soak. */
export const loadCapacity = (steelKg: number): number => steelKg * 650

/** Weight of a plain bar of steel, kg. */
export const bladeKg = (blade: { lengthMm: number; widthMm: number; thicknessMm: number }): number =>
  blade.lengthMm * blade.widthMm * blade.thicknessMm * 1e-9 * STEEL_THERMAL.densityKgPerM3

/** Heat capacity of the chamber itself in this model, J/K. */
const chamberCapacity = (oven: ChamberModel) =>
  (oven.powerW / (oven.heating.settlesAtC - AMBIENT_C)) * oven.heating.tauMin * 60

/** Time constant toward full heat with a load in, min. */
export const loadedTauMin = (oven: ChamberModel, steelKg: number): number =>
  oven.heating.tauMin * (1 + loadCapacity(steelKg) / chamberCapacity(oven))

/**
 * Minutes at full power from one temperature to a hotter one; infinite past what the oven can reach.
 * @example heatUpMin(medium, 20, 790, 0) // about 38
 */
export function heatUpMin(oven: ChamberModel, fromC: number, toC: number, steelKg: number): number {
  if (toC <= fromC) return 0
  const { settlesAtC } = oven.heating
  if (toC >= settlesAtC) return Number.POSITIVE_INFINITY
  return loadedTauMin(oven, steelKg) * Math.log((settlesAtC - fromC) / (settlesAtC - toC))
}

/** Minutes with the door shut and power off from one temperature down to another. */
export function coolDownMin(oven: ChamberModel, fromC: number, toC: number): number {
  if (toC >= fromC) return 0
  return oven.cooling.tauMin * Math.log((fromC - AMBIENT_C) / Math.max(5, toC - AMBIENT_C))
}
