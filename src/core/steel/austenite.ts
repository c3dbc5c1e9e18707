import type { Composition } from '../../data/grades'
import { STEEL_MODEL } from '../../data/steel-model'
import { interpolateLinear } from '../numeric/interpolate'
import { kelvinFromC } from '../units/temperature'

/** The structure a soak starts from: how coarse the carbide is that has to dissolve. */
export type StartStructure = keyof typeof STEEL_MODEL.kinetics.start

export interface Soak {
  readonly austenitizeC: number
  readonly soakMin: number
  readonly start: StartStructure
  readonly made: 'ingot' | 'powder'
}

/** Austenite at the end of a soak: wt% in solution; fractions by weight. */
export interface Austenite {
  readonly C: number
  readonly N: number
  readonly Cr: number
  readonly Mo: number
  readonly W: number
  readonly V: number
  readonly Mn: number
  readonly Si: number
  readonly Ni: number
  /** Undissolved chromium carbide or cementite, 0..1. */
  readonly carbideFraction: number
  /** Hard MC carbide, 0..1. */
  readonly mcFraction: number
  /** M6C of tungsten and molybdenum, 0..1. */
  readonly m6cFraction: number
  /** How far dissolution has come from the annealed state to equilibrium, 0..1. */
  readonly dissolved: number
}

/** One effective carbide beside austenite: what the steel offers and what the carbide holds, wt%. */
interface CarbideBalance {
  /** Carbon with nitrogen as carbon, after MC and M6C. */
  readonly carbon: number
  readonly chromium: number
  readonly carbideC: number
  readonly carbideCr: number
  /** 1: chromium carbide, 0: cementite. */
  readonly chromiumKind: number
}

const logistic = (x: number) => 1 / (1 + Math.exp(-x))

/**
 * Austenite of a steel after a soak. MC and M6C hold what their solubility leaves; one effective chromium carbide (or
 * cementite, below about 3 % Cr) is balanced with what austenite can hold and approached as 1 − exp(−(t/τ)^0.8).
 * Range: 0.28 to 2.3 % C, up to 20 % Cr, 750 to 1230 °C.
 * Source: calculations in docs/method.md, 'Dissolution'.
 */
export function austeniteAfterSoak(steel: Composition, soak: Soak): Austenite {
  const { carbide, carbideHardening, nitrogenAsCarbon } = STEEL_MODEL
  const chromium = steel.Cr ?? 0
  const chromiumKind = logistic((chromium - carbide.cementite.chromiumBelow) / carbide.cementite.chromiumWidth)
  const mc = mcBalance(steel, soak.austenitizeC, chromiumKind)
  const m6c = m6cBalance(steel, soak.austenitizeC)
  const freeCarbon = Math.max(0, steel.C - mc.carbon - m6c.carbon)
  const nitrogen = (steel.N ?? 0) * nitrogenAsCarbon
  const carbon = freeCarbon + nitrogen
  const balance = balanceOf(carbon, chromium, chromiumKind)

  const annealed = Math.min(carbon / balance.carbideC, chromiumKind > 0.5 ? chromium / balance.carbideCr : 1)
  const equilibrium = equilibriumFraction(balance, annealed, soak.austenitizeC)
  const dissolved = dissolvedShare(soak, chromium, chromiumKind)
  const carbideFraction = annealed + (equilibrium - annealed) * dissolved
  const left = (total: number, inCarbide: number) =>
    Math.max(0, (total - carbideFraction * inCarbide) / (1 - carbideFraction))
  const interstitial = left(carbon, balance.carbideC)
  const molybdenum = (steel.Mo ?? 0) * m6c.left
  return {
    C: carbon > 0 ? (interstitial * freeCarbon) / carbon : 0,
    N: carbon > 0 ? (interstitial / carbon) * (steel.N ?? 0) : 0,
    Cr: left(chromium, balance.carbideCr),
    Mo: left(molybdenum, carbide.molybdenumEnrichment * molybdenum),
    W: (steel.W ?? 0) * m6c.left,
    V: mc.vanadium,
    Mn: steel.Mn ?? 0,
    Si: steel.Si ?? 0,
    Ni: steel.Ni ?? 0,
    carbideFraction,
    mcFraction: mc.carbon / carbideHardening.carbonOfMc,
    m6cFraction: m6c.fraction,
    dissolved,
  }
}

/** Vanadium left in solution beside MC, and the carbon MC holds, wt% of the steel. */
function mcBalance(steel: Composition, austenitizeC: number, chromiumKind: number) {
  const { mc } = STEEL_MODEL
  const product = mc.activity * 10 ** (mc.logProduct - mc.productK / kelvinFromC(austenitizeC))
  const soluble = product / mc.referenceCarbon + mc.inChromiumCarbide * chromiumKind
  const vanadium = Math.min(steel.V ?? 0, soluble)
  const carbon = mc.carbonPerVanadium * ((steel.V ?? 0) - vanadium) + mc.carbonPerNiobium * (steel.Nb ?? 0)
  return { vanadium, carbon: Math.min(steel.C, carbon) }
}

/** M6C of steels rich in molybdenum and tungsten: its carbon, its share, and what is left of Mo and W, 0..1. */
function m6cBalance(steel: Composition, austenitizeC: number) {
  const m = STEEL_MODEL.m6c
  const equivalent = (steel.Mo ?? 0) + (steel.W ?? 0) / 2
  const soluble = m.soluble * Math.exp(m.qK * (1 / kelvinFromC(m.atC) - 1 / kelvinFromC(austenitizeC)))
  const forms = logistic((m.chromiumBelow - (steel.Cr ?? 0)) / m.chromiumWidth)
  const fraction = (forms * Math.max(0, equivalent - soluble)) / (m.equivalent - soluble)
  if (fraction === 0) return { carbon: 0, fraction: 0, left: 1 }
  const left = Math.max(0, (equivalent - fraction * m.equivalent) / (1 - fraction)) / equivalent
  return { carbon: fraction * m.carbon, fraction, left }
}

