import { STEEL_MODEL } from '../../data/steel-model'
import { modelHrcFromHv } from '../rockwell/conversion'
import type { Austenite } from './austenite'

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

/** Andrews' temperature with the model's calibrated offset, °C. */
export const martensiteStartC = (a: InSolution): number => andrewsMs(a) + STEEL_MODEL.martensiteStart.offsetC

/**
 * Austenite left when an untransformed blade reaches a temperature, 0..1.
 * Source: Koistinen and Marburger (1959).
 * @example retainedAustenite(200, 25) // 0.146
 */
export const retainedAustenite = (msC: number, downToC: number): number =>
  Math.exp(-STEEL_MODEL.retained.perK * Math.max(0, msC - downToC))

/**
 * Austenite left after cold treatment, 0..1. A part of what rested at room temperature is stabilised and does not
 * transform; the part grows with the logarithm of the delay.
 */
export function retainedAfterCold(msC: number, quenchedToC: number, coldToC: number, delayMin: number): number {
  const before = retainedAustenite(msC, quenchedToC)
  if (coldToC >= quenchedToC) return before
  const { fraction, atDelayMin, perDecade } = STEEL_MODEL.stabilisation
  const stable = Math.min(0.9, Math.max(0.1, fraction + perDecade * Math.log10(Math.max(1, delayMin) / atDelayMin)))
  return stable * before + (1 - stable) * retainedAustenite(msC, coldToC)
}

/** Vickers hardness of untempered martensite from what is dissolved. Source: after Maynier et al. (1978). */
export function martensiteHv(a: Austenite): number {
  const m = STEEL_MODEL.martensite
  const carbon = a.C + a.N
  return (
    m.base +
    m.rate +
    m.carbon * Math.min(carbon, m.carbonKnee) +
    m.carbonAbove * Math.max(0, carbon - m.carbonKnee) +
    m.Si * a.Si +
    m.Mn * a.Mn +
    m.Ni * a.Ni +
    m.Cr * Math.min(a.Cr, m.crMax)
  )
}

/** Rockwell C of martensite with retained austenite (0..1) and undissolved carbide, before any temper. */
export function untemperedHrc(a: Austenite, retained: number): number {
  const h = STEEL_MODEL.carbideHardening
  const matrix = (1 - retained) * martensiteHv(a) + retained * STEEL_MODEL.austeniteHv
  return modelHrcFromHv(matrix * (1 + h.chromium * 100 * a.carbideFraction + h.mc * 100 * a.mcFraction))
}
