import { FOIL_THERMAL, STEEL_THERMAL, STEFAN_BOLTZMANN } from '../../data/thermal'
import { kelvinFromC } from '../units/temperature'

/** How freely a packet sees the chamber: 1 alone, about 0.42 in a full rack. */
export const FULL_VIEW = 1
export const CROWDED_VIEW = 0.42

const { heating, densityKgPerM3 } = STEEL_THERMAL

/** Heat capacity of the blade on heating, J/kgK, with the transformation's peak. */
export function heatingCp(tempC: number): number {
  const { cp0, cpPerC, cpToC, peakJPerKg, peakC, peakSigmaC } = heating
  const peak =
    (peakJPerKg / (peakSigmaC * Math.sqrt(2 * Math.PI))) * Math.exp(-0.5 * ((tempC - peakC) / peakSigmaC) ** 2)
  return cp0 + cpPerC * Math.min(tempC, cpToC) + peak
}

/** Conductivity of the blade on heating, W/mK. Source: STEEL_THERMAL. */
export const heatingK = (tempC: number): number => heating.k0 + heating.kPerC * tempC

/** Conductivity of air, W/mK. Source: k = 0.0243 (T/273.15)^0.8, from memory. */
export const airConductivity = (tempC: number) => 0.0243 * (kelvinFromC(tempC) / 273.15) ** 0.8

export interface PacketState {
  readonly foilC: number
  readonly bladeC: number
}

export interface Packet {
  readonly thicknessMm: number
  /** View of the chamber, 0..1. */
  readonly view: number
}

/**
 * One step of a wrapped blade in a chamber: radiation to the foil, gap conduction and radiation to the blade.
 * The foil's tiny heat content is stepped implicitly, so any step up to about 5 s is stable.
 */
export function stepPacket(state: PacketState, packet: Packet, chamberC: number, dtS: number): PacketState {
  const f = FOIL_THERMAL
  const meanC = (state.foilC + state.bladeC) / 2
  const insideEmissivity = 1 / (1 / f.emissivityInside + 1 / f.emissivityBlade - 1)
  // Surface and view in series: what misses the chamber falls on neighbours as warm as itself.
  const outside = 1 / (1 / f.emissivityOutside + 1 / packet.view - 1)
  // Linearised about the present state, per kelvin of difference.
  const cubes = (a: number, b: number) => {
    const ka = kelvinFromC(a)
    const kb = kelvinFromC(b)
    return STEFAN_BOLTZMANN * (ka ** 2 + kb ** 2) * (ka + kb)
  }
  const toFoil = outside * cubes(chamberC, state.foilC)
  const gap = airConductivity(meanC) / (f.gapMm / 1000)
  const toBlade = gap + insideEmissivity * cubes(state.foilC, state.bladeC)
  const bladeCapacity = ((densityKgPerM3 * packet.thicknessMm) / 2000) * heatingCp(state.bladeC)
  const foilInertia = f.heatCapacityJPerM2K / dtS
  const bladeInertia = bladeCapacity / dtS
  // Two linear equations in the new foil and blade temperatures.
  const a11 = foilInertia + toFoil + toBlade
  const a22 = bladeInertia + toBlade
  const b1 = foilInertia * state.foilC + toFoil * chamberC
  const b2 = bladeInertia * state.bladeC
  const determinant = a11 * a22 - toBlade * toBlade
  return { foilC: (b1 * a22 + toBlade * b2) / determinant, bladeC: (a11 * b2 + toBlade * b1) / determinant }
}

/** Steps of the arrival, s: stable at any length, fine where the answer is read off. */
const FINE_STEP_S = 0.25
const COARSE_STEP_S = 3
const FINE_BEFORE_S = 60

/** How near the chamber a blade must be for the soak clock to start, K. */
export const ARRIVED_WITHIN_K = 5

/**
 * Seconds a wrapped blade needs to come within 5 °C of the chamber, lumped (Biot below 0.01).
 * The chamber starts at chamberFromC and rises at ratePerHour to settle at chamberC; the blade starts at bladeFromC.
 * Returns the seconds after loading, and after the chamber itself arrived.
 */
export function arrival(
  packet: Packet,
  chamber: { readonly fromC: number; readonly toC: number; readonly rateCPerH: number },
  bladeFromC: number,
): { readonly afterLoadingS: number; readonly afterChamberS: number } {
  const rise = chamber.rateCPerH / 3600
  const chamberArrivesS = rise > 0 ? Math.max(0, (chamber.toC - chamber.fromC) / rise) : 0
  let state: PacketState = { foilC: bladeFromC, bladeC: bladeFromC }
  let timeS = 0
  const longestS = chamberArrivesS + 6 * 3600
  while (state.bladeC < chamber.toC - ARRIVED_WITHIN_K && timeS < longestS) {
    // On a long climb the blade follows closely: coarse steps until the chamber is nearly there.
    const dtS = timeS < chamberArrivesS - FINE_BEFORE_S ? COARSE_STEP_S : FINE_STEP_S
    const chamberC = rise > 0 ? Math.min(chamber.toC, chamber.fromC + rise * (timeS + dtS)) : chamber.toC
    state = stepPacket(state, packet, chamberC, dtS)
    timeS += dtS
  }
  return { afterLoadingS: timeS, afterChamberS: timeS - chamberArrivesS }
}
