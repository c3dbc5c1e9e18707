import type { Composition } from '../../data/grades'
import { STEEL_MODEL } from '../../data/steel-model'
import { kelvinFromC } from '../units/temperature'

/** What is dissolved at the end of a soak. wt% in the austenite; fractions by weight. */
export interface Austenite {
  readonly C: number
  readonly N: number
  readonly Cr: number
  readonly Mo: number
  readonly V: number
  readonly Mn: number
  readonly Si: number
  readonly Ni: number
  /** Undissolved chromium carbide, 0..1. */
  readonly carbideFraction: number
  /** MC carbide, 0..1. */
  readonly mcFraction: number
  /** How far dissolution has come from the annealed state to equilibrium, 0..1. */
  readonly dissolved: number
  /** Carbon bound in MC, wt% of the steel. */
  readonly carbonInMc: number
}

interface CarbideBalance {
  readonly carbon: number
  readonly chromium: number
  readonly carbideC: number
  readonly carbideCr: number
}

/**
 * Austenite of a steel after a soak, from the spheroidised state.
 * Mass balance of one effective chromium carbide with the solubility product [C]·[Cr]ⁿ = K(T), approached as
 * 1 − exp(−(t/τ)^0.8). Range: 0.3 to 2.3 % C, 3 to 20 % Cr, 900 to 1200 °C.
 * Source: calculations in docs/method.md, 'Dissolution'.
 */
export function austeniteAfterSoak(steel: Composition, austenitizeC: number, soakMin: number): Austenite {
  const { mc, carbide } = STEEL_MODEL
  const chromium = steel.Cr ?? 0
  const molybdenum = steel.Mo ?? 0
  const vanadium = steel.V ?? 0
  const carbonInMc = Math.min(
    steel.C,
    mc.carbonPerVanadium * Math.max(0, vanadium - mc.vanadiumInSolutionMax) + mc.carbonPerNiobium * (steel.Nb ?? 0),
  )
  const carbon = steel.C - carbonInMc
  const shareM7 = 1 / (1 + Math.exp(-(carbon / Math.max(chromium, 0.1) - carbide.ratioCentre) / carbide.ratioWidth))
  const balance: CarbideBalance = {
    carbon,
    chromium,
    carbideC: carbide.m23c6.C + (carbide.m7c3.C - carbide.m23c6.C) * shareM7,
    carbideCr: carbide.m23c6.Cr + (carbide.m7c3.Cr - carbide.m23c6.Cr) * shareM7,
  }

  const annealed = Math.min(carbon / balance.carbideC, chromium / balance.carbideCr)
  const equilibrium = equilibriumFraction(balance, annealed, austenitizeC)
  const dissolved = dissolvedShare(austenitizeC, soakMin)
  const carbideFraction = annealed + (equilibrium - annealed) * dissolved
  const left = (total: number, inCarbide: number) =>
    Math.max(0, (total - carbideFraction * inCarbide) / (1 - carbideFraction))

  return {
    C: left(carbon, balance.carbideC),
    N: steel.N ?? 0,
    Cr: left(chromium, balance.carbideCr),
    Mo: left(molybdenum, carbide.molybdenumEnrichment * molybdenum),
    V: Math.min(vanadium, mc.vanadiumInSolutionMax),
    Mn: steel.Mn ?? 0,
    Si: steel.Si ?? 0,
    Ni: steel.Ni ?? 0,
    carbideFraction,
    mcFraction: (carbonInMc * 100) / STEEL_MODEL.carbideHardening.carbonOfMc / 100,
    dissolved,
    carbonInMc,
  }
}

/** Solubility product at a temperature, wt%². */
export function solubilityProduct(austenitizeC: number): number {
  const { k, qK } = STEEL_MODEL.solubility
  return k * Math.exp(qK * (1 / 1353.15 - 1 / kelvinFromC(austenitizeC)))
}

/** Share of the way from annealed to equilibrium after a soak, 0..1. */
export function dissolvedShare(austenitizeC: number, soakMin: number): number {
  const { tauMin, atC, qK, exponent } = STEEL_MODEL.kinetics
  const tau = tauMin * Math.exp(qK * (1 / kelvinFromC(austenitizeC) - 1 / kelvinFromC(atC)))
  return 1 - Math.exp(-((Math.max(0, soakMin) / tau) ** exponent))
}

/** Carbide fraction where what is left in solution just meets the solubility product, by bisection. */
function equilibriumFraction(balance: CarbideBalance, annealed: number, austenitizeC: number): number {
  const { exponent, referenceCr } = STEEL_MODEL.solubility
  const limit = solubilityProduct(austenitizeC)
  const excess = (fraction: number) => {
    const carbon = Math.max(0, (balance.carbon - fraction * balance.carbideC) / (1 - fraction))
    const chromium = Math.max(0, (balance.chromium - fraction * balance.carbideCr) / (1 - fraction))
    return carbon * chromium ** exponent * referenceCr ** (1 - exponent) - limit
  }
  if (excess(0) <= 0) return 0
  let low = 0
  let high = annealed
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2
    if (excess(middle) > 0) low = middle
    else high = middle
  }
  return (low + high) / 2
}