function balanceOf(carbon: number, chromium: number, chromiumKind: number): CarbideBalance {
  const { m23c6, m7c3, ratioCentre, ratioWidth, cementite } = STEEL_MODEL.carbide
  const shareM7 = logistic((carbon / Math.max(chromium, 0.1) - ratioCentre) / ratioWidth)
  const blend = (chromiumCarbide: number, ofCementite: number) =>
    chromiumKind * chromiumCarbide + (1 - chromiumKind) * ofCementite
  return {
    carbon,
    chromium,
    carbideC: blend(m23c6.C + (m7c3.C - m23c6.C) * shareM7, cementite.C),
    carbideCr: blend(m23c6.Cr + (m7c3.Cr - m23c6.Cr) * shareM7, cementite.chromiumEnrichment * chromium),
    chromiumKind,
  }
}

/** Solubility product at a temperature, wt%². */
export function solubilityProduct(austenitizeC: number): number {
  const { k, qK } = STEEL_MODEL.solubility
  return k * Math.exp(qK * (1 / 1353.15 - 1 / kelvinFromC(austenitizeC)))
}

/** Carbon austenite holds beside cementite at a temperature, wt%: the Acm line of iron and carbon. */
export const acmCarbon = (austenitizeC: number): number => interpolateLinear(STEEL_MODEL.acm.points, austenitizeC)

/** Share of the way from annealed to equilibrium after a soak, 0..1. */
function dissolvedShare({ austenitizeC, soakMin, start, made }: Soak, chromium: number, chromiumKind: number): number {
  const k = STEEL_MODEL.kinetics
  const tauAt = (tauMin: number, atC: number, qK: number) =>
    Math.log(tauMin) + qK * (1 / kelvinFromC(austenitizeC) - 1 / kelvinFromC(atC))
  const logTau =
    chromiumKind * (tauAt(k.tauMin, k.atC, k.qK) + k.perChromium * (chromium - k.atChromium)) +
    (1 - chromiumKind) *
      (tauAt(k.cementite.tauMin, k.cementite.atC, k.cementite.qK) + k.cementite.perChromium * chromium)
  const tau = Math.exp(logTau) * k.start[start] * (made === 'powder' ? k.powder : 1)
  return 1 - Math.exp(-((Math.max(0, soakMin) / tau) ** k.exponent))
}

/**
 * How many minutes at one austenitize temperature a minute at another is worth: the ratio of the dissolution constants.
 * @example soakWorth({ C: 0.67, Cr: 13 }, 1080, 1060) // about 1.5
 */
export function soakWorth(steel: Composition, atC: number, asIfC: number): number {
  const { kinetics, carbide } = STEEL_MODEL
  const kind = logistic(((steel.Cr ?? 0) - carbide.cementite.chromiumBelow) / carbide.cementite.chromiumWidth)
  const qK = kind * kinetics.qK + (1 - kind) * kinetics.cementite.qK
  return Math.exp(qK * (1 / kelvinFromC(asIfC) - 1 / kelvinFromC(atC)))
}

/** Carbide fraction where what is left in solution is just what austenite can hold: Newton's steps kept in a bracket. */
function equilibriumFraction(b: CarbideBalance, annealed: number, austenitizeC: number): number {
  const { exponent, referenceCr } = STEEL_MODEL.solubility
  const { perChromium } = STEEL_MODEL.acm
  const product = (b.chromiumKind * solubilityProduct(austenitizeC)) / referenceCr ** (1 - exponent)
  // Beside chromium carbide alone cementite has no say, and the root is sought thousands of times.
  const cementite = b.chromiumKind === 1 ? 0 : (1 - b.chromiumKind) * acmCarbon(austenitizeC)
  /** Carbon in solution over what austenite can hold, and how that falls with the fraction. */
  let slope = 0
  const excess = (fraction: number) => {
    const left = 1 - fraction
    const carbon = (b.carbon - fraction * b.carbideC) / left
    const chromium = (b.chromium - fraction * b.carbideCr) / left
    const some = Math.max(LEAST_CHROMIUM, chromium)
    const beside = product / some ** exponent
    const withCementite = cementite === 0 ? 0 : cementite * Math.exp(-perChromium * some)
    const carbonSlope = carbon <= 0 ? 0 : (b.carbon - b.carbideC) / (left * left)
    const chromiumSlope = chromium <= LEAST_CHROMIUM ? 0 : (b.chromium - b.carbideCr) / (left * left)
    slope = carbonSlope + chromiumSlope * ((exponent * beside) / some + perChromium * withCementite)
    return Math.max(0, carbon) - beside - withCementite
  }
  const atLow = excess(0)
  if (atLow <= 0) return 0
  const atHigh = excess(annealed)
  if (atHigh >= 0) return annealed
  let [low, high] = [0, annealed]
  let fraction = (atLow * high) / (atLow - atHigh)
  for (let i = 0; i < MOST_STEPS; i++) {
    const at = excess(fraction)
    if (at > 0) low = fraction
    else high = fraction
    const step = slope < 0 ? fraction - at / slope : Number.NaN
    const next = step > low && step < high ? step : (low + high) / 2
    if (Math.abs(next - fraction) < FRACTION_WITHIN) return next
    fraction = next
  }
  return fraction
}

/** Chromium in solution is never reckoned as less, wt%: the product would have no end. */
const LEAST_CHROMIUM = 0.05
const FRACTION_WITHIN = 1e-12
const MOST_STEPS = 60
