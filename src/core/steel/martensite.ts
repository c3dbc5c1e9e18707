import { STEEL_MODEL } from '../../data/steel-model'
import { modelHrcFromHv } from '../rockwell/conversion'
import type { Austenite } from './austenite'
import type { ColdTreatment } from './route'

type InSolution = Pick<Austenite, 'C' | 'N' | 'Cr' | 'Mo' | 'Mn' | 'Ni'>

/**
 * Temperature where martensite starts to form, °C, from what is dissolved (wt%).
 * Source: Andrews (1965), linear form; fitted below about 5 % Cr, so it is an extrapolation for stainless grades.
 * @example andrewsMs({ C: 0.4, N: 0, Mn: 0.7, Ni: 0, Cr: 1, Mo: 0.2 }) // 335
 */
export function andrewsMs(a: InSolution): number {
  const m = STEEL_MODEL.martensiteStart
  return m.base + m.CN * (a.C + a.N) + m.Mn * a.Mn + m.Ni * a.Ni + m.Cr * a.Cr + m.Mo * a.Mo
}

/**
 * Martensite start by the other common formula, °C, for comparison: where the two part, the composition is outside
 * what either was fitted on. Source: Steven and Haynes (1956), JISI 183, 349; from memory.
 * @example stevenHaynesMs({ C: 0.4, N: 0, Mn: 0.7, Ni: 0, Cr: 1, Mo: 0.2 }) // 328
 */
export const stevenHaynesMs = (a: InSolution): number =>
  561 - 474 * (a.C + a.N) - 33 * a.Mn - 17 * a.Cr - 17 * a.Ni - 21 * a.Mo

/** Andrews' temperature with what the model's calibration adds for high alloy and for nitrogen, °C. */
export const martensiteStartC = (a: InSolution): number =>
  andrewsMs(a) + STEEL_MODEL.martensiteStart.offsetC + STEEL_MODEL.martensiteStart.N * a.N

/**
 * Austenite left when an untransformed blade reaches a temperature, 0..1.
 * Source: Koistinen and Marburger (1959).
 * @example retainedAustenite(200, 25) // 0.146
 */
export const retainedAustenite = (msC: number, downToC: number): number =>
  Math.exp(-STEEL_MODEL.retained.perK * Math.max(0, msC - downToC))

/**
 * Share of the austenite found at room temperature that cold will not turn, 0..1: it grows with how far below Ms the steel
 * was quenched, with the logarithm of the delay, and with a snap temper before the cold.
 */
export function stabilisedShare(
  belowMsK: number,
  { delayMin, snapTemperC }: Pick<ColdTreatment, 'delayMin' | 'snapTemperC'>,
): number {
  const s = STEEL_MODEL.stabilisation
  const byDelay =
    s.fraction + s.perK * (belowMsK - s.atBelowMsK) + s.perDecade * Math.log10(Math.max(1, delayMin) / s.atDelayMin)
  const bySnap =
    snapTemperC === undefined ? 0 : s.snap * Math.min(1, Math.max(0, (snapTemperC - 25) / (s.snapFullC - 25)))
  return Math.min(s.most, Math.max(s.least, byDelay + bySnap))
}

/** How cold a blade gets in a hold, °C: all the way where it is there well within it. */
export const reachedC = (
  quenchedToC: number,
  { toC, holdMin }: ColdTreatment,
  chillTauMin: number | undefined,
): number => (chillTauMin === undefined ? toC : toC + (quenchedToC - toC) * Math.exp(-holdMin / chillTauMin))

/** Austenite left after cold treatment, 0..1: the stabilised part of what was there, and what the cold leaves of the rest. */
export function retainedAfterCold(
  msC: number,
  quenchedToC: number,
  cold: ColdTreatment,
  chillTauMin: number | undefined = undefined,
): number {
  const before = retainedAustenite(msC, quenchedToC)
  if (cold.toC >= quenchedToC) return before
  const stable = stabilisedShare(Math.max(0, msC - quenchedToC), cold)
  return stable * before + (1 - stable) * retainedAustenite(msC, reachedC(quenchedToC, cold, chillTauMin))
}

/** Vickers hardness of untempered martensite from what is dissolved. Source: after Maynier et al. (1978). */
export function martensiteHv(a: Austenite): number {
  const m = STEEL_MODEL.martensite
  const carbon = a.C + m.nitrogenAsCarbon * a.N
  return (
    m.base +
    m.rate +
    m.rateLean * Math.max(0, 1 - a.Cr / m.rateLeanCr) +
    m.carbon * Math.min(carbon, m.carbonKnee) +
    m.carbonAbove * Math.max(0, carbon - m.carbonKnee) +
    m.Si * a.Si +
    m.Mn * a.Mn +
    m.Ni * a.Ni +
    m.Cr * Math.min(a.Cr, m.crMax)
  )
}

/**
 * Rockwell C of martensite with a share of retained austenite (0..1) and the undissolved carbide, before any temper: the
 * steel is worked out once, the shares as they are asked for.
 */
export function untemperedHrc(a: Austenite, made: 'ingot' | 'powder'): (retained: number) => number {
  const h = STEEL_MODEL.carbideHardening
  const martensite = martensiteHv(a)
  // Where hardly any carbon dissolved, the austenite is no harder than what it would turn to.
  const austenite = Math.min(martensite, STEEL_MODEL.austeniteHv)
  const byCarbide =
    1 +
    (made === 'powder' ? h.powder : 1) * h.chromium * 100 * a.carbideFraction +
    h.mc * 100 * (a.mcFraction + a.m6cFraction)
  return retained => modelHrcFromHv(((1 - retained) * martensite + retained * austenite) * byCarbide)
}
