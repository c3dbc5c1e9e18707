import type { Composition } from '../../data/grades'
import { STEEL_MODEL } from '../../data/steel-model'
import { type Austenite, austeniteAfterSoak } from './austenite'
import { martensiteStartC, retainedAfterCold, retainedAustenite, untemperedHrc } from './martensite'
import type { Route } from './route'
import {
  dropOf,
  keptByTemper,
  type Temper,
  type TemperShape,
  type TemperSteps,
  type TemperTerms,
  temperShape,
  temperSteps,
} from './tempering'

/** Plain hardness through a route, HRC. */
export interface HrcPath {
  readonly asQuenched: number
  readonly afterCold: number | null
  readonly afterTempers: readonly number[]
}

/** Metallurgy of a composition through a route by the model alone, without any chart. */
export interface Metallurgy {
  readonly austenite: Austenite
  readonly shape: TemperShape
  readonly msC: number
  readonly retainedQuenched: number
  readonly retainedCold: number | null
  /** Retained austenite after each temper, 0..1. */
  readonly retainedTempered: readonly number[]
  /** Share of soft products from a quench slower than the grade needs, 0..1. */
  readonly softShare: number
  /** Combined tempering parameter after each temper. */
  readonly parameters: readonly number[]
  readonly path: HrcPath
}

/** Properties of a steel that the model needs beside its composition. */
export interface ModelSteel {
  readonly made: 'ingot' | 'powder'
  /** Slowest 800 to 500 °C that still hardens through, s; null where it is not known. */
  readonly slowest800to500S: number | null
}

/**
 * Share that turned to soft products in a slow quench, 0..1: 5 % at the slowest the grade allows, growing as
 * 1 − exp(−a·(time ratio)²). Source: Avrami form, common practice.
 */
export function softShareOf(seconds: number | undefined, slowestS: number | null): number {
  if (seconds === undefined || slowestS === null) return 0
  return 1 - Math.exp(Math.log(1 - STEEL_MODEL.slowQuench.share) * (seconds / slowestS) ** 2)
}

/** A composition hardened, before any temper. */
export type Hardened = Omit<Metallurgy, 'retainedTempered' | 'parameters' | 'path'> & {
  readonly path: Omit<HrcPath, 'afterTempers'>
  /** Martensite with a share of retained austenite (0..1), untempered, HRC. */
  readonly untempered: (retained: number) => number
}

/** Computes a composition's austenite, quench and tempers through a route. */
export const metallurgy = (composition: Composition, steel: ModelSteel, route: Route): Metallurgy =>
  tempered(hardened(composition, steel, route), temperSteps(route.tempers))

/** The part of a route up to its first temper: most of the work, the same for every temper that may follow. */
export function hardened(composition: Composition, steel: ModelSteel, route: Omit<Route, 'tempers'>): Hardened {
  const { austenitizeC, soakMin, start = 'annealed', quenchedToC, cold } = route
  const austenite = austeniteAfterSoak(composition, { austenitizeC, soakMin, start, made: steel.made })
  const msC = martensiteStartC(austenite)
  const retainedQuenched = retainedAustenite(msC, quenchedToC)
  const retainedCold = cold ? retainedAfterCold(msC, quenchedToC, cold, route.chillTauMin) : null
  const softShare = softShareOf(route.seconds800to500, steel.slowest800to500S)
  const untempered = untemperedHrc(austenite, steel.made)
  return {
    austenite,
    shape: temperShape(austenite),
    msC,
    retainedQuenched,
    retainedCold,
    softShare,
    untempered,
    path: {
      asQuenched: withSoftShare(untempered(retainedQuenched), softShare),
      afterCold: retainedCold === null ? null : withSoftShare(untempered(retainedCold), softShare),
    },
  }
}

const withSoftShare = (hrc: number, softShare: number) =>
  Math.max(0, (1 - softShare) * hrc + softShare * Math.min(hrc, STEEL_MODEL.slowQuench.productHrc))

/** Retained austenite before the first temper, 0..1. */
const retainedBefore = (hard: Pick<Hardened, 'retainedCold' | 'retainedQuenched'>): number =>
  hard.retainedCold ?? hard.retainedQuenched

/** The same after its tempers. */
export function tempered(hard: Hardened, steps: TemperSteps): Metallurgy {
  const { austenite, shape, msC, retainedQuenched, retainedCold, softShare, path } = hard
  const stages = steps.tempers.map((_, i) => afterTemper(hard, steps, i))
  // Each by its name: this is built thousands of times a map.
  return {
    austenite,
    shape,
    msC,
    retainedQuenched,
    retainedCold,
    softShare,
    retainedTempered: stages.map(stage => stage.retained),
    parameters: steps.parameters,
    path: {
      asQuenched: path.asQuenched,
      afterCold: path.afterCold,
      afterTempers: stages.map(stage => stage.hrc),
    },
  }
}

/** Hardness, HRC, and retained austenite, 0..1, of a blade at a stage. */
interface Tempered {
  readonly hrc: number
  readonly retained: number
}

/** Hardness and retained austenite after the last temper alone; without a temper, of the untempered blade. */
export const temperedLast = (hard: Hardened, steps: TemperSteps): Tempered =>
  steps.tempers.length === 0
    ? { hrc: hard.path.afterCold ?? hard.path.asQuenched, retained: retainedBefore(hard) }
    : afterTemper(hard, steps, steps.tempers.length - 1)

/** A share of the blade below this is not worth a term of its own: it moves no figure by a thousandth of a point. */
const LEAST_SHARE = 1e-5

/**
 * After a temper: martensite with the austenite that is left after that temper. Each part of the martensite is softened by the
 * tempers that came after it was formed: what formed on cooling from a temper is fresh until the next.
 */
function afterTemper(hard: Hardened, steps: TemperSteps, at: number): Tempered {
  const { shape } = hard
  let retained = retainedBefore(hard)
  let drop = (1 - retained) * dropOf(steps.terms[at] as TemperTerms, shape)
  for (let j = 0; j <= at; j++) {
    // In chromium steel what a temper leaves is the same for all: it was worked out with the tempers.
    const kept = shape.lean === 0 ? (steps.kept[j] as number) : keptByTemper(steps.tempers[j] as Temper, shape)
    const fresh = retained * (1 - kept)
    if (j < at && fresh > LEAST_SHARE) drop += fresh * dropOf(steps.since(j)[at - j - 1] as TemperTerms, shape)
    retained *= kept
  }
  return { hrc: withSoftShare(hard.untempered(retained) - drop, hard.softShare), retained }
}

/** Retained austenite of the finished blade, 0..1. */
export const retainedFinal = (m: Metallurgy): number => m.retainedTempered.at(-1) ?? retainedBefore(m)
