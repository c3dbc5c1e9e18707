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
  /** Carbon with nitrogen as carbon, after M6C and niobium carbide. */
  readonly carbon: number
  readonly chromium: number
  readonly carbideC: number
  readonly carbideCr: number
  /** 1: chromium carbide, 0: cementite. */
  readonly chromiumKind: number
  /** Vanadium of the steel, wt%, and what [V]·[C] austenite holds beside MC, wt%². */
  readonly vanadium: number
  readonly mcProduct: number
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
  const m6c = m6cBalance(steel, soak.austenitizeC)
  const nitrogen = (steel.N ?? 0) * nitrogenAsCarbon
  // Niobium carbide never dissolves.
  const carbon = Math.max(0, steel.C - STEEL_MODEL.mc.carbonPerNiobium * (steel.Nb ?? 0) - m6c.carbon) + nitrogen
  const balance = balanceOf(steel, carbon, m6c.left, soak.austenitizeC, chromiumKind)

  const annealedCarbon = Math.max(0, carbon - STEEL_MODEL.mc.carbonPerVanadium * balance.vanadium)
  const annealed = Math.min(annealedCarbon / balance.carbideC, chromiumKind > 0.5 ? chromium / balance.carbideCr : 1)
  const equilibrium = equilibriumFraction(balance, annealed, soak.austenitizeC)
  const dissolved = dissolvedShare(soak, chromium, chromiumKind)
  const carbideFraction = annealed + (equilibrium - annealed) * dissolved
  const left = (total: number, inCarbide: number) =>
    Math.max(0, (total - carbideFraction * inCarbide) / (1 - carbideFraction))
  const interstitial = carbonBeside(balance, carbideFraction).carbon
  const vanadium = Math.min(balance.vanadium, balance.mcProduct / Math.max(interstitial, LEAST_CARBON))
  const molybdenum = (steel.Mo ?? 0) * m6c.left
  const mcCarbon =
    STEEL_MODEL.mc.carbonPerVanadium * (balance.vanadium - vanadium) + STEEL_MODEL.mc.carbonPerNiobium * (steel.Nb ?? 0)
  return {
    C: carbon > 0 ? (interstitial * (carbon - nitrogen)) / carbon : 0,
    N: carbon > 0 ? (interstitial / carbon) * (steel.N ?? 0) : 0,
    Cr: left(chromium, balance.carbideCr),
    Mo: left(molybdenum, carbide.molybdenumEnrichment * molybdenum),
    W: (steel.W ?? 0) * m6c.left,
    V: vanadium,
    Mn: steel.Mn ?? 0,
    Si: steel.Si ?? 0,
    Ni: steel.Ni ?? 0,
    carbideFraction,
    mcFraction: mcCarbon / carbideHardening.carbonOfMc,
    m6cFraction: m6c.fraction,
    dissolved,
  }
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

function balanceOf(
  steel: Composition,
  carbon: number,
  molybdenumLeft: number,
  austenitizeC: number,
  chromiumKind: number,
): CarbideBalance {
  const { m23c6, m7c3, ratioCentre, ratioWidth, cementite } = STEEL_MODEL.carbide
  const { mc } = STEEL_MODEL
  const chromium = steel.Cr ?? 0
  const vanadium = steel.V ?? 0
  const molybdenum = ((steel.Mo ?? 0) + (steel.W ?? 0) / 2) * molybdenumLeft
  const mcProduct =
    10 ** (mc.logProduct - mc.productK / kelvinFromC(austenitizeC) - mc.perCr * chromium - mc.perMo * molybdenum)
  const bound = Math.max(0, vanadium - mcProduct / mc.referenceCarbon)
  const shareM7 = logistic(
    ((carbon - mc.carbonPerVanadium * bound) / Math.max(chromium, 0.1) - ratioCentre) / ratioWidth,
  )
  const blend = (chromiumCarbide: number, ofCementite: number) =>
    chromiumKind * chromiumCarbide + (1 - chromiumKind) * ofCementite
  return {
    carbon,
    chromium,
    carbideC: blend(m23c6.C + (m7c3.C - m23c6.C) * shareM7, cementite.C),
    carbideCr: blend(m23c6.Cr + (m7c3.Cr - m23c6.Cr) * shareM7, cementite.chromiumEnrichment * chromium),
    chromiumKind,
    vanadium,
    mcProduct,
  }
}

/**
 * Carbon in solution beside a fraction of chromium carbide, wt%, and how it falls with that fraction: MC takes what its own product
 * [V]·[C] leaves, so that c·(1 − f) = C − f·C_carbide − s·(V − product/c), a quadratic in c.
 */
function carbonBeside(b: CarbideBalance, fraction: number): { carbon: number; slope: number } {
  const s = STEEL_MODEL.mc.carbonPerVanadium
  const left = 1 - fraction
  const all = (b.carbon - fraction * b.carbideC) / left
  if (all * b.vanadium <= b.mcProduct) {
    return all <= 0 ? { carbon: 0, slope: 0 } : { carbon: all, slope: (b.carbon - b.carbideC) / (left * left) }
  }
  const free = b.carbon - fraction * b.carbideC - s * b.vanadium
  const root = Math.sqrt(free * free + 4 * left * s * b.mcProduct)
  const carbon = (free + root) / (2 * left)
  // From the quadratic left·c² − free·c − s·product = 0, differentiated by the fraction.
  return { carbon, slope: (carbon * carbon - b.carbideC * carbon) / root }
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
    const { carbon, slope: carbonSlope } = carbonBeside(b, fraction)
    const chromium = (b.chromium - fraction * b.carbideCr) / left
    const some = Math.max(LEAST_CHROMIUM, chromium)
    const beside = product / some ** exponent
    const withCementite = cementite === 0 ? 0 : cementite * Math.exp(-perChromium * some)
    const chromiumSlope = chromium <= LEAST_CHROMIUM ? 0 : (b.chromium - b.carbideCr) / (left * left)
    slope = carbonSlope + chromiumSlope * ((exponent * beside) / some + perChromium * withCementite)
    return carbon - beside - withCementite
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
/** Nor is carbon, wt%. */
const LEAST_CARBON = 1e-6
const FRACTION_WITHIN = 1e-12
const MOST_STEPS = 60
